import { settle } from '../../play/outcome';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { CloseParameters } from './parameters';
import { mayThrowOne, sumOf, type Throw, throwsOf } from './rules';
import { solveTiles, type Worth } from './solver';

const TILE_SUM = 4;
const LEFT = 5;

interface Player {
  readonly seat: Seat<CloseParameters>;
  readonly two: readonly Throw[];
  readonly one: readonly Throw[];
  readonly worth: Worth;
}

export function createTable(seats: readonly Seat<CloseParameters>[]): PlayGame {
  const solved = new Map<string, Omit<Player, 'seat'>>();
  const players: Player[] = seats.map((seat) => {
    const key = JSON.stringify(seat.parameters);
    let own = solved.get(key);
    if (!own) {
      const p = seat.parameters;
      const goal = p.stuck === 'next-throw' ? 'fewest-throws' : p.aim;
      solved.set(key, (own = { two: throwsOf(p, 2), one: throwsOf(p, 1), worth: solveTiles(p, goal) }));
    }
    return { seat, ...own };
  });
  const open = new Int32Array(seats.length);
  const out = new Uint8Array(seats.length);
  const { rounds } = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < rounds && !log.capped; round++) playRound(players, open, out, rng, log);
    settle(log, seats);
  };
}

/** One round: patient players go on until somebody has closed all; others until they are stuck. */
function playRound(players: readonly Player[], open: Int32Array, out: Uint8Array, rng: Rng, log: GameLog): void {
  const count = players.length;
  for (let s = 0; s < count; s++) open[s] = (1 << players[s]!.seat.parameters.tiles) - 1;
  out.fill(0);
  let playing = count;
  for (let turn = 0; playing > 0; turn++) {
    if (log.turns >= TURN_CAP) {
      log.capped = true;
      break;
    }
    const s = turn % count;
    if (out[s]) continue;
    const fitted = throwOnce(players[s]!, s, open, rng, log);
    if (open[s] === 0) {
      log.extra[0]!++;
      if (players[s]!.seat.parameters.stuck === 'next-throw') break;
    }
    if ((!fitted && players[s]!.seat.parameters.stuck === 'round-over') || open[s] === 0) {
      out[s] = 1;
      playing--;
    }
  }
  for (let s = 0; s < count; s++) {
    const left = sumOf(open[s]!);
    log.extra[1]! += left / count;
    log.scores[s]! += sumOf((1 << players[s]!.seat.parameters.tiles) - 1) - left;
  }
}

function throwOnce(player: Player, s: number, open: Int32Array, rng: Rng, log: GameLog): boolean {
  const { seat, worth } = player;
  const p = seat.parameters;
  const now = open[s]!;
  const single = mayThrowOne(p, now) && (seat.policy === 'random' ? below(rng, 2) === 0 : worth.one[now] === 1);
  const throws = single ? player.one : player.two;
  const t = throws[below(rng, throws.length)]!;
  let fits = 0;
  for (let i = 0; i < t.sets.length; i++) if ((t.sets[i]! & now) === t.sets[i]!) fits++;
  log.turn(s, fits);
  const pick = choose(player, t, now, fits, rng);
  reportThrow(p, s, t, pick, log);
  if (pick < 0) {
    log.note(s, 1, t.x, t.y);
    return false;
  }
  const set = t.sets[pick]!;
  if (p.close === 'several') reportSet(s, set, log);
  log.note(s, 0, t.x + t.y, sumOf(set));
  open[s] = now & ~set;
  log.stand(s, log.scores[s]! + sumOf((1 << p.tiles) - 1) - sumOf(open[s]!));
  if (p.steps) log.item(s, LEFT, sumOf(now), sumOf(set));
  return true;
}

/** Every allowed operation is tried on the dice until one fits; a lone die needs none. */
function reportThrow(p: CloseParameters, s: number, t: Throw, pick: number, log: GameLog): void {
  if (t.y === 0) return;
  const used = pick >= 0 ? t.by[pick]! : -1;
  const high = t.x > t.y ? t.x : t.y;
  const low = t.x > t.y ? t.y : t.x;
  for (const op of p.operations) {
    const channel = op === 'add' ? 0 : op === 'subtract' ? 1 : op === 'multiply' ? 2 : 3;
    if (used >= 0 && channel > used) break;
    if (channel === 3 && high % low !== 0) continue;
    log.item(s, channel, high, low);
  }
}

/** Joining the tiles that make the throw. */
function reportSet(s: number, set: number, log: GameLog): void {
  let sum = 0;
  for (let t = 0; set >> t !== 0; t++) {
    if ((set & (1 << t)) === 0) continue;
    if (sum > 0) log.item(s, TILE_SUM, sum, t + 1);
    sum += t + 1;
  }
}

function choose(player: Player, t: Throw, open: number, fits: number, rng: Rng): number {
  if (fits === 0) return -1;
  const { seat, worth } = player;
  const { policy, errorRate } = seat;
  const astray = policy === 'random' || (policy === 'typical' && uniform(rng) < errorRate);
  const minimise = seat.parameters.stuck === 'next-throw' || seat.parameters.aim === 'least-left';
  let best = -1;
  let seen = 0;
  for (let i = 0; i < t.sets.length; i++) {
    const set = t.sets[i]!;
    if ((set & open) !== set) continue;
    seen++;
    if (best < 0) {
      best = i;
      continue;
    }
    if (astray) {
      if (below(rng, seen) === 0) best = i;
      continue;
    }
    // Typical players prefer the large single tile; careful ones know what each leaves.
    const better =
      policy === 'typical'
        ? set > t.sets[best]!
        : minimise
          ? worth.value[open & ~set]! < worth.value[open & ~t.sets[best]!]!
          : worth.value[open & ~set]! > worth.value[open & ~t.sets[best]!]!;
    if (better) best = i;
  }
  return best;
}
