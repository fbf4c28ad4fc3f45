import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type SplitParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { splitsToFind } from './rules';

export const splitAndSpill: Mechanism<SplitParameters> = {
  id: 'split-and-spill',
  title: 'Split and spill',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Count the two-coloured counters into a cup, or fill the bag.',
    'Shake and spill, or pull the agreed number.',
    'Say how many show each colour; a hand may hide one colour to be worked out.',
    'Colour or write the split.',
    'Which splits have come, and which are still missing?',
  ],
  played: { with: ['things'], does: ['partner', 'counts'], moves: ['takes-apart'], who: ['in-turn'], ends: ['rounds'] },
  earlyEnding: 'Lay out one split of each kind that was found and look for a missing one together.',
  told: ['spills {x} and {y}: a new split', 'spills {x} and {y}, seen before'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['splitsSeen'],
  headStart: 'points',
  check: (p) =>
    firstOf(
      p.from === 'bag' &&
        p.first + p.second < p.counters &&
        impossible('counters', `The bag holds ${p.first + p.second} and ${p.counters} are pulled.`),
      splitsToFind(p).length === 0 && impossible('zeros', 'No split is left to find.'),
      p.ends === 'all-seen' &&
        p.from === 'shaken' &&
        p.zeros &&
        p.counters > 8 &&
        impossible(
          'ends',
          `All ${p.counters} of one colour comes once in ${2 ** p.counters} spills a side; leave such splits out or play rounds.`,
        ),
      p.ends === 'all-seen' &&
        p.counters > 12 &&
        impossible('counters', 'With more than 12 counters rare splits take far too long to see.'),
    ),
  checkTable: (seats) => sharedBy(seats, ['ends', 'rounds']),
  channels: (_p, seats) => {
    const most = Math.max(...seats.map((s) => s.parameters.counters));
    return [
      { op: 'subitise', unknown: 'result', rep: 'dots', a: [0, most], b: [0, 0] },
      { op: 'decompose', unknown: 'result', rep: 'dots', a: [0, most], b: [0, most] },
      { op: 'compose', unknown: 'b', rep: 'dots', a: [0, most], b: [0, most] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    ...(p.from === 'bag'
      ? [
          { kind: 'linking-cubes', quantity: p.first + p.second },
          { kind: 'bag', quantity: 1 },
        ]
      : [
          { kind: 'two-colour-counters', quantity: p.counters },
          { kind: 'cup', quantity: 1 },
        ]),
    ...(p.record ? [{ kind: 'recording-sheet', quantity: seats }] : []),
  ],
  sheets: (p, seats) =>
    p.record ? [{ sheet: 'recording-sheet', copies: seats, data: { records: 'splits', counters: p.counters, lines: p.rounds } }] : [],
};
