// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal } from '../island.testing';
import GroupView from './GroupView';

const { api, show } = islandTest();

const map = {
  learners: ['wren', 'fern'],
  skills: ['make-ten', 'add-in-10'],
  cells: [
    [
      { height: 0.97, seen: true, next: false },
      { height: 0.5, seen: false, next: true },
    ],
    [
      { height: 0.1, seen: true, next: true },
      { height: 0.1, seen: false, next: false },
    ],
  ],
  together: [
    {
      game: 'two-lamps',
      title: 'Two Lamps',
      seats: [
        { learner: 'wren', variant: 'tens', variantTitle: 'tens', skill: 'make-ten' },
        { learner: 'fern', variant: 'fives', variantTitle: 'fives', skill: 'add-in-10' },
      ],
    },
  ],
  stuck: [{ learner: 'fern', skill: 'make-ten', times: 3, since: '2026-11-03' }],
};

describe('the group', () => {
  it('says in words what the arms show, for those who do not see them', async () => {
    api()
      .on('GET /learners', page([learner('wren'), learner('fern')]))
      .on('GET /group-map', map);
    show(<GroupView />);
    const table = within(await screen.findByRole('table', { name: 'Learners by skills' }));
    expect(table.getAllByRole('row').map((r) => [...r.children].slice(1).map((c) => c.textContent))).toEqual([
      ['Make a ten on the way', expect.any(String)],
      ['on their own', 'growing, assumed, good next'],
      ['not yet, good next', 'not yet, assumed'],
    ]);
  });
  it('says who can sit together and who was stuck, and leads to that map', async () => {
    api()
      .on('GET /learners', page([learner('wren'), learner('fern')]))
      .on('GET /group-map', map);
    show(<GroupView />);
    const game = (await screen.findByRole('link', { name: 'Two Lamps' })).closest('li')!;
    expect(game.textContent).toMatch(/Wren tens: Make a ten on the way.*Fern fives: Add within ten/);
    expect(screen.getByText(/3 times since 2026-11-03/)).toBeTruthy();
    const link = within(screen.getByText(/3 times since/).closest('li')!).getByRole('link', { name: 'Fern' });
    expect(link.getAttribute('href')).toContain('/learners/fern?skill=make-ten');
  });
  it('folds a long list of who needs a hand, and opens where the first does', async () => {
    const stuck = ['make-ten', 'pairs-of-10', 'add-in-10', 'count-to-20', 'add-in-20', 'add-in-5'].map((skill) => ({
      ...map.stuck[0]!,
      skill,
    }));
    api()
      .on('GET /learners', page([learner('wren'), learner('fern')]))
      .on('GET /group-map', { ...map, stuck });
    show(<GroupView />);
    expect(await screen.findAllByText(/3 times since/)).toHaveLength(4);
    await userEvent.click(screen.getByRole('button', { name: 'and 2 more' }));
    expect(screen.getAllByText(/3 times since/)).toHaveLength(6);
    expect(api().asked.filter((a) => a.path === '/group-map').length).toBeGreaterThan(0);
  });
  it('asks anew for another group and line, and prints what is on show', async () => {
    api()
      .on('GET /learners', page([learner('wren', { group: 'Lamps & Co' })]))
      .on('GET /group-map', map);
    show(<GroupView />);
    await userEvent.selectOptions(await screen.findByLabelText('Who'), 'Lamps & Co');
    await waitFor(() =>
      expect(screen.getByRole('link', { name: 'PDF, Letter' }).getAttribute('href')).toContain('group=Lamps+%26+Co&strands=add&edge=true'),
    );
    await userEvent.click(screen.getByLabelText('only where they differ'));
    expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toContain('edge=false');
    await waitFor(() => expect(api().asked.filter((a) => a.path === '/group-map')).toHaveLength(3));
  });
  it('without anybody leads to the learners', async () => {
    api().on('GET /group-map', { learners: [], skills: [], cells: [], together: [], stuck: [] });
    show(<GroupView />);
    expect((await screen.findByRole('link', { name: 'To the learners' })).getAttribute('href')).toContain('/learners');
  });
  it('says why it cannot be drawn', async () => {
    api().on('GET /group-map', new Refusal(404, { code: 'not-found', message: 'There is no group "Lamps".' }));
    show(<GroupView />);
    expect(await screen.findByText('There is no group "Lamps".')).toBeTruthy();
  });
});
