import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import { situations, type StoryParameters, unknowns } from './parameters';

/** Seconds to read a story aloud twice, or alone, and to draw it (common practice, no source). */
const aloudSeconds = 20;
const aloneSeconds = 12;
const drawSeconds = 40;

/** How much likelier a slip is when the operation must be found in the story itself, and when read alone; less so when drawn (common practice, no source). */
const noKeyWords = 1.6;
const readAlone = 1.4;
const drawn = 0.6;

export function createTable(seats: readonly Seat<StoryParameters>[]): PlayGame {
  const cards = Math.max(...seats.map((s) => s.parameters.cards));
  return (rng: Rng, log: GameLog): void => {
    for (let card = 0; card < cards; card++)
      for (let s = 0; s < seats.length; s++) if (card < seats[s]!.parameters.cards) tell(seats[s]!, s, rng, log);
    settle(log, seats);
  };
}

function tell(seat: Seat<StoryParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const situation = situations.indexOf(p.situations[below(rng, p.situations.length)]!);
  const unknown = unknowns.indexOf(p.unknowns[below(rng, p.unknowns.length)]!);
  const whole = between(rng, 2 * p.lowest, p.highest);
  const part = between(rng, p.lowest, whole - p.lowest);
  const channel = situation * 3 + unknown;
  const adds = situation === 0 || situation === 2;
  const a = adds ? part : whole;
  const b = adds ? whole - part : part;
  log.turn(s, 2);
  log.spend(s, (p.readAloud === 'read-alone' ? aloneSeconds : aloudSeconds) + (p.drawIt ? drawSeconds : 0));
  log.item(s, channel, a, b);
  const chance =
    seat.policy === 'careful'
      ? 0
      : (seat.policy === 'random' ? 0.5 : seat.errorRate) *
        (p.keyWords === 'none' ? noKeyWords : 1) *
        (p.readAloud === 'read-alone' ? readAlone : 1) *
        (p.drawIt ? drawn : 1);
  if (uniform(rng) >= chance) {
    log.scores[s]!++;
    log.note(s, 0, a, b);
    return;
  }
  // Told once more with counters, and worked out again.
  log.extra[0]!++;
  log.spend(s, aloudSeconds);
  log.item(s, channel, a, b);
  log.note(s, 1, a, b);
}
