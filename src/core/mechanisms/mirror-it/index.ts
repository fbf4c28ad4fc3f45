import { impossible } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type MirrorParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const mirrorIt: Mechanism<MirrorParameters> = {
  id: 'mirror-it',
  title: 'Mirror it',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A card shows half a picture beside a line.',
    'Colour each square on the other side, as far from the line as its partner.',
    'Check with a mirror, or fold the paper on the line.',
    'Set right what the mirror shows.',
    'Make half a picture for your neighbour.',
  ],
  played: { with: ['paper'], does: ['mirrors'], moves: ['covers'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Hold the mirror on one card and let everyone say what changes when it is turned.',
  told: ['mirrors {x} squares, all as they should be', 'mirrors {x} squares; {y} are set right with the mirror'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['setRight'],
  headStart: null,
  check: (p) =>
    p.filled > p.grid * p.rows
      ? impossible('filled', `Half the picture has only ${p.grid * p.rows} squares.`)
      : p.line === 'slanting' && p.grid > p.rows
        ? impossible('rows', 'A slanting line needs as many rows as squares.')
        : null,
  channels: (_p, seats) => {
    const grid = Math.max(...seats.map((s) => s.parameters.grid));
    const rows = Math.max(...seats.map((s) => s.parameters.rows));
    return (['shape', 'picture', 'pieces'] as const).map((rep) => ({ op: 'mirror', unknown: 'result', rep, a: [0, grid], b: [0, rows] }));
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (_p, seats) => [
    { kind: 'pencils', quantity: seats },
    { kind: 'mirror-tile', quantity: Math.ceil(seats / 2) },
  ],
  sheets: (p, seats) => [{ sheet: 'mirror-cards', copies: seats, data: { ...p, count: p.tasks } }],
};
