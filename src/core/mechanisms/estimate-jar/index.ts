import { inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type JarParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const estimateJar: Mechanism<JarParameters> = {
  id: 'estimate-jar',
  title: 'Estimate the jar',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A jar holds more things than can be seen at a glance.',
    'Everyone writes a guess.',
    'Count them together in tens; the nearest takes the jar.',
  ],
  played: { with: ['things'], does: ['counts', 'compares'], moves: ['guesses', 'counts-up'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Count the jar that is open together, and put its heaps of ten in a row.',
  told: ['guesses {x}; there are {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 8 },
  extraMeasures: [],
  headStart: 'points',
  check: (p) => inOrder(p.fewest, p.most, 'most', 'number of things'),
  checkTable: (seats) => sharedBy(seats, ['fewest', 'most', 'counted', 'jars']),
  channels: (p) => {
    const all = 2 * p.most + 2;
    return [
      { op: 'count', unknown: 'result', rep: 'pieces', a: [0, p.most], b: [0, 0] },
      { op: 'next-in-sequence', unknown: 'result', rep: 'pieces', a: [0, p.most], b: [10, 10] },
      { op: 'compare', unknown: 'result', rep: 'numerals', a: [0, all], b: [0, p.most] },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, all], b: [0, all] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    { kind: 'jar', quantity: p.known === 'a-jar-of-ten' ? 2 : 1 },
    { kind: 'two-colour-counters', quantity: p.most },
    { kind: 'paper', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: () => [],
};
