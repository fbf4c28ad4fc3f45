import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { PlacementParameters } from './parameters';
import type { Placer } from './solver';

/** The column a player chooses: best, by a child's rule of thumb, or any. */
export function chooseColumn(seat: Seat<PlacementParameters>, placer: Placer, columns: Int32Array, digit: number, rng: Rng): number {
  if (seat.policy === 'careful') return placer.best(columns, digit);
  if (seat.policy === 'random' || uniform(rng) < seat.errorRate) {
    let chosen = -1;
    let seen = 0;
    for (let c = 0; c < columns.length; c++) if (columns[c]! < 0 && below(rng, ++seen) === 0) chosen = c;
    return chosen;
  }
  return byThumb(seat.parameters, columns, digit);
}

/**
 * Large digits (five and up) to the highest empty column, small ones to the lowest; the
 * other way round for the smallest number; the ones column waits for a digit that suits
 * (common practice, no source).
 */
export function byThumb(p: PlacementParameters, columns: Int32Array, digit: number): number {
  const parity = p.goal === 'odd' || p.goal === 'even';
  const suits = !parity || digit % 2 === (p.goal === 'odd' ? 1 : 0);
  let lowest = -1;
  let highest = -1;
  for (let c = 0; c < columns.length; c++) {
    if (columns[c]! >= 0 || (c === 0 && !suits)) continue;
    if (lowest < 0) lowest = c;
    highest = c;
  }
  if (highest < 0) return 0;
  if (p.goal === 'nearest') {
    const wanted = Math.floor(p.target / 10 ** highest) % 10;
    return Math.abs(digit - wanted) <= 2 ? highest : lowest;
  }
  return digit >= 5 === (p.goal !== 'smallest') ? highest : lowest;
}
