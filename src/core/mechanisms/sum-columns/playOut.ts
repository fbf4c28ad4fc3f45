import type { GameLog } from '../../simulate/gameLog';
import { below, type Rng } from '../../shared/rng';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { SumColumnsParameters } from './parameters';
import { pickColumn } from './policies';
import { clear, type ColumnsState, drawCard, newState, valueChances } from './rules';

/** What the turn loop reads of a seat, as plain numbers. */
interface Thrower {
  readonly dice: number;
  readonly low: number;
  readonly faces: number;
  readonly returns: boolean;
  readonly sums: boolean;
  /** Two dice added. */
  readonly pair: boolean;
  readonly state: ColumnsState;
}

export function createTable(seats: readonly Seat<SumColumnsParameters>[]): PlayGame {
  const board = seats[0]!.parameters;
  const { firstColumn, lastColumn, height } = board;
  const throwers = seats.map(({ parameters: p }): Thrower => ({
    dice: p.dice,
    low: p.lowestFace,
    faces: p.highestFace - p.lowestFace + 1,
    returns: p.draw === 'return',
    sums: p.combine === 'sum',
    pair: p.dice === 2 && p.combine === 'sum' && p.draw === 'return',
    state: newState({ ...p, lastColumn }),
  }));
  const shared = throwers[0]!.state;
  const count = seats.length;
  const alike = throwers.every((t) => t.pair && t.low === throwers[0]!.low && t.faces === throwers[0]!.faces);
  // Two dice added is the commonest throw: where its items stand is looked up once.
  let placesOfThrows: Int32Array | null = null;
  const rankings = seats.map((seat) => rankColumns(seat.parameters, board));
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) clear(throwers[s]!.state);
    for (let s = 0; s < count; s++) pickAll(shared, seats[s]!, s, rankings[s]!, lastColumn - firstColumn + 1, rng, log);
    // What the loop reads stands in plain constants of this call, which it reads fastest.
    const { telling } = log;
    const { marks } = shared;
    const { low, faces } = throwers[0]!;
    const first = firstColumn;
    const last = lastColumn;
    const full = height;
    const pairs = alike;
    const places = (placesOfThrows ??= alike ? placesOfPairs(throwers[0]!, log) : noPlaces);
    let s = 0;
    for (let turn = 0; turn < TURN_CAP; turn++) {
      let value: number;
      if (pairs === true) {
        const x = below(rng, faces);
        const y = below(rng, faces);
        log.itemAt(s, places[Math.imul(x, faces) + y]!);
        value = low + low + x + y;
      } else value = throwOnce(throwers[s]!, s, rng, log);
      if (value < first || value > last) {
        log.turn(s, 0);
        log.note(s, 0, value, 0);
      } else {
        log.turn(s, 1);
        if (telling === true) log.note(s, 1, value, 0);
        ++marks[value]!;
        if (log.following) standings(shared, count, first, last, log);
        if (marks[value]! >= full) {
          log.rounds = Math.ceil((turn + 1) / count);
          finish(shared.pickedBy[value]!, count, log);
          let empty = 0;
          for (let c = first; c <= last; c++) if (marks[c] === 0) empty++;
          log.extra[0] = empty;
          log.extra[2] = value;
          return;
        }
      }
      if (++s === count) s = 0;
    }
    log.capped = true;
    log.rounds = Math.ceil(TURN_CAP / count);
  };
}

/** Each seat stands as high as the fullest of its columns. */
function standings(shared: ColumnsState, count: number, first: number, last: number, log: GameLog): void {
  for (let s = 0; s < count; s++) {
    let most = 0;
    for (let c = first; c <= last; c++) if ((shared.pickedBy[c]! >> s) & 1) most = Math.max(most, shared.marks[c]!);
    log.stand(s, most);
  }
}

function pickAll(
  shared: ColumnsState,
  seat: Seat<SumColumnsParameters>,
  s: number,
  ranked: Int32Array,
  columns: number,
  rng: Rng,
  log: GameLog,
): void {
  const picks = Math.min(seat.parameters.picks, columns);
  for (let i = 0; i < picks; i++) {
    const column = pickColumn(shared, seat, 1 << s, ranked, rng);
    log.note(s, 2, column, 0);
    shared.pickedBy[column] = shared.pickedBy[column]! | (1 << s);
  }
}

/** Throws (or draws) and joins, one item a join; what they make. */
function throwOnce(t: Thrower, s: number, rng: Rng, log: GameLog): number {
  let sum = t.returns ? t.low + below(rng, t.faces) : drawCard(t.state, rng);
  for (let i = 1; i < t.dice; i++) {
    const face = t.returns ? t.low + below(rng, t.faces) : drawCard(t.state, rng);
    if (!t.sums) {
      const larger = sum > face ? sum : face;
      const smaller = sum > face ? face : sum;
      log.item(s, 0, larger, smaller);
      return larger - smaller;
    }
    log.item(s, 0, sum, face);
    sum += face;
  }
  return sum;
}

const noPlaces = new Int32Array(0);

/** The place of each throw of two dice, row by row. */
function placesOfPairs(t: Thrower, log: GameLog): Int32Array {
  return Int32Array.from({ length: t.faces ** 2 }, (_, i) => log.placeOf(0, t.low + Math.floor(i / t.faces), t.low + (i % t.faces)));
}

function rankColumns(p: SumColumnsParameters, board: SumColumnsParameters): Int32Array {
  const chances = valueChances(p);
  const columns = Array.from({ length: board.lastColumn - board.firstColumn + 1 }, (_, i) => board.firstColumn + i);
  return Int32Array.from(columns.sort((x, y) => (chances.get(y) ?? 0) - (chances.get(x) ?? 0) || x - y));
}

/** Everyone who picked the full column wins; alone they win outright, nobody counts as unpicked. */
function finish(pickedBy: number, count: number, log: GameLog): void {
  let winners = 0;
  for (let s = 0; s < count; s++) {
    if ((pickedBy & (1 << s)) === 0) continue;
    winners++;
    log.scores[s] = 1;
    log.winner = s;
  }
  if (winners !== 1) log.winner = -1;
  log.extra[1] = winners === 0 ? 1 : 0;
}
