import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type GraphParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const sortAndGraph: Mechanism<GraphParameters> = {
  id: 'sort-and-graph',
  title: 'Sort and graph',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Agree what the trays stand for and sort the pieces.',
    'Count each tray.',
    'Record it: tally marks, pictures, or bars; say what one square stands for.',
    'Ask each other: how many, which has most, how many more?',
    'Answer from the graph, with the trays covered.',
  ],
  played: { with: ['things', 'paper'], does: ['counts', 'compares'], moves: ['writes'], who: ['together'], ends: ['rounds'] },
  earlyEnding: 'Each says one true sentence about the graph that nobody has said.',
  told: ['counts {x} pieces in a tray and draws {y} squares'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['misread'],
  headStart: null,
  check: (p) =>
    firstOf(
      p.pieces < p.trays * 2 && impossible('pieces', `${p.trays} trays want at least ${p.trays * 2} pieces.`),
      p.record === 'tally' && p.scale !== 1 && impossible('scale', 'A tally mark stands for one.'),
    ),
  checkTable: (seats) =>
    seats[0]!.parameters.together
      ? sharedBy(seats, ['together', 'trays', 'pieces', 'record', 'scale', 'uneven'])
      : sharedBy(seats, ['together']),
  channels: (p, seats) => {
    const most = Math.max(...seats.map((s) => s.parameters.pieces));
    return [
      { op: 'count', unknown: 'result', rep: 'pieces', a: [0, most], b: [0, 0] },
      p.record === 'tally'
        ? { op: 'count', unknown: 'result', rep: 'tally', a: [0, most], b: [0, 0] }
        : { op: 'next-in-sequence', unknown: 'result', rep: p.record === 'bars' ? 'bars' : 'picture', a: [0, most], b: [0, 5] },
      {
        op: 'read-graph',
        unknown: 'result',
        rep: p.record === 'tally' ? 'tally' : p.record === 'bars' ? 'bars' : 'picture',
        a: [0, most],
        b: [0, 5],
      },
      { op: 'subtract', unknown: 'result', rep: 'bars', a: [0, most], b: [0, most] },
      { op: 'compare', unknown: 'result', rep: 'bars', a: [0, most], b: [0, most] },
      { op: 'add', unknown: 'result', rep: 'bars', a: [0, most], b: [0, most] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    { kind: 'sorting-things', quantity: p.pieces * (p.together ? 1 : seats) },
    { kind: 'dice-tray', quantity: p.trays },
    { kind: 'recording-sheet', quantity: p.together ? 1 : seats },
  ],
  sheets: (p, seats) => [
    {
      sheet: 'graph-sheet',
      copies: p.together ? 1 : seats,
      data: { trays: p.trays, record: p.record, scale: p.scale, most: Math.min(100, Math.ceil((2 * p.pieces) / p.trays)) },
    },
  ],
};
