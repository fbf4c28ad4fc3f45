import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { SumColumnsParameters } from './parameters';
import type { ColumnsState } from './rules';

/** How strongly a typical player leans to the columns that look likely (common practice, no source). */
const typicalLeaning = 0.6;

/** The column a seat picks next; `ranked` holds all columns, likeliest first. */
export function pickColumn(state: ColumnsState, seat: Seat<SumColumnsParameters>, bit: number, ranked: Int32Array, rng: Rng): number {
  const carefulNow = seat.policy === 'careful' || (seat.policy === 'typical' && uniform(rng) < typicalLeaning * (1 - seat.errorRate));
  if (carefulNow) {
    for (let i = 0; i < ranked.length; i++) if ((state.pickedBy[ranked[i]!]! & bit) === 0) return ranked[i]!;
  }
  for (let tries = 0; tries < 64; tries++) {
    const column = ranked[below(rng, ranked.length)]!;
    if ((state.pickedBy[column]! & bit) === 0) return column;
  }
  return ranked[0]!;
}
