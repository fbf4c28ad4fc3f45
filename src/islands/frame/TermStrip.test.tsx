// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { game, islandTest, learner, meeting, page } from '../island.testing';
import TermStrip from './TermStrip';

const { api, show, gone } = islandTest();

const term = {
  term: { id: 't', title: 'Autumn', starts: '2026-11-02', ends: '2026-11-29', version: 1 },
  meetings: [meeting('2026-11-03', { state: 'played' }), meeting('2026-11-10'), meeting('2026-11-17')],
  today: '2026-11-10',
  door: null,
};

describe('the strip', () => {
  it('says the week, and is one stop whose arrows go from meeting to meeting', async () => {
    api().on('GET /term', term);
    show(<TermStrip place="shelf" />);
    expect(await screen.findByText('week 2 of 4')).toBeTruthy();
    const links = within(screen.getByRole('group', { name: 'Term line: 3 meetings, 1 played' })).getAllByRole('link');
    expect(links.map((l) => l.getAttribute('tabindex'))).toEqual(['-1', '0', '-1']);
    links[1]!.focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(document.activeElement).toBe(links[2]);
    await userEvent.keyboard('{ArrowRight}{Home}');
    expect(document.activeElement).toBe(links[0]);
    expect(links[0]!.getAttribute('aria-label')).toBe('Tuesday 3 November, played');
  });
  it('opens places by letters, unless somebody types or has switched it off', async () => {
    show(
      <>
        <TermStrip place="shelf" />
        <input aria-label="field" />
      </>,
    );
    await screen.findByText('No term yet');
    await userEvent.type(screen.getByLabelText('field'), 'l?');
    expect([gone(), screen.queryByRole('dialog', { hidden: true })]).toEqual([null, null]);
    screen.getByLabelText('field').blur();
    await userEvent.keyboard('?');
    await userEvent.click(await screen.findByLabelText('Single letters open places'));
    await userEvent.click(screen.getByRole('button', { name: 'Close', hidden: true }));
    await userEvent.keyboard('l');
    expect(gone()).toBeNull();
    localStorage.clear();
    await userEvent.keyboard('l');
    expect(gone()).toContain('/learners');
  });
  it('finds skills, things, the library and frameworks by typing', async () => {
    api()
      .on('GET /library/titles', page([{ id: 'a', title: 'Hedge Bees' }]))
      .on('GET /kinds', page([{ id: 'pip-die', title: 'Pip die' }]))
      .on('GET /frameworks', page([{ id: 'us', title: 'US style, K–6' }]))
      .on('GET /learners', page([learner('wren')]))
      .on('GET /games', page([game('levers')]));
    show(<TermStrip place="shelf" />);
    for (const [words, label, goal] of [
      ['make-ten', 'Make a ten on the way', '/shelf?skill=make-ten'],
      ['pip', 'Pip die', '/shelf?text=Pip%20die'],
      ['hedge', 'Hedge Bees', '/shelf/library?text=Hedge%20Bees'],
      ['US style', 'US style, K–6', '/learners/frameworks?id=us'],
      ['group', 'The group in one picture', '/learners/group'],
    ] as const) {
      await userEvent.keyboard('{Control>}k{/Control}');
      await userEvent.type(await screen.findByPlaceholderText(/A place, a game/), words);
      await userEvent.click(await screen.findByText(label));
      expect(gone()).toContain(goal);
      await userEvent.keyboard('{Control>}k{/Control}');
      await waitFor(() => expect(screen.queryByPlaceholderText(/A place, a game/)).toBeNull());
    }
  });
});
