import { ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type FillParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';
import { dieOf } from './rules';

const offGrid = { a: [0, 0], b: [0, 0] } as const;

/** Parts of a whole that the name of a set of pieces tells. */
const bottoms: Readonly<Record<string, number>> = {
  halves: 2,
  thirds: 3,
  quarters: 4,
  fifths: 5,
  sixths: 6,
  eighths: 8,
  tenths: 10,
  twelfths: 12,
};
const bottomsOf = (pieces: string): number[] => pieces.split('-').map((name) => bottoms[name]!);

export const fillTheWhole: Mechanism<FillParameters> = {
  id: 'fill-the-whole',
  title: 'Fill the whole',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone has the same number of empty wholes.',
    'Draw fraction pieces, choose one, and lay it in.',
    'Say how much is filled.',
    'The first whose wholes are full has done it.',
  ],
  played: { with: ['cards', 'things'], does: ['partner'], moves: ['fills'], who: ['in-turn'], ends: ['full'] },
  earlyEnding: 'Everyone says how much is still empty, and the table finds who needs least.',
  told: ['lays a piece of {x}; {y} is still empty', 'cannot use any piece: {x} is empty'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['piecesNotUsed'],
  headStart: 'parts',
  check: () => null,
  checkTable: (seats) => ownOnly(seats, ['pieces', 'choose', 'wholes']),
  channels: () => [
    { op: 'name-fraction', unknown: 'result', rep: 'pieces', ...offGrid },
    { op: 'add-fraction', unknown: 'result', rep: 'pieces', ...offGrid },
    { op: 'subtract-fraction', unknown: 'result', rep: 'pieces', ...offGrid },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { kind: 'fraction-pieces', quantity: seats },
    ...(dieOf(p).faces.length > 0 ? [{ kind: 'fraction-cards', quantity: 1 }] : []),
  ],
  sheets: (p, seats) => [
    { sheet: 'fraction-pieces', copies: seats, data: { pieces: p.pieces, wholes: p.wholes } },
    { sheet: 'fraction-cards', copies: 1, data: { bottoms: bottomsOf(p.pieces), tops: 'one-part', copies: 4 } },
  ],
};
