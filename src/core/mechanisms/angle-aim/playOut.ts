import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { AngleParameters } from './parameters';

const KIND = 0;
const MEASURE = 1;
const MISSING = 2;
const APART = 3;

/** How far a drawn angle strays from what was aimed at, in steps of five degrees (common practice, no source). */
const strays = { careful: 2, typical: 4, random: 9 } as const;
const drawSeconds = 20;

type Player = Seat<AngleParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const common = seats[0]!.parameters;
  const near = new Float64Array(count);
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < common.rounds; round++) {
      const card = between(rng, 1, common.most / common.step - 1) * common.step;
      for (let s = 0; s < count; s++) near[s] = -aim(seats[s]!, s, card, rng, log);
      const best = bestOf(near, count);
      if (best >= 0) {
        log.scores[best]!++;
        log.note(best, 1, card, -near[best]!);
      }
    }
    settle(log, seats);
  };
}

/** Says, draws, measures; how many degrees it strays. */
function aim(seat: Player, s: number, card: number, rng: Rng, log: GameLog): number {
  const { parameters: p } = seat;
  log.turn(s, 1);
  let target = card;
  if (p.play !== 'draws-by-eye') {
    const known = ((card - 1) % (p.whole - 1)) + 1;
    const round = Math.max(p.step, Math.round(known / p.step) * p.step);
    const given = Math.min(p.whole - p.step, round);
    log.item(s, MISSING, p.whole, given);
    target = p.whole - given;
  }
  if (p.kind === 'what-kind-it-is') log.item(s, KIND, target, 0);
  if (p.play === 'finds-the-missing-one') {
    // A slip in the head is as far off as one step of the cards.
    return between(rng, 0, strays[seat.policy]) * p.step;
  }
  log.spend(s, drawSeconds);
  const off = (between(rng, 0, strays[seat.policy]) + between(rng, 0, strays[seat.policy])) * 5;
  const drawn = Math.max(5, Math.min(355, target + (between(rng, 0, 1) === 0 ? off : -off)));
  log.item(s, MEASURE, drawn, 5);
  if (drawn !== target) log.item(s, APART, Math.max(drawn, target), Math.min(drawn, target));
  log.note(s, 0, target, drawn);
  return Math.abs(drawn - target);
}
