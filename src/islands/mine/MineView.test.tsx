// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { game, islandTest, learner, page, Refusal } from '../island.testing';
import MineView from './MineView';

const { api, show } = islandTest();

const estimate = (skill: string, more: object = {}) => ({
  skill,
  status: 'growing',
  mastery: 0.5,
  asSeen: 0.5,
  interval: [0.3, 0.7],
  notes: 2,
  seen: true,
  frontier: false,
  lastSeen: '2026-11-03',
  ...more,
});
const ready = (): void => {
  api()
    .on('GET /learners/wren', learner('wren', { likings: ['levers'], version: 4 }))
    .on(
      'GET /learners/wren/mastery',
      page([estimate('make-ten', { asSeen: 0.97 }), estimate('add-in-10', { asSeen: 0.2, frontier: true })]),
    )
    .on('GET /games', page([game('two-lamps'), game('levers'), game('high-signal', { retired: true })]));
};

describe('what a child may see', () => {
  it('says what is held, without a number, a rank or a miss', async () => {
    ready();
    const { container } = show(<MineView id="wren" />);
    expect(await screen.findByText('Make a ten on the way')).toBeTruthy();
    const words = container.textContent;
    expect(words).not.toMatch(/0\.\d|%|stuck|not yet|behind|wrong|rank/i);
  });
  it('likes and lets go of a game, with the version that was seen', async () => {
    ready();
    api().on('PATCH /learners/wren', { id: 'wren' });
    show(<MineView id="wren" />);
    // Liked ones come first; what is retired is not offered.
    expect((await screen.findAllByRole('button')).map((b) => b.textContent)).toEqual(['Levers', 'Two Lamps']);
    await userEvent.click(screen.getByRole('button', { name: 'Two Lamps' }));
    await waitFor(() => expect(api().writes[0]!.body).toEqual({ version: 4, likings: ['levers', 'two-lamps'] }));
    await userEvent.click(screen.getByRole('button', { name: 'Levers' }));
    await waitFor(() => expect(api().writes[1]!.body).toEqual({ version: 4, likings: [] }));
  });
  it('says when somebody else changed it meanwhile', async () => {
    ready();
    api().on('PATCH /learners/wren', new Refusal(409, { code: 'conflict', message: 'Somebody changed this in the meantime.' }));
    show(<MineView id="wren" />);
    await userEvent.click(await screen.findByRole('button', { name: 'Two Lamps' }));
    expect(await screen.findByText('Somebody changed this in the meantime.')).toBeTruthy();
  });
});
