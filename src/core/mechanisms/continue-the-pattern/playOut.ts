import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { PatternParameters } from './parameters';

const REPEAT = 0;
const GROW = 1;
const GROW_MISSING = 2;
/** How far ahead "far ahead" asks. */
const farAhead = 10;

export function createTable(seats: readonly Seat<PatternParameters>[]): PlayGame {
  const tasks = Math.max(...seats.map((s) => s.parameters.tasks));
  return (rng: Rng, log: GameLog): void => {
    for (let task = 0; task < tasks; task++)
      for (let s = 0; s < seats.length; s++) {
        const { parameters: p } = seats[s]!;
        if (task >= p.tasks) continue;
        solveOne(seats[s]!, s, rng, log);
        if (p.makeOwn) solveOne(seats[(s + 1) % seats.length]!, (s + 1) % seats.length, rng, log);
      }
    settle(log, seats);
  };
}

function solveOne(seat: Seat<PatternParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const grows = p.kind === 'grows' || (p.kind === 'either' && below(rng, 2) === 0);
  const place =
    p.asks === 'what-comes-next' ? p.shown : p.asks === 'far-ahead' ? p.shown + between(rng, 1, farAhead) : between(rng, 1, p.shown - 1);
  log.turn(s, grows ? 1 : 2);
  if (grows) {
    const first = between(rng, 1, 5);
    const step = between(rng, 1, p.step);
    // A far member is reached step by step.
    const from = p.asks === 'far-ahead' ? p.shown - 1 : place - 1;
    for (let i = from; i < place; i++) log.item(s, p.asks === 'what-is-missing' ? GROW_MISSING : GROW, first + i * step, step);
    log.note(s, 1, step, first + place * step);
  } else {
    const core = between(rng, p.shortest, p.longest);
    log.item(s, REPEAT, core, place);
    log.note(s, 0, core, place + 1);
  }
  if (!slips(seat, rng)) log.scores[s]!++;
  else log.extra[0]!++;
}
