import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { type AngleParameters, DEFAULTS, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const angleAim: Mechanism<AngleParameters> = {
  id: 'angle-aim',
  title: 'Angle aim',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A card names an angle, or one that is to be made up.',
    'Draw it by eye or find it, and measure.',
    'The nearest takes the round.',
  ],
  played: {
    with: ['cards', 'paper'],
    does: ['compares', 'takes-away'],
    moves: ['makes-target', 'guesses'],
    who: ['all-at-once'],
    ends: ['rounds'],
  },
  earlyEnding: 'Everyone draws a right angle by eye, and the corner of a card tells who is nearest.',
  told: ['aims at {x} degrees and draws {y}', 'is nearest to {x} degrees, {y} off'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: [],
  headStart: 'points',
  check: (p) =>
    firstOf(p.whole - p.step < p.step && impossible('step', `In steps of ${p.step}° there is nothing to make up to ${p.whole}°.`)),
  checkTable: (seats) => sharedBy(seats, ['step', 'most', 'rounds', 'play', 'whole']),
  channels: () => [
    { op: 'angle-kind', unknown: 'result', rep: 'picture', a: [0, 360], b: [0, 0] },
    { op: 'measure-angle', unknown: 'result', rep: 'picture', a: [0, 360], b: [5, 5] },
    { op: 'angle-missing', unknown: 'result', rep: 'numerals', a: [90, 360], b: [0, 360] },
    { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, 360], b: [0, 360] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    ...(p.play === 'finds-the-missing-one'
      ? []
      : [
          { kind: 'protractor', quantity: 1 },
          { kind: 'ruler', quantity: seats },
        ]),
    { kind: 'number-cards', quantity: 1 },
    { kind: 'paper', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p) => [{ sheet: 'number-cards', copies: 1, data: { low: p.step, high: p.most - p.step, by: p.step, copies: 1 } }],
};
