import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { MeasureParameters } from './parameters';

const MEASURE = 0;
const ESTIMATE = 1;
const WRITE = 2;
const BAR = 3;
const LONGER = 4;
const HOW_MUCH = 5;
const LONGER_BAR = 6;
const HOW_MUCH_BARS = 7;
/** Length of each unit in millimetres; a hand span is that of a seven-year-old (common practice, no source). */
export const unitMm = { cubes: 20, dominoes: 48, 'hand-spans': 140, centimetres: 10, inches: 25 } as const;
/** Seconds to lay one unit end to end, and to read a ruler (common practice, no source). */
const laySeconds = 1.5;
const rulerSeconds = 8;

/** Most units that can be laid along the longest thing. */
export const unitsOf = (p: MeasureParameters): number => Math.ceil((p.longest * 10) / unitMm[p.unit]) + 1;

export function createTable(seats: readonly Seat<MeasureParameters>[]): PlayGame {
  const most = Math.max(...seats.map((s) => s.parameters.things));
  const lengths = seats.map(() => new Int32Array(most));
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < seats.length; s++) {
      const { parameters: p } = seats[s]!;
      for (let i = 0; i < p.things; i++) lengths[s]![i] = measureOne(seats[s]!, s, rng, log);
      for (let i = 1; i < p.things; i++) askAbout(p, s, lengths[s]![i]!, lengths[s]![i - 1]!, log);
    }
    settle(log, seats);
  };
}

function measureOne(seat: Seat<MeasureParameters>, s: number, rng: Rng, log: GameLog): number {
  const p = seat.parameters;
  const unit = unitMm[p.unit];
  const units = Math.max(1, Math.round((between(rng, p.shortest, p.longest) * 10) / unit));
  log.turn(s, 1);
  log.spend(s, p.unit === 'centimetres' || p.unit === 'inches' ? rulerSeconds : laySeconds * units);
  log.item(s, MEASURE, units, unit);
  if (p.estimate) {
    const guess = Math.max(1, units + between(rng, -Math.ceil(units / 4), Math.ceil(units / 4)));
    log.item(s, ESTIMATE, guess, units);
    if (Math.abs(guess - units) <= Math.ceil(units / 10)) log.scores[s]!++;
  }
  if (slips(seat, rng)) {
    // Gaps and overlaps show when a neighbour lays it again.
    log.extra[0]!++;
    log.item(s, MEASURE, units, unit);
  }
  if (p.chart === 'table') log.item(s, WRITE, units, 0);
  else log.item(s, BAR, Math.round(units / p.scale) * p.scale, p.scale);
  log.note(s, 0, units, 0);
  return units;
}

function askAbout(p: MeasureParameters, s: number, x: number, y: number, log: GameLog): void {
  // Where a chart was drawn, the two bars are what is looked at.
  const bars = p.chart === 'bars';
  if (p.ask !== 'how-much-longer') log.item(s, bars ? LONGER_BAR : LONGER, x, y);
  if (p.ask !== 'which-is-longer') log.item(s, bars ? HOW_MUCH_BARS : HOW_MUCH, Math.max(x, y), Math.min(x, y));
}
