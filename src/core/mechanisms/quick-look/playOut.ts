import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import { type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { QuickLookParameters } from './parameters';

const SEE = 0;
const COUNT = 1;
const WAY = 2;
const MORE = 3;
const TO_TEN = 4;

/** Dots that are seen at a glance however they lie, and in an order one knows (common practice, no source). */
const glanceAnyhow = 4;
const glanceOrdered = 6;
const looksSeconds = { briefly: 2, twice: 5, 'as-long-as-wanted': 8 } as const;

export function createTable(seats: readonly Seat<QuickLookParameters>[]): PlayGame {
  const most = Math.max(...seats.map((s) => s.parameters.cards));
  return (rng: Rng, log: GameLog): void => {
    for (let card = 0; card < most; card++)
      for (let s = 0; s < seats.length; s++) if (card < seats[s]!.parameters.cards) lookAt(seats[s]!, s, rng, log);
    settle(log, seats);
  };
}

function lookAt(seat: Seat<QuickLookParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const dots = between(rng, p.lowest, p.highest);
  log.turn(s, 1);
  log.spend(s, looksSeconds[p.look]);
  const glance = p.layout === 'anyhow' ? glanceAnyhow : p.layout === 'in-a-ten-frame' ? 10 : glanceOrdered;
  // Beyond a glance the dots are counted if there is time, or joined from two groups.
  const grouped = p.layout === 'in-two-groups' && dots >= 2;
  if (dots <= glance || p.look === 'briefly') log.item(s, SEE, dots, 0);
  else if (!grouped) log.item(s, COUNT, dots, 0);
  if (grouped) way(s, dots, rng, log);
  for (let w = 0; w < p.ways && dots >= 2; w++) way(s, dots, rng, log);
  if (p.oneMore === 'one-more') log.item(s, MORE, dots, 1);
  if (p.oneMore === 'to-ten' && dots <= 10) log.item(s, TO_TEN, dots, 10 - dots);
  const base = seat.policy === 'careful' ? 0 : seat.policy === 'random' ? 0.5 : seat.errorRate;
  const missed = uniform(rng) < base * (dots > glance ? 2 : 1) * (p.look === 'briefly' ? 1.5 : 1);
  if (missed) log.extra[0]!++;
  else log.scores[s]!++;
  log.note(s, missed ? 1 : 0, dots, 0);
}

/** One way of seeing: "four and two", with a different split each time. */
function way(s: number, dots: number, rng: Rng, log: GameLog): void {
  const part = between(rng, 1, dots - 1);
  log.item(s, WAY, Math.max(part, dots - part), Math.min(part, dots - part));
}
