import { firstOf, impossible, inOrder } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type MeasureParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable, unitMm, unitsOf } from './playOut';

export const measureAndRecord: Mechanism<MeasureParameters> = {
  id: 'measure-and-record',
  title: 'Measure and record',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Choose a thing that stays still and has a straight edge.',
    'Say how many units long it will be.',
    'Lay the units end to end along it, without gaps, and count; or read the ruler from zero.',
    'Write it in the table or colour a bar.',
    'Look at the chart: which is longer, and by how much?',
  ],
  played: { with: ['things', 'paper'], does: ['counts'], moves: ['writes'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Line up the things from short to long without measuring any more.',
  told: ['measures a thing {x} units long'],
  howTo,
  inCountry: (p, { ruler }) => (p.unit === 'centimetres' || p.unit === 'inches' ? { ...p, unit: ruler } : p),
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['laidAgain'],
  headStart: null,
  check: (p) =>
    firstOf(
      inOrder(p.shortest, p.longest, 'longest', 'length'),
      p.longest * 10 < 2 * unitMm[p.unit] && impossible('unit', 'The longest thing is shorter than two such units; take a smaller unit.'),
      unitsOf(p) > 200 && impossible('unit', 'That is more than 200 units; take a longer unit.'),
    ),
  channels: (_p, seats) => {
    const most = Math.ceil(Math.max(...seats.map((s) => unitsOf(s.parameters))) * 1.3) + 5;
    return [
      { op: 'measure', unknown: 'result', rep: 'pieces', a: [0, most], b: [10, 140] },
      { op: 'compare', unknown: 'result', rep: 'picture', a: [0, most], b: [0, most] },
      { op: 'write-numeral', unknown: 'result', rep: 'numerals', a: [0, most], b: [0, 0] },
      { op: 'read-graph', unknown: 'result', rep: 'bars', a: [0, most], b: [1, 5] },
      { op: 'compare', unknown: 'result', rep: 'numerals', a: [0, most], b: [0, most] },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, most], b: [0, most] },
      { op: 'compare', unknown: 'result', rep: 'bars', a: [0, most], b: [0, most] },
      { op: 'subtract', unknown: 'result', rep: 'bars', a: [0, most], b: [0, most] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    {
      kind: p.unit === 'dominoes' ? 'dominoes' : p.unit === 'cubes' ? 'linking-cubes' : p.unit === 'hand-spans' ? 'paper' : 'ruler',
      quantity: p.unit === 'cubes' ? unitsOf(p) * seats : seats,
    },
    { kind: 'recording-sheet', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p, seats) => [
    { sheet: 'measure-sheet', copies: seats, data: { unit: p.unit, things: p.things, chart: p.chart, scale: p.scale } },
  ],
};
