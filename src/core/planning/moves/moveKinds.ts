import type { Move } from './move';
import { joinCompanion, ring, shift, swap, swapTwice } from './seatMoves';
import { changeAndRefill, changeGame, closeTable, openTable, swapGames } from './tableMoves';

/** Each kind of move and how often it is tried, in shares of 1. */
export const moveKinds: readonly { readonly name: string; readonly move: Move; readonly share: number }[] = [
  { name: 'swap', move: swap, share: 0.58 },
  { name: 'shift', move: shift, share: 0.12 },
  { name: 'ring', move: ring, share: 0.04 },
  { name: 'swap twice', move: swapTwice, share: 0.03 },
  { name: 'change game', move: changeGame, share: 0.14 },
  { name: 'change and refill', move: changeAndRefill, share: 0.04 },
  { name: 'open table', move: openTable, share: 0.01 },
  { name: 'close table', move: closeTable, share: 0.01 },
  { name: 'swap games', move: swapGames, share: 0.02 },
  { name: 'join a companion', move: joinCompanion, share: 0.01 },
];
