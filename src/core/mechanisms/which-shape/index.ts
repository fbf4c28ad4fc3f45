import { families, questions, shapes } from '../../items/acts/shapes';
import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, SCHEMA, type WhichShapeParameters } from './parameters';
import { createTable } from './playOut';
import { asksOf, poolOf } from './rules';

export const whichShape: Mechanism<WhichShapeParameters> = {
  id: 'which-shape',
  title: 'Which shape is it?',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Shapes lie on the table, and one of them is secret.',
    'Ask what is answered by yes or no, and turn down what it cannot be.',
    'Name the one that is left.',
  ],
  played: { with: ['cards', 'things'], does: ['compares'], moves: ['guesses'], who: ['together'], ends: ['rounds'] },
  earlyEnding: 'The secret is shown, and everyone says one thing that is true of it.',
  told: ['asks, hears yes, and {x} shapes are left', 'asks, hears no, and {x} shapes are left', 'names the secret shape'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['shapesFound'],
  headStart: null,
  check: (p) =>
    firstOf(
      poolOf(p).length < 4 && impossible('shapes', 'There are too few such shapes.'),
      asksOf(p).length < 2 && impossible('asks', 'Such questions do not tell these shapes apart; choose others.'),
      p.laid > poolOf(p).length && impossible('laid', `There are only ${poolOf(p).length} such shapes.`),
    ),
  checkTable: (seats) => sharedBy(seats, ['shapes', 'laid', 'asks', 'hidden', 'questions']),
  channels: () => [
    { op: 'shape-name', unknown: 'result', rep: 'picture', a: [0, shapes.length - 1], b: [0, 3] },
    { op: 'shape-question', unknown: 'result', rep: 'picture', a: [0, shapes.length - 1], b: [0, questions.length - 1] },
    { op: 'shape-family', unknown: 'result', rep: 'picture', a: [0, shapes.length - 1], b: [0, families.length - 1] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [p.shapes === 'solids' ? { kind: 'solid-shapes', quantity: 1 } : { kind: 'shape-cards', quantity: 1 }],
  sheets: (p) => (p.shapes === 'solids' ? [] : [{ sheet: 'shape-cards', copies: 1, data: { shapes: p.shapes, copies: 1 } }]),
};
