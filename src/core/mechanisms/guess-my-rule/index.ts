import { sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type MachineParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';

const offGrid = { a: [0, 0], b: [0, 0] } as const;

export const guessMyRule: Mechanism<MachineParameters> = {
  id: 'guess-my-rule',
  title: 'Guess my rule',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'One player is a machine with a secret rule.',
    'The others put numbers in and hear what comes out.',
    'Whoever knows the rule tries it on a number of their own before saying it.',
  ],
  played: { with: ['paper'], does: ['multiplies', 'adds', 'takes-away'], moves: ['guesses', 'tells'], who: ['together'], ends: ['rounds'] },
  earlyEnding: 'The machine shows its rule, and everyone puts one last number through it.',
  told: ['the machine takes {x} and gives {y}', 'knows the rule: times {x}, and {y} more'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['rulesFound'],
  headStart: null,
  check: () => null,
  checkTable: (seats) => sharedBy(seats, ['rules', 'most', 'adds', 'inputs', 'machines', 'tries']),
  channels: (p) => [
    { op: 'machine-rule', unknown: 'result', rep: 'numerals', ...offGrid },
    { op: 'add', unknown: 'result', rep: 'numerals', a: [0, p.inputs + p.adds + 2], b: [0, p.adds] },
    { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, p.inputs + p.adds + 2], b: [0, p.adds] },
    { op: 'multiply', unknown: 'result', rep: 'numerals', a: [0, p.inputs + 2], b: [0, p.most] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (_p, seats) => [
    { kind: 'paper', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: () => [],
};
