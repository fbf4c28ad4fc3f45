import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { JarParameters } from './parameters';

const COUNT = 0;
const SKIP = 1;
const NEARER = 2;
const GAP = 3;

/** A guess strays by so many hundredths of the truth (common practice, no source); less with a jar of ten beside it, less again after a change. */
const stray = { careful: 20, typical: 35, random: 90 } as const;

type Player = Seat<JarParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const guesses = new Int32Array(count);
  const near = new Float64Array(count);
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let jar = 0; jar < common.jars; jar++) {
      const n = between(rng, common.fewest, common.most);
      for (let s = 0; s < count; s++) guesses[s] = guessOf(seats[s]!, n, rng);
      countAll(common, jar % count, count, n, log);
      for (let s = 0; s < count; s++) {
        log.turn(s, 1);
        near[s] = -Math.abs(guesses[s]! - n);
        log.item(s, NEARER, guesses[s]!, n);
        if (guesses[s] !== n) log.item(s, GAP, Math.max(guesses[s]!, n), Math.min(guesses[s]!, n));
        log.note(s, 0, guesses[s]!, n);
      }
      const best = bestOf(near, count);
      if (best >= 0) log.scores[best]!++;
    }
    settle(log, seats);
  };
}

function guessOf(seat: Player, n: number, rng: Rng): number {
  const { parameters: p } = seat;
  const helped = (p.known === 'a-jar-of-ten' ? 0.7 : 1) * (p.change === 'the-guess-may-change' ? 0.6 : 1);
  const most = Math.max(1, Math.round((n * stray[seat.policy] * helped) / 100));
  return Math.max(1, n + between(rng, -most, most));
}

/** Counted by everybody: each sees every ten, the heaps are made in turn. */
function countAll(p: JarParameters, first: number, count: number, n: number, log: GameLog): void {
  for (let s = 0; s < count; s++) {
    if (p.counted === 'one-by-one') log.item(s, COUNT, n, 0);
    else log.spend(s, (0.8 * n) / count);
  }
  if (p.counted === 'one-by-one') return;
  for (let ten = 0; ten + 10 <= n; ten += 10) for (let s = 0; s < count; s++) log.item(s, SKIP, ten, 10);
  log.item(first, COUNT, n, 0);
}
