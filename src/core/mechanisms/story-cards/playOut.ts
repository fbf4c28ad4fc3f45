import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import { type furtherSituations, situations, type StoryParameters, unknowns } from './parameters';
import { GROUPS, LEFT_OVER, SHARES, STEP_LESS, STEP_MORE, TIMES, TIMES_BACK } from './rules';

/** Seconds to read a story aloud twice, or alone, and to draw it (common practice, no source). */
const aloudSeconds = 20;
const aloneSeconds = 12;
const drawSeconds = 40;

/** How much likelier a slip is when the operation must be found in the story itself, and when read alone; less so when drawn (common practice, no source). */
const noKeyWords = 1.6;
const readAlone = 1.4;
const drawn = 0.6;
/** Even a guess is right now and then (common practice, no source). */
const mostWrong = 0.9;

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
  const chosen = p.situations[below(rng, p.situations.length)]!;
  if (!isOneStep(chosen)) {
    tellFurther(seat, s, chosen, rng, log);
    return;
  }
  const situation = situations.indexOf(chosen);
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
  scoreIt(seat, s, rng, log, () => log.item(s, channel, a, b), a, b);
}

/** Right, or told once more with counters and worked out again. */
function scoreIt(seat: Seat<StoryParameters>, s: number, rng: Rng, log: GameLog, again: () => void, a: number, b: number): void {
  const p = seat.parameters;
  const chance =
    seat.policy === 'careful'
      ? 0
      : (seat.policy === 'random' ? 0.5 : seat.errorRate) *
        (p.keyWords === 'none' ? noKeyWords : 1) *
        (p.readAloud === 'read-alone' ? readAlone : 1) *
        (p.drawIt ? drawn : 1);
  if (uniform(rng) >= Math.min(mostWrong, chance)) {
    log.scores[s]!++;
    log.note(s, 0, a, b);
    return;
  }
  // Told once more with counters, and worked out again.
  log.extra[0]!++;
  log.spend(s, aloudSeconds);
  again();
  log.note(s, 1, a, b);
}

const isOneStep = (x: string): x is (typeof situations)[number] => (situations as readonly string[]).includes(x);

/** Stories of groups, of times as many, in two steps, and with something left over. */
function tellFurther(seat: Seat<StoryParameters>, s: number, chosen: (typeof furtherSituations)[number], rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  log.turn(s, 2);
  log.spend(s, (p.readAloud === 'read-alone' ? aloneSeconds : aloudSeconds) + (p.drawIt ? drawSeconds : 0));
  const asksWhole = p.unknowns[below(rng, p.unknowns.length)]! === 'result';
  // Groups of two to ten whose whole stays within the range.
  const size = between(rng, 2, Math.max(2, Math.min(10, Math.floor(p.highest / 2))));
  const groups = between(rng, 2, Math.max(2, Math.min(10, Math.floor(p.highest / size))));
  const items: [channel: number, a: number, b: number][] = [];
  if (chosen === 'two-steps') {
    const part = between(rng, p.lowest, Math.max(p.lowest, Math.floor(p.highest / 2) - 1));
    const more = between(rng, p.lowest, Math.max(p.lowest, Math.floor(p.highest / 2)));
    const away = between(rng, 1, Math.max(1, part + more - 1));
    items.push([STEP_MORE, part, more], [STEP_LESS, part + more, away]);
  } else if (chosen === 'left-over') {
    const rest = between(rng, 1, size - 1);
    items.push([LEFT_OVER, groups * size + rest, size]);
  } else if (chosen === 'groups') items.push(asksWhole ? [GROUPS, groups, size] : [SHARES, groups * size, size]);
  else items.push(asksWhole ? [TIMES, groups, size] : [TIMES_BACK, groups * size, size]);
  const tellAll = (): void => {
    for (const [channel, a, b] of items) log.item(s, channel, a, b);
  };
  tellAll();
  scoreIt(seat, s, rng, log, tellAll, items[0]![1], items[0]![2]);
}
