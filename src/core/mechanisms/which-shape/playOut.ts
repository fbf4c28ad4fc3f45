import { Deck } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { WhichShapeParameters } from './parameters';
import { type Ask, asksOf, holds, poolOf } from './rules';

const NAME = 0;
const ATTRIBUTE = 1;
const FAMILY = 2;

type Player = Seat<WhichShapeParameters>;

/** The others ask in turn; who hides goes round. Found together, nobody is beaten. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const pool = poolOf(p);
  const asks = asksOf(p);
  const deck = new Deck(pool);
  const open: number[] = [];
  return (rng: Rng, log: GameLog): void => {
    let found = 0;
    for (let h = 0; h < p.hidden * count; h++) {
      const hider = h % count;
      deck.reset();
      open.length = 0;
      while (open.length < p.laid && deck.left > 0) open.push(deck.draw(rng));
      const secret = open[below(rng, open.length)]!;
      if (play(seats, hider, secret, open, asks, rng, log)) found++;
    }
    log.extra[0] = found / p.hidden / count;
    for (let s = 0; s < count; s++) log.scores[s] = found;
    log.rounds = p.hidden;
    log.winner = count === 1 && found === p.hidden ? 0 : -1;
  };
}

function play(
  seats: readonly Player[],
  hider: number,
  secret: number,
  open: number[],
  asks: readonly Ask[],
  rng: Rng,
  log: GameLog,
): boolean {
  const p = seats[0]!.parameters;
  const count = seats.length;
  for (let q = 0; q < p.questions && open.length > 1; q++) {
    const s = count === 1 ? hider : (hider + 1 + (q % (count - 1))) % count;
    const ask = choose(seats[s]!, open, asks, rng);
    log.turn(s, asks.length);
    if (!ask) break;
    // The hider answers about the secret; the asker goes through the shapes that are left and turns down what does not fit.
    const answer = holds(ask, secret);
    const channel = ask.sort === 'family' ? FAMILY : ATTRIBUTE;
    log.item(hider, channel, secret, ask.of);
    let kept = 0;
    for (const shape of open) {
      log.item(s, channel, shape, ask.of);
      if (holds(ask, shape) === answer) open[kept++] = shape;
    }
    open.length = kept;
    log.note(s, answer ? 0 : 1, kept, 0);
  }
  const s = count === 1 ? hider : (hider + 1) % count;
  const guess = open[below(rng, open.length)]!;
  log.item(s, NAME, guess, below(rng, 4));
  if (guess === secret) log.note(s, 2, 0, 0);
  return guess === secret;
}

/** The question that comes nearest to halving what is left, or any that divides it. */
function choose(seat: Player, open: readonly number[], asks: readonly Ask[], rng: Rng): Ask | null {
  const thinks = seat.policy !== 'random' && !slips(seat, rng);
  let best: Ask | null = null;
  let bestFar = Infinity;
  let seen = 0;
  for (const a of asks) {
    let yes = 0;
    for (const s of open) if (holds(a, s)) yes++;
    if (yes === 0 || yes === open.length) continue;
    seen++;
    const far = thinks ? Math.abs(2 * yes - open.length) : 0;
    if (far < bestFar || (far === bestFar && below(rng, seen) === 0)) {
      best = a;
      bestFar = far;
    }
  }
  return best;
}
