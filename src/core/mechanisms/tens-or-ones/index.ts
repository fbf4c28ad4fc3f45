import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, SCHEMA, type TensParameters } from './parameters';
import { createTable } from './playOut';
import { unitOf } from './rules';

const offGrid = { a: [0, 0], b: [0, 0] } as const;

export const tensOrOnes: Mechanism<TensParameters> = {
  id: 'tens-or-ones',
  title: 'Tens or ones',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A die is thrown for all, several times.',
    'Each decides at once whether it counts big or small, and adds it up.',
    'Whoever ends nearest to the target takes the round.',
  ],
  played: { with: ['dice', 'paper'], does: ['adds', 'places-digits'], moves: ['makes-target'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Finish the throws of this round with the die in the middle, and see who is nearest.',
  told: ['takes {x}; the total is {y}', 'is nearest with {x} to {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 8 },
  extraMeasures: ['farFromTarget'],
  headStart: 'points',
  check: (p) =>
    firstOf(
      p.target > p.throws * p.faces * 10 && impossible('target', `${p.throws} throws make ${p.throws * p.faces * 10} at most.`),
      p.target < p.throws && impossible('target', `${p.throws} throws make ${p.throws} at least.`),
    ),
  checkTable: (seats) => sharedBy(seats, ['units', 'throws', 'faces', 'rounds']),
  channels: (p) => {
    const { decimal } = unitOf(p);
    const all = p.throws * p.faces * 10 * unitOf(p).worth;
    const spans = decimal || all > 700 ? offGrid : ({ a: [0, all], b: [0, all] } as const);
    const rep = 'numerals' as const;
    return [
      { op: decimal ? 'place-decimal' : 'place-digit', unknown: 'result', rep, a: [0, 10], b: [0, 3] },
      { op: decimal ? 'add-decimal' : 'add', unknown: 'result', rep, ...spans },
      { op: decimal ? 'subtract-decimal' : 'subtract', unknown: 'result', rep, ...spans },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    { chances: [1, p.faces], count: 1 },
    { kind: 'paper', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: () => [],
};
