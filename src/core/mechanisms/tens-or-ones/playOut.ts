import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { TensParameters } from './parameters';
import { farFrom, solve, unitOf } from './rules';

const PLACE = 0;
const ADD = 1;
const GAP = 2;

type Player = Seat<TensParameters>;

/** One die for all; each decides at once whether it counts big or small. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const worth = seats.map((s) => solve(s.parameters));
  const totals = new Int32Array(count);
  const far = new Float64Array(count);
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < common.rounds; round++) {
      totals.fill(0);
      for (let t = 0; t < common.throws; t++) {
        const die = between(rng, 1, common.faces);
        for (let s = 0; s < count; s++) decide(seats[s]!, s, die, common.throws - t - 1, worth[s]!, totals, rng, log);
      }
      for (let s = 0; s < count; s++) {
        const p = seats[s]!.parameters;
        const unit = unitOf(p).worth;
        far[s] = -farFrom(p, totals[s]!);
        if (totals[s] !== p.target) log.item(s, GAP, Math.max(totals[s]!, p.target) * unit, Math.min(totals[s]!, p.target) * unit);
        log.extra[0]! -= far[s]! / count / common.rounds;
      }
      const best = bestOf(far, count);
      if (best < 0) continue;
      log.scores[best]!++;
      log.note(best, 1, shown(seats[best]!.parameters, totals[best]!), shown(common, common.target));
    }
    settle(log, seats);
  };
}

function decide(
  seat: Player,
  s: number,
  die: number,
  left: number,
  worth: readonly Float64Array[],
  totals: Int32Array,
  rng: Rng,
  log: GameLog,
): void {
  const p = seat.parameters;
  const { worth: unit, place } = unitOf(p);
  const here = totals[s]!;
  const table = worth[left]!;
  const at = (t: number): number => table[Math.min(table.length - 1, t)]!;
  log.turn(s, 2);
  const big = seat.policy === 'random' || slips(seat, rng) ? below(rng, 2) === 0 : at(here + 10 * die) < at(here + die);
  const value = big ? 10 * die : die;
  log.item(s, PLACE, die, unitOf(p).decimal ? (big ? place - 1 : place) : big ? place + 1 : place);
  if (here > 0) log.item(s, ADD, here * unit, value * unit);
  totals[s] = here + value;
  log.note(s, 0, shown(p, value), shown(p, totals[s]!));
}

/** A number of smaller units as it is written down: 147 hundredths are 1.47. */
function shown(p: TensParameters, n: number): number {
  const { worth, decimal } = unitOf(p);
  return decimal ? Math.round(n * worth) / 1000 : n * worth;
}
