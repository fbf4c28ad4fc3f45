import { between } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { SpotParameters } from './parameters';

const POINT = 0;
const STEPS = 1;

type Player = Seat<SpotParameters>;
const cap = 25 * 25;

/** Together against the hider: every guess is a point somebody names and plots, every clue rules places out. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const low = p.quarters === 'one-quarter' ? 0 : -p.size;
  const wide = p.size - low + 1;
  const open = new Int32Array(cap);
  return (rng: Rng, log: GameLog): void => {
    let guesses = 0;
    let found = 0;
    let [px, py] = [0, 0];
    for (let spot = 0; spot < p.spots && guesses < p.guesses; spot++) {
      const [hx, hy] = [between(rng, low, p.size), between(rng, low, p.size)];
      let n = wide * wide;
      for (let i = 0; i < n; i++) open[i] = i;
      while (guesses < p.guesses) {
        const s = guesses++ % count;
        const at = pick(seats[s]!, open, n, wide, rng);
        const [x, y] = [low + (at % wide), low + Math.floor(at / wide)];
        log.turn(s, n);
        log.item(s, POINT, x, y);
        if (p.sayMoves && (x !== px || y !== py)) log.item(s, STEPS, Math.abs(x - px), Math.abs(y - py));
        [px, py] = [x, y];
        if (x === hx && y === hy) {
          found++;
          log.note(s, 1, x, y);
          break;
        }
        log.note(s, 0, x, y);
        const clue = clueOf(p, x, y, hx, hy);
        let kept = 0;
        for (let i = 0; i < n; i++) {
          const [ox, oy] = [low + (open[i]! % wide), low + Math.floor(open[i]! / wide)];
          if (clueOf(p, x, y, ox, oy) === clue) open[kept++] = open[i]!;
        }
        n = kept;
      }
    }
    log.extra[0] = found / p.spots;
    for (let s = 0; s < count; s++) log.scores[s] = found;
    log.rounds = Math.ceil(log.turns / count);
    log.winner = count === 1 && found === p.spots ? 0 : -1;
  };
}

/** Right or left and up or down, or how many steps along the lines. */
function clueOf(p: SpotParameters, x: number, y: number, hx: number, hy: number): number {
  if (p.clue === 'steps-away') return Math.abs(hx - x) + Math.abs(hy - y);
  return (Math.sign(hx - x) + 1) * 3 + Math.sign(hy - y) + 1;
}

/** The middle of what is possible, or any possible point; who forgets the clues names any point at all. */
function pick(seat: Player, open: Int32Array, n: number, wide: number, rng: Rng): number {
  if (seat.policy === 'random' || slips(seat, rng)) return below(rng, wide * wide);
  if (seat.policy !== 'careful') return open[below(rng, n)]!;
  let [sx, sy] = [0, 0];
  for (let i = 0; i < n; i++) {
    sx += open[i]! % wide;
    sy += Math.floor(open[i]! / wide);
  }
  let best = open[0]!;
  let least = Infinity;
  for (let i = 0; i < n; i++) {
    const away = Math.abs((open[i]! % wide) - sx / n) + Math.abs(Math.floor(open[i]! / wide) - sy / n);
    if (away < least) {
      least = away;
      best = open[i]!;
    }
  }
  return best;
}
