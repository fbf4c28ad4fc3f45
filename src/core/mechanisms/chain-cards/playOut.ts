import { slips } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import { shuffle } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { ChainParameters } from './parameters';
import { answersOf, newLoop, writeLoop } from './rules';

export function createTable(seats: readonly Seat<ChainParameters>[]): PlayGame {
  const p = seats[0]!.parameters;
  const count = seats.length;
  const loop = newLoop(p.cards);
  const answers = answersOf(p);
  const pool = Int32Array.from(answers);
  const holder = new Int32Array(p.cards);
  return (rng: Rng, log: GameLog): void => {
    pool.set(answers);
    writeLoop(p, loop, pool, rng);
    for (let i = 0; i < p.cards; i++) holder[i] = i % count;
    shuffle(rng, holder, p.cards);
    let stalls = 0;
    for (let n = 0; n < p.cards * p.loops; n++) {
      const card = n % p.cards;
      const reader = holder[card]!;
      const next = holder[(card + 1) % p.cards]!;
      log.turn(reader, 1);
      log.note(reader, 0, loop.answer[card]!, loop.answer[(card + 1) % p.cards]!);
      if (p.everyone) for (let s = 0; s < count; s++) log.item(s, loop.op[card]!, loop.a[card]!, loop.b[card]!);
      else log.item(next, loop.op[card]!, loop.a[card]!, loop.b[card]!);
      // A holder who misses it is helped by the table: it is worked out once more.
      if (slips(seats[next]!, rng)) {
        stalls++;
        log.note(next, 1, loop.answer[(card + 1) % p.cards]!, 0);
        log.item(next, loop.op[card]!, loop.a[card]!, loop.b[card]!);
      } else log.scores[next]!++;
    }
    log.extra[0] = stalls;
    log.rounds = p.loops;
    log.winner = count === 1 ? 0 : -1;
  };
}
