import type { HowToWire } from '../../contract/wire/howTo';
import type { Mechanism } from '../../core/mechanisms/mechanism';
import { mechanismById } from '../../core/mechanisms/registry';
import { cardLines, presenceFor } from '../../core/play/howTo';
import { needText } from '../../core/play/needs';
import formerLines from '../../../data/library/formerLines.json';

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

const former = new Set(Object.values(formerLines as Readonly<Record<string, readonly string[]>>).flat());

/**
 * The lines an owner wrote for a game. Lines that once came with a game of the library or with its
 * family spoke for all versions alike; what each version plays is now told from its own numbers.
 */
export function ownLines(rules: readonly string[], families: readonly (string | null)[]): string[] {
  const general = new Set(families.flatMap((id) => (id === null ? [] : (mechanismById(id)?.words ?? []))));
  return rules.filter((line) => !former.has(line) && !general.has(line));
}
