import type { Mechanism } from '../core/mechanisms/mechanism';
import { type Country, saidIn } from '../core/play/country';
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
  country: Country,
): HowToWire {
  const full = { ...m.defaults, ...parameters };
  const h = m.howTo(full, country);
  const say = (line: string): string => saidIn(country, line);
  const presence = presenceFor(h, ages);
  return {
    needs: m.needs(full, seats).map((n) => say(needText(n, title))),
    setUp: h.setUp.map(say),
    turn: h.turn.map(say),
    scoring: h.scoring.map(say),
    end: say(h.end),
    timeUp: say(m.earlyEnding),
    card: cardLines(h).map(say),
    ask: say(h.ask),
    tool: say(h.tool),
    smaller: say(h.smaller),
    presence: { ...presence, for: say(presence.for) },
    pictures: h.pictures.map((p) => ({ ...p, say: say(p.say) })) as HowToWire['pictures'],
  };
}
