import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type SequenceParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const sequenceGrid: Mechanism<SequenceParameters> = {
  id: 'sequence-grid',
  title: 'Sequence grid',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'The grid counts in steps, row by row; some cells are blank.',
    'Find the step from two cells side by side.',
    'Fill the blanks, one after another or in turn.',
    'Read a full row aloud: does it sound right?',
    'Look for what the columns do.',
  ],
  played: { with: ['paper', 'board'], does: ['goes-on'], moves: ['writes'], who: ['all-at-once'], ends: ['full'] },
  earlyEnding: 'Fill in only the last cell together and say how you know.',
  told: ['writes {x} in cell {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['hundredsCrossed', 'mistaken'],
  headStart: null,
  check: (p) =>
    firstOf(
      p.direction === 'backward' &&
        p.start < p.step * (p.rows * p.columns) &&
        impossible(
          'start',
          `Counting back ${p.rows * p.columns} cells by ${p.step} goes below zero; start at ${p.step * p.rows * p.columns} or more.`,
        ),
    ),
  checkTable: (seats) =>
    seats[0]!.parameters.form === 'one-grid-in-turn'
      ? sharedBy(seats, ['start', 'step', 'direction', 'rows', 'columns', 'form', 'blanks'])
      : sharedBy(seats, ['form']),
  channels: (_p, seats) => {
    const most = Math.max(...seats.map(({ parameters: p }) => p.start + p.step * (p.rows * p.columns + 1)));
    const steps = Math.max(...seats.map((s) => s.parameters.step));
    const dense = most <= 400 && steps <= 20;
    return [
      { op: 'next-in-sequence', unknown: 'result', rep: 'numerals', a: [0, dense ? most : 0], b: dense ? [-steps, steps] : [0, 0] },
      { op: 'read-numeral', unknown: 'result', rep: 'numerals', a: [0, Math.min(2000, most)], b: [0, 0] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: (p) => p.form === 'each-own-grid',
  createTable,
  needs: (_p, seats) => [
    { kind: 'recording-sheet', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p, seats) => [
    {
      sheet: 'sequence-grid',
      copies: p.form === 'each-own-grid' ? Math.ceil(seats / 2) : 1,
      data: { ...p, grids: p.form === 'each-own-grid' ? 2 : 1 },
    },
  ],
};
