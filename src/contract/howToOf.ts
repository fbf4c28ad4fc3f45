import type { Mechanism } from '../core/mechanisms/mechanism';
import { cardLines, presenceFor } from '../core/play/howTo';
import { needText } from '../core/play/needs';
import type { HowToWire } from './wire/howTo';

/** How a version with these numbers is played at a table of `seats`; titles of things come from outside. */
export function howToWire(
  m: Mechanism,
  parameters: object,
  seats: number,
  ages: readonly [number, number],
  title: (kind: string) => string,
): HowToWire {
  const full = { ...m.defaults, ...parameters };
  const h = m.howTo(full);
  return {
    needs: m.needs(full, seats).map((n) => needText(n, title)),
    setUp: [...h.setUp],
    turn: [...h.turn],
    scoring: [...h.scoring],
    end: h.end,
    timeUp: m.earlyEnding,
    card: cardLines(h),
    ask: h.ask,
    tool: h.tool,
    smaller: h.smaller,
    presence: { ...presenceFor(h, ages) },
    pictures: [...h.pictures],
  };
}
