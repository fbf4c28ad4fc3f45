import { operationChannels } from '../../play/arithmetic';
import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism } from '../mechanism';
import { type CloseParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { solveTiles } from './solver';

function check(p: CloseParameters): Problem | null {
  const early = firstOf(
    p.oneDie !== 'never' && p.tiles < 7 && impossible('oneDie', 'With so few tiles one die is not needed; let two be thrown.'),
  );
  if (early || p.stuck === 'round-over') return early;
  const all = (1 << p.tiles) - 1;
  return Number.isFinite(solveTiles(p, 'fewest-throws').value[all]!)
    ? null
    : impossible(
        'operations',
        `With these operations some tile from 1 to ${p.tiles} can never be closed, so the round would not end. Allow more operations, or let it end when nothing fits.`,
      );
}

export const closeTheTiles: Mechanism<CloseParameters> = {
  id: 'close-the-tiles',
  title: 'Close the tiles',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Lay your tiles from one upward, all open.',
    'Throw two dice and join them by an operation you may use.',
    'Close the tile of that number, or several that make it together.',
    'When nothing fits, your round is over, or you wait for the next throw, as agreed.',
    'Count what is left open: the least is best.',
  ],
  played: { with: ['dice', 'tiles'], does: ['adds', 'takes-away', 'multiplies'], moves: ['closes'], who: ['in-turn'], ends: ['full'] },
  earlyEnding: 'Everyone counts the closed tiles; say which throw each is still waiting for.',
  told: ['throws {x} and closes tiles worth {y}', 'throws {x} and {y}: nothing fits'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['allClosed', 'leftOpen'],
  headStart: 'points',
  check,
  checkTable: (seats) => sharedBy(seats, ['rounds', 'stuck']),
  channels: (_p, seats) => {
    const face = Math.max(...seats.map((s) => s.parameters.faces));
    const tiles = Math.max(...seats.map((s) => s.parameters.tiles));
    const all = (tiles * (tiles + 1)) / 2;
    return [
      ...operationChannels('pips').map((c) => ({ ...c, a: [0, face] as const, b: [0, face] as const })),
      { op: 'add', unknown: 'result', rep: 'numerals', a: [0, face * face], b: [0, tiles] },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, all], b: [0, face * face] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { chances: [1, p.faces], count: 2 },
    { kind: 'dice-tray', quantity: 1 },
    { cards: [1, p.tiles], each: seats },
  ],
  // Cards 1 to 10 of a usual deck lie for the tiles.
  sheets: (p, seats) => (p.tiles <= 10 ? [] : [{ sheet: 'tile-strip', copies: 1, data: { tiles: p.tiles, strips: seats } }]),
};
