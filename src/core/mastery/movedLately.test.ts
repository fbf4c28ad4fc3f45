import { describe, expect, it } from 'vitest';
import { movedLately } from './movedLately';

const today = '2026-11-25';
const noted = (at: string, before: number, after: number) => ({
  evidence: at as string | null,
  at: `${at}T10:00:00.000Z`,
  because: 'noted' as 'noted' | 'forgotten' | 'neighbour',
  before,
  after,
});
const forgotten = (at: string, before: number, after: number) => ({
  ...noted(at, before, after),
  because: 'forgotten' as const,
  evidence: null,
});

describe('what moved lately', () => {
  it('is the rise from before the first to after the last note of four weeks, largest first', () => {
    const found = movedLately(
      [
        { skill: 'a', steps: [noted('2026-09-01', 0.1, 0.4), noted('2026-11-02', 0.4, 0.6), noted('2026-11-20', 0.6, 0.9)] },
        { skill: 'b', steps: [noted('2026-11-20', 0.1, 0.9)] },
      ],
      today,
    );
    expect(found).toEqual([
      { skill: 'b', from: 0.1, to: 0.9 },
      { skill: 'a', from: 0.4, to: 0.9 },
    ]);
  });
  it('names those that rose alike by their names', () => {
    const one = (skill: string) => ({ skill, steps: [noted('2026-11-20', 0.1, 0.9)] });
    expect(movedLately(['c', 'a', 'b'].map(one), today).map((m) => m.skill)).toEqual(['a', 'b', 'c']);
  });
  it('does not take getting back what was likely forgotten for a rise', () => {
    const back = {
      skill: 'back',
      steps: [noted('2026-09-01', 0.4, 0.95), forgotten('2026-11-20', 0.95, 0.7), noted('2026-11-20', 0.7, 0.96)],
    };
    const higher = {
      skill: 'higher',
      steps: [
        noted('2026-09-01', 0.4, 0.6),
        forgotten('2026-11-20', 0.6, 0.5),
        noted('2026-11-20', 0.5, 0.9),
        forgotten('2026-11-25', 0.9, 0.85),
      ],
    };
    expect(movedLately([back, higher], today)).toEqual([{ skill: 'higher', from: 0.6, to: 0.9 }]);
  });
  it('leaves out what is older, what fell, what hardly rose and what was only calculated', () => {
    const found = movedLately(
      [
        { skill: 'older', steps: [noted('2026-10-20', 0.1, 0.9)] },
        { skill: 'fell', steps: [noted('2026-11-20', 0.8, 0.4)] },
        { skill: 'hardly', steps: [noted('2026-11-20', 0.8, 0.85)] },
        { skill: 'up and down', steps: [noted('2026-11-10', 0.5, 0.8), noted('2026-11-20', 0.8, 0.5)] },
        { skill: 'calculated', steps: [forgotten('2026-11-20', 0.1, 0.9)] },
        { skill: 'told by a neighbour', steps: [{ ...noted('2026-11-20', 0.1, 0.9), because: 'neighbour' as const }] },
        { skill: 'nothing', steps: [] },
      ],
      today,
    );
    expect(found).toEqual([]);
  });
});
