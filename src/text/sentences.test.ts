import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../contract/shippedData';
import type { Exclusion } from '../core/recommend/recommend';
import type { Violation } from '../core/planning/checkPlan';
import type { HelpingStep, SeatBecause } from '../core/planning/plannedMeeting';
import { exclusionReason, lower, helpingSentence, seatSentence, suggestionReasons, violationSentence } from './sentences';

const graph = shippedGraph();
const names = {
  learner: (id: string) => id.toUpperCase(),
  game: (id: string) => id,
  variant: (id: string) => `${id}!`,
  kind: (id: string) => `Kind ${id}`,
  skill: (id: string) => id,
};
const at = (id: string): number => graph.indexOf.get(id)!;

describe('sentences', () => {
  it('say in two lines what is practised and why it fits', () => {
    const lines = suggestionReasons(
      graph,
      {
        game: 'g',
        value: 1,
        missing: [],
        recentDays: 4,
        seats: [
          { learner: 'wren', variant: 'v', value: 1, success: 0.78, skill: at('take-across-ten'), chances: 41 },
          { learner: 'fern', variant: 'v', value: 1, success: 0.7, skill: at('take-across-ten'), chances: 39 },
        ],
      },
      names,
    );
    expect(lines).toEqual([
      'WREN and FERN: about 40 chances for “take away across ten”.',
      'Last played 4 days ago; about 74 % of answers should be right.',
    ]);
  });
  it.each<[Exclusion, RegExp]>([
    [{ game: 'g', because: 'players', least: 2, most: 2 }, /^It is for 2 players\.$/],
    [{ game: 'g', because: 'minutes', minutes: 40 }, /40 minutes/],
    [{ game: 'g', because: 'stock', missing: [{ kind: 'die', short: 2 }] }, /Missing: 2 × kind die/],
    [{ game: 'g', because: 'nothing-needed' }, /Nothing/],
    [{ game: 'g', because: 'not-measured', source: 'none' }, /Nobody has said/],
    [
      {
        game: 'g',
        because: 'gate',
        learner: 'wren',
        gate: { because: 'needs', skill: at('make-ten'), missing: at('pairs-of-10'), sort: 'heart' },
        alternative: 'lamps',
      },
      /WREN is not there yet with “pairs of ten”\. Rather: lamps!/,
    ],
    [{ game: 'g', because: 'gate', learner: 'wren', gate: { because: 'too-hard', success: 0.31 }, alternative: null }, /31 % right/],
    [{ game: 'g', because: 'gate', learner: 'wren', gate: { because: 'age' }, alternative: null }, /ages/],
  ])('name why a game is left out (%#)', (x, want) => expect(exclusionReason(graph, x, names)).toMatch(want));
  it.each<[Violation, RegExp]>([
    [{ rule: 'placed', learner: 1, round: 0, times: 0 }, /l1 has no seat in round 1/],
    [{ rule: 'placed', learner: 1, round: 0, times: 2 }, /sits at 2 tables/],
    [{ rule: 'eligible', learner: 1, round: 1, game: 2 }, /g2 does not suit l1 \(round 2\)/],
    [{ rule: 'repeat', learner: 1, round: 1, game: 2 }, /plays g2 twice/],
    [{ rule: 'size', round: 0, game: 2, size: 1 }, /1 player in round 1/],
    [{ rule: 'tables', round: 0, used: 5, have: 4 }, /5 tables in round 1; you have 4/],
    [{ rule: 'helpers', round: 0, used: 3, have: 2 }, /3 tables need a helper/],
    [{ rule: 'stock', round: 2, kind: 0, used: 3, have: 2 }, /3 × k0 needed in round 3; you own 2/],
    [{ rule: 'preparation', used: 50, have: 20 }, /50 minutes/],
    [{ rule: 'lock', learner: 0, round: 0, game: 0 }, /no longer sits/],
    [{ rule: 'rounds', used: 2, have: 3 }, /2 rounds planned/],
    [{ rule: 'apart', learner: 0, other: 1, round: 1 }, /l0 and l1 share a table in round 2/],
    [{ rule: 'loud', round: 0, used: 2, have: 1 }, /2 lively or floor tables in round 1; you want 1/],
  ])('tell a broken rule (%#)', (v, want) =>
    expect(violationSentence(v, { learner: (i) => `l${i}`, game: (i) => `g${i}`, kind: (i) => `K${i}` })).toMatch(want),
  );
  it.each<[HelpingStep, string]>([
    [{ relax: 'tables', by: 1 }, 'One more table.'],
    [{ relax: 'tables', by: 3 }, '3 more tables.'],
    [{ relax: 'helpers', by: 1 }, 'One more helper.'],
    [{ relax: 'helpers', by: 2 }, '2 more helpers.'],
    [{ relax: 'stock', by: 2, kind: 'frame' }, '2 more of “bead frame”.'],
    [{ relax: 'preparation', by: 1 }, '1 more minute to get ready.'],
    [{ relax: 'preparation', by: 25 }, '25 more minutes to get ready.'],
    [{ relax: 'repeats', by: 2 }, 'A game may be played twice by the same child.'],
    [{ relax: 'lock', lock: { learner: 'wren', round: 0, game: 'lamps' } }, 'Let go of Wren at Two Lamps in round 1.'],
    [
      { relax: 'lock', lock: { learner: 'wren', round: 0, game: 'lamps' }, beside: { learner: 'moth', round: 0, game: 'relay' } },
      'Let go of Wren at Two Lamps in round 1: it cannot be kept beside Moth at Relay in round 1.',
    ],
  ])('say what would bring everybody a seat (%#)', (step, want) => {
    const named: Record<string, string> = { wren: 'Wren', moth: 'Moth', lamps: 'Two Lamps', relay: 'Relay' };
    expect(helpingSentence(step, { learner: (l) => named[l]!, game: (g) => named[g]!, kind: (k) => `Bead ${k}` })).toBe(want);
  });
  it('freeze the reason of a seat in plain words', () => {
    const seat = { skill: 'make-ten', chances: 17.6, success: 0.8, stretched: false };
    const told = (because: SeatBecause): string => seatSentence({ ...seat, because }, 'Wren', () => 'Make a ten on the way');
    expect(told('ready')).toBe('Wren is ready for “make a ten on the way”: about 18 chances here, 80 % likely right.');
    expect(told('near')).toContain('is near “make a ten on the way”, and something before it is still growing');
    expect(told('again')).toContain('again after a while');
    // What is held is never called something to be ready for.
    expect(told('joy')).toBe('Wren holds “make a ten on the way” well; this seat is just for joy and good company.');
    expect(seatSentence({ ...seat, because: 'near', stretched: true }, 'Wren', () => 'Make a ten on the way')).toBe(
      'Hard for Wren yet, for “make a ten on the way”: with somebody beside.',
    );
    expect(lower('US style')).toBe('US style');
  });
});
