import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { CalendarParameters } from './parameters';

const DAY = 0;
const CLOCK = 1;
const LATER = 2;

type Player = Seat<CalendarParameters>;
const kinds = 12;

/**
 * Everybody stands somewhere in the week (or the day) and wants to have been on so many different
 * places; the cards in hand say how far each goes. Places are seven days, or the twelve hours.
 */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const at = new Int32Array(count);
  const been = seats.map(() => new Uint8Array(kinds));
  const common = seats[0]!.parameters;
  const places = common.cards === 'days-later' ? 7 : kinds;
  const goal = Math.min(common.goal, places);
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) {
      been[s]!.fill(0);
      at[s] = common.cards === 'days-later' ? below(rng, 7) : below(rng, 24) * 60;
      for (let h = 0; h < seats[s]!.headStart && h < goal - 1; h++) been[s]![h] = 1;
      log.scores[s] = Math.min(seats[s]!.headStart, goal - 1);
    }
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      go(seats[s]!, s, at, been[s]!, rng, log);
      // The round is played out, so that all have had as many turns.
      if (s < count - 1 || !log.scores.some((x) => x >= goal)) continue;
      log.winner = bestOf(log.scores, count);
      log.rounds = Math.ceil((turn + 1) / count);
      return;
    }
    log.capped = true;
  };
}

const placeOf = (p: CalendarParameters, at: number): number => (p.cards === 'days-later' ? at : Math.floor((at % 720) / 60));

/** Draws, works out where each card leads, and goes where nobody of one's own has been yet. */
function go(seat: Player, s: number, at: Int32Array, been: Uint8Array, rng: Rng, log: GameLog): void {
  const { parameters: p } = seat;
  let to = -1;
  let fresh = false;
  for (let c = 0; c < p.choose; c++) {
    let next: number;
    if (p.cards === 'days-later') {
      const days = between(rng, 1, p.most);
      log.item(s, DAY, at[s]!, days);
      next = (at[s]! + days) % 7;
    } else if (p.cards === 'twenty-four-hours') {
      next = below(rng, 1440 / p.step) * p.step;
      log.item(s, CLOCK, next, 0);
    } else {
      const minutes = between(rng, 1, Math.floor(p.longest / p.step)) * p.step;
      log.item(s, LATER, at[s]! % 720, minutes);
      next = (at[s]! + minutes) % 720;
    }
    const opens = been[placeOf(p, next)] === 0 && !(seat.policy === 'random' && below(rng, 2) === 0);
    if (to < 0 || (opens && !fresh && !slips(seat, rng))) {
      to = next;
      fresh = opens;
    }
  }
  log.turn(s, p.choose);
  at[s] = to;
  const place = placeOf(p, to);
  if (been[place] === 0) {
    been[place] = 1;
    log.scores[s]!++;
  }
  log.note(s, p.cards === 'days-later' ? 0 : 1, p.cards === 'days-later' ? place + 1 : Math.floor(to / 60), log.scores[s]!);
}
