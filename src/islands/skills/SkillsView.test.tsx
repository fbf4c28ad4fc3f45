// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, Refusal } from '../island.testing';
import SkillsView from './SkillsView';

const { api, show } = islandTest();

const ready = (): void => {
  api()
    .on('GET /skills/own', { skills: [], edges: [] })
    .on('POST /skills/examples', { match: ['3 + 4'], miss: ['30 + 4'], overlaps: [] });
};

describe('skills', () => {
  it('are found by a word, and tell what counts for them and what does not', async () => {
    ready();
    show(<SkillsView />);
    await userEvent.type(await screen.findByRole('searchbox', { name: 'Find a skill' }), 'make a ten');
    const found = within(document.querySelector('ol')!);
    expect(found.getAllByRole('button').map((b) => b.textContent)).toEqual([expect.stringContaining('Make a ten on the way')]);
  });
  it('that are found nowhere say so', async () => {
    ready();
    show(<SkillsView />);
    await userEvent.type(await screen.findByRole('searchbox', { name: 'Find a skill' }), 'zzz');
    expect(await screen.findByText('Nothing is called so.')).toBeTruthy();
  });
  it('take on something they need, which can be undone, and say why a circle is refused', async () => {
    ready();
    api().on('POST /skills/make-ten/needs', { change: 'c1' });
    show(<SkillsView />);
    await userEvent.type(await screen.findByRole('searchbox', { name: 'Find a skill' }), 'make a ten on');
    await userEvent.selectOptions(screen.getByLabelText('Add something it needs'), 'count-to-10');
    expect(await screen.findByText('It needs that now, too.')).toBeTruthy();
    expect(api().writes[0]!.body).toEqual({ id: 'count-to-10', sort: 'idea' });
    expect(screen.getByRole('button', { name: /undo/i })).toBeTruthy();
    api().on('POST /skills/make-ten/needs', new Refusal(422, { code: 'cycle', message: 'That would go in a circle.', field: 'id' }));
    await userEvent.selectOptions(screen.getByLabelText('Add something it needs'), 'count-to-20');
    expect(await screen.findByText('That would go in a circle.')).toBeTruthy();
  });
  it('of one’s own are sent once after a lost answer, and as another write when changed', async () => {
    ready();
    api().on('POST /skills', new Error('lost'));
    show(<SkillsView />);
    await userEvent.click(await screen.findByRole('button', { name: 'Add a skill' }));
    await userEvent.type(await screen.findByLabelText('What it is called'), 'Tell the gauge');
    await userEvent.type(screen.getByLabelText('What it looks like, in a line'), 'Reads a dial.');
    const save = screen.getByRole('button', { name: 'Save', hidden: true });
    await userEvent.click(save);
    expect(await screen.findByText('The program does not answer. Is it still running?')).toBeTruthy();
    await userEvent.click(save);
    await waitFor(() => expect(api().writes.filter((w) => w.path === '/skills')).toHaveLength(2));
    await userEvent.type(screen.getByLabelText('What it looks like, in a line'), ' With a needle.');
    api().on('POST /skills', new Refusal(422, { code: 'duplicate', message: 'There is such a skill already.', field: 'title' }));
    await userEvent.click(save);
    expect(await screen.findByText('There is such a skill already.')).toBeTruthy();
    const keys = api()
      .writes.filter((w) => w.path === '/skills')
      .map((w) => w.key);
    expect(keys[1]).toBe(keys[0]);
    expect(keys[2]).not.toBe(keys[0]);
  });
});
