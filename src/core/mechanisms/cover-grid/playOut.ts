import { settle, slips } from '../../play/outcome';
import { below, type Rng, shuffle } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { CoverParameters } from './parameters';
import { factsFor, hasFreeCentre, linesOf, poolOf } from './rules';

const FREE = -1;

interface Card {
  /** Index into the pool at each cell; FREE for the middle. */
  readonly cells: Int32Array;
  readonly covered: Uint8Array;
  readonly order: Int32Array;
}

export function createTable(seats: readonly Seat<CoverParameters>[]): PlayGame {
  const p = seats[0]!.parameters;
  const pool = Int32Array.from(poolOf(p));
  const facts = Array.from(pool, (n) => factsFor(p, n));
  const calls = Int32Array.from(pool, (_, i) => i);
  const lines = linesOf(p);
  const count = seats.length;
  const cards: Card[] = seats.map(() => ({
    cells: new Int32Array(p.size ** 2),
    covered: new Uint8Array(p.size ** 2),
    order: Int32Array.from(calls),
  }));
  return (rng: Rng, log: GameLog): void => {
    for (let i = 0; i < calls.length; i++) calls[i] = i;
    for (const card of cards) {
      card.order.set(calls);
      fill(card, p, rng);
    }
    shuffle(rng, calls, calls.length);
    let winners = 0;
    for (let call = 0; call < calls.length && winners === 0; call++) {
      const index = calls[call]!;
      const own = facts[index]!;
      const at = 2 * below(rng, own.length / 2);
      log.note(0, 0, pool[index]!, call + 1);
      for (let s = 0; s < count; s++) {
        const cell = cards[s]!.cells.indexOf(index);
        // Everyone works out the call, and only then can see whether it is there: nobody is idle.
        log.turn(s, 1);
        log.item(s, 0, own[at]!, own[at + 1]!);
        if (cell >= 0 && !slips(seats[s]!, rng)) cards[s]!.covered[cell] = 1;
        else if (cell >= 0) log.extra[0]!++;
        if (log.following) log.stand(s, nearest(cards[s]!, lines, p.linesToWin));
      }
      for (let s = 0; s < count; s++) {
        if (complete(cards[s]!, lines) + seats[s]!.headStart < p.linesToWin) continue;
        winners++;
        log.winner = s;
        log.scores[s] = 1;
      }
      log.rounds = call + 1;
    }
    if (winners === 0) for (let s = 0; s < count; s++) log.scores[s] = complete(cards[s]!, lines);
    const rounds = log.rounds;
    if (winners !== 1) settle(log, seats);
    log.rounds = rounds;
  };
}

function fill(card: Card, p: CoverParameters, rng: Rng): void {
  const { cells, covered, order } = card;
  covered.fill(0);
  const middle = hasFreeCentre(p) ? (cells.length - 1) / 2 : -1;
  for (let i = 0; i < cells.length; i++) {
    if (i === middle) {
      cells[i] = FREE;
      covered[i] = 1;
      continue;
    }
    const j = i + below(rng, order.length - i);
    const kept = order[i]!;
    order[i] = order[j]!;
    order[j] = kept;
    cells[i] = order[i]!;
  }
}

/** Cells covered in the fullest lines, as many of them as are needed. */
function nearest(card: Card, lines: readonly Int32Array[], wanted: number): number {
  const covered = lines.map((line) => line.reduce((sum, i) => sum + card.covered[i]!, 0)).sort((x, y) => y - x);
  return covered.slice(0, wanted).reduce((sum, n) => sum + n, 0);
}

function complete(card: Card, lines: readonly Int32Array[]): number {
  let n = 0;
  for (const line of lines) {
    let whole = 1;
    for (let i = 0; i < line.length; i++) if (card.covered[line[i]!] === 0) whole = 0;
    n += whole;
  }
  return n;
}
