// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, page, Refusal } from '../island.testing';
import ReviewView from './ReviewView';

const { api, show, gone } = islandTest();

const moved = (before: number, after: number) => ({
  skill: 'make-ten',
  title: 'Make a ten',
  before,
  after,
  statusBefore: 'growing',
  statusAfter: 'growing',
  because: ['Noted by a helper: on their own.'],
});
const ready = (moves: object[]): void => {
  api()
    .on('GET /plans', page([{ id: 'plan-1', date: '2026-11-10', status: 'good', playedAt: '2026-11-10T11:00:00Z', forecast: false }]))
    .on('GET /plans/plan-1/review', {
      plan: 'plan-1',
      date: '2026-11-10',
      playedAt: 'x',
      planned: 3,
      noted: 1,
      learners: [{ learner: 'wren', nickname: 'Wren', notes: 1, moved: moves }],
      practice: [],
      next: [
        { what: 'again', learner: 'wren', text: 'Wren: “make a ten on the way” again, with ten frame.' },
        { what: 'make', learner: null, text: 'Make or find by 2026-12-02: 2 × ten frame.' },
      ],
    });
};
const arrow = () =>
  screen
    .getByRole('img', { name: /rose|fell|as before/ })
    .querySelector('path[stroke="var(--soft)"]')!
    .getAttribute('d');

describe('what moved', () => {
  it.each([
    // The arm is drawn upright from 0.85 on, so a fall above that is seen by its arrow alone.
    [0.98, 0.92, 'M24 -10l6 6m0 0h-5m5 0v-5'],
    [0.92, 0.98, 'M24 -4l6 -6m0 0h-5m5 0v5'],
    [0.3, 0.6, 'M24 -4l6 -6m0 0h-5m5 0v5'],
    [0.5, 0.501, 'M24 -7h8'],
  ])('from %d to %d points the right way', async (before, after, path) => {
    ready([moved(before, after)]);
    show(<ReviewView plan={null} />);
    await screen.findByText('Wren');
    expect(arrow()).toBe(path);
    // In words: figures stand a tap deeper, on the child's own page.
    expect(document.body.textContent).not.toMatch(/0\.\d/);
  });
  it('ends in what to do next time, each line leading to its child', async () => {
    ready([moved(0.3, 0.6)]);
    show(<ReviewView plan={null} />);
    const line = await screen.findByRole('link', { name: /Wren: “make a ten on the way” again, with ten frame/ });
    expect(line.getAttribute('href')).toContain('/learners/wren');
    expect(screen.getByText('Make or find by 2026-12-02: 2 × ten frame.')).toBeTruthy();
  });
  it('is nothing where nothing was noted, and says so', async () => {
    ready([]);
    show(<ReviewView plan={null} />);
    expect(await screen.findByText(/Nothing was noted, so nothing moved/)).toBeTruthy();
  });
  it('that cannot be told says why', async () => {
    ready([]);
    api().on(
      'GET /plans/plan-1/review',
      new Refusal(503, { code: 'worker-lost', message: 'The calculation was ended before it was finished. Try again.' }),
    );
    show(<ReviewView plan={null} />);
    await waitFor(() => expect(within(document.body).getByText(/Try again/)).toBeTruthy());
    expect(gone()).toBeNull();
    await userEvent.tab();
  });
});
