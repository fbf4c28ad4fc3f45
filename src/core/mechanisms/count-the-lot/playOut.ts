import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { LotParameters } from './parameters';

const MONEY = 0;
const ADD = 1;
const COUNT = 2;
const SKIP = 3;
const CHANGE = 4;
const mostPieces = 60;

export function createTable(seats: readonly Seat<LotParameters>[]): PlayGame {
  const lots = Math.max(...seats.map((s) => s.parameters.lots));
  const lot = new Int32Array(mostPieces);
  const values = seats.map((s) => [...s.parameters.coins].sort((x, y) => x - y));
  return (rng: Rng, log: GameLog): void => {
    for (let n = 0; n < lots; n++)
      for (let s = 0; s < seats.length; s++) {
        const { parameters: p } = seats[s]!;
        if (n >= p.lots) continue;
        const pieces = between(rng, p.fewest, p.most);
        if (p.pieces === 'counters') countersLot(p, s, pieces, log);
        else coinsLot(p, s, pieces, values[s]!, lot, rng, log);
        const wrong = slips(seats[s]!, rng);
        if (!wrong) log.scores[s]!++;
        else log.extra[0]!++;
      }
    settle(log, seats);
  };
}

function countersLot(p: LotParameters, s: number, pieces: number, log: GameLog): void {
  log.turn(s, 1);
  if (p.group === 1) log.item(s, COUNT, pieces, 0);
  else {
    // The first group is one too; what is left over is counted on by ones, also where the lot is smaller than a group.
    let at = 0;
    for (; at + p.group <= pieces; at += p.group) log.item(s, SKIP, at, p.group);
    for (; at < pieces; at++) log.item(s, SKIP, at, 1);
  }
  if (p.recount && log.scores.length > 1) log.item((s + 1) % log.scores.length, COUNT, pieces, 0);
  log.note(s, 0, pieces, pieces);
}

function coinsLot(p: LotParameters, s: number, pieces: number, values: readonly number[], lot: Int32Array, rng: Rng, log: GameLog): void {
  log.turn(s, 1);
  let amount = 0;
  for (let i = 0; i < pieces; i++) lot[i] = values[below(rng, values.length)]!;
  if (p.order === 'largest-first') lot.subarray(0, pieces).sort().reverse();
  for (let i = 0; i < pieces; i++) {
    if (i > 0) log.item(s, ADD, amount, lot[i]!);
    amount += lot[i]!;
  }
  log.item(s, MONEY, amount, pieces);
  if (p.change === 'from-a-price' && amount > 1) log.item(s, CHANGE, amount, between(rng, 1, amount - 1));
  if (p.recount && log.scores.length > 1) log.item((s + 1) % log.scores.length, MONEY, amount, pieces);
  log.note(s, 1, pieces, amount);
}
