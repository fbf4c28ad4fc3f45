import { firstOf, impossible, inOrder } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type PatternParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const continueThePattern: Mechanism<PatternParameters> = {
  id: 'continue-the-pattern',
  title: 'Continue the pattern',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Lay the pattern of a strip with beads, shapes or numbers and say it aloud.',
    'Find the part that repeats, or by how much it grows.',
    'Lay what comes next, what is missing, or say what stands far ahead.',
    'Check by saying the whole pattern once more.',
    'Make one for your neighbour with a catch in it.',
  ],
  played: { with: ['things', 'paper'], does: ['goes-on'], moves: ['builds'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Everyone claps one pattern; the others continue it.',
  told: ['finds the part of {x} that repeats, and what stands at place {y}', 'finds steps of {x} and the number {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['mistaken'],
  headStart: 'patterns',
  check: (p) =>
    firstOf(
      inOrder(p.shortest, p.longest, 'longest', 'core length'),
      p.kind !== 'grows' &&
        p.shown < 2 * p.longest &&
        impossible('shown', `A core of ${p.longest} must be seen at least twice: show ${2 * p.longest} pieces.`),
    ),
  channels: (_p, seats) => {
    const shown = Math.max(...seats.map((s) => s.parameters.shown)) + 12;
    const step = Math.max(...seats.map((s) => s.parameters.step));
    const most = 5 + shown * step;
    return [
      { op: 'next-in-pattern', unknown: 'result', rep: 'shape', a: [1, 6], b: [0, shown] },
      { op: 'next-in-sequence', unknown: 'result', rep: 'numerals', a: [0, most], b: [0, step] },
      { op: 'next-in-sequence', unknown: 'a', rep: 'numerals', a: [0, most], b: [0, step] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (_p, seats) => [{ kind: 'two-colour-counters', quantity: 12 * seats }],
  sheets: (p, seats) => [{ sheet: 'pattern-strips', copies: 1, data: { ...p, count: Math.min(60, p.tasks * seats) } }],
};
