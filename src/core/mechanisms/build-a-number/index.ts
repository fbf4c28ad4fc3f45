import { inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type BuildParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

/** Numbers beyond this are counted apart from the dense tally. */
const denseNumber = 1000;
const densePair = 150;

export const buildANumber: Mechanism<BuildParameters> = {
  id: 'build-a-number',
  title: 'Build a number',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Draw a number card and read it.',
    'Build it with hundreds, tens and ones, or lay it out as a sum of its parts.',
    'Say it: four tens and six.',
    'Exchange a ten for ten ones and show it another way, if agreed.',
    'Compare with your neighbour: whose is more?',
  ],
  played: { with: ['things', 'cards'], does: ['places-digits'], moves: ['builds'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Push all pieces together and read what the table has built.',
  told: ['builds {x} with {y} pieces'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['secondWays'],
  headStart: null,
  check: (p) => inOrder(p.lowest, p.highest, 'highest', 'number'),
  checkTable: (seats) => sharedBy(seats, ['rounds']),
  channels: (p, seats) => {
    const most = Math.min(denseNumber, Math.max(...seats.map((s) => s.parameters.highest)));
    const pair = most <= densePair ? ([0, most] as const) : ([0, 0] as const);
    return [
      { op: 'read-numeral', unknown: 'result', rep: p.asked === 'words' ? 'words' : 'numerals', a: [0, most], b: [0, 0] },
      { op: 'write-numeral', unknown: 'result', rep: 'pieces', a: [0, most], b: [0, 0] },
      { op: 'place-digit', unknown: 'result', rep: 'pieces', a: [0, 9], b: [0, 6] },
      { op: 'compose', unknown: 'result', rep: 'expression', a: pair, b: pair },
      { op: 'compare', unknown: 'result', rep: 'numerals', a: pair, b: pair },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) =>
    p.form === 'expanded-form'
      ? [{ kind: 'digit-cards-0-9', quantity: seats }]
      : [
          { kind: 'tens-rods', quantity: 9 * seats },
          { kind: 'linking-cubes', quantity: 19 * seats },
          ...(p.highest >= 100 ? [{ kind: 'hundred-squares', quantity: 9 * seats }] : []),
        ],
  sheets: (p) => [{ sheet: 'number-cards', copies: 1, data: { low: p.lowest, high: p.highest, copies: 1, some: 60 } }],
};
