import { type Rng, shuffle } from '../shared/rng';
import { type Box, circle, text } from './box';
import { boxedParagraph } from './letters';
import type { Drawing, Pieces, TaughtTurn, Teaching } from './sheetKind';

const howLaid = {
  hands:
    'Stack the cards by {these numbers}, 1 on top, and deal them one at a time. In the first turns everybody plays the lowest of these numbers.',
  pile: 'Stack the cards by {these numbers}, 1 on top. The first turns take them in this order.',
  rows: 'Lay the cards face down in rows by {these numbers}. The first turns open them in this order.',
} as const satisfies Record<Teaching['laid'], string>;

/** Turns that somebody new still keeps in mind (common practice, no source). */
export const mostTaught = 3;

/**
 * An order that begins with one card of each rule, the most common rule first, and goes on at random. Null where all cards play
 * alike. Of more rules than are kept in mind the rarest come later.
 */
export function byRule(laid: Teaching['laid'], rules: readonly string[], rng: Rng): Teaching | null {
  const count = new Map<string, number>();
  for (const r of rules) count.set(r, (count.get(r) ?? 0) + 1);
  if (count.size < 2) return null;
  const shown = [...count].sort((x, y) => y[1] - x[1]).slice(0, mostTaught);
  const first = shown.map(([rule]) => rules.indexOf(rule));
  return { laid, order: withRest(first, rules.length, rng), turns: shown.map(([say]) => ({ cards: 1, say })) };
}

/** These cards first, all others behind them at random. */
export function withRest(first: readonly number[], count: number, rng: Rng): number[] {
  const rest = Array.from({ length: count }, (_, i) => i).filter((i) => !first.includes(i));
  shuffle(rng, rest, rest.length);
  return [...first, ...rest];
}

/** What is wrong with an order, in words: each card once, and its first turns within the deck. */
export function teachingFaults({ order, turns }: Teaching, count: number): string[] {
  const faults: string[] = [];
  if (order.length !== count || new Set(order).size !== count || order.some((i) => i < 0 || i >= count))
    faults.push('The numbers on the backs do not name each card once.');
  if (turns.length < 2 || turns.length > mostTaught) faults.push(`${turns.length} turns are shown first.`);
  if (new Set(turns.map((t) => t.say)).size !== turns.length) faults.push('The same is shown twice.');
  if (turns.reduce((sum, t) => sum + t.cards, 0) > count) faults.push('The first turns need more cards than there are.');
  return faults;
}

/** “1: a number; 2: take ten” — which numbers on the backs show what. */
export function taughtWords(turns: readonly TaughtTurn[]): string[] {
  let next = 1;
  return turns.map(({ cards, say }) => {
    const numbers = Array.from({ length: cards }, () => next++);
    return `${numbers.length > 2 ? `${numbers[0]!} to ${numbers.at(-1)!}` : numbers.join(' and ')}: ${say}`;
  });
}

/** The same cards with their numbers on the backs, and before them one card that says what to do. */
export function taught(set: Pieces, { laid, order, turns }: Teaching): Pieces {
  const numberOf = new Map(order.map((card, i) => [card, i + 1]));
  const say = (twoSided: boolean): string =>
    `${howLaid[laid].replace('{these numbers}', twoSided ? 'the numbers on their backs' : 'the small numbers at their foot')} ${taughtWords(turns).join('. ')}. Then shuffle all of them.`;
  const mark = (n: number, { w, h }: Drawing): Box[] => [
    circle(w - 8, h - 8, 3.6, { line: 'soft', width: 0.25 }),
    text(w - 12, h - 10.5, 8, 5, String(numberOf.get(n)!), 8.5, { fill: 'soft' }),
  ];
  return {
    ...set,
    count: set.count + 1,
    face: (n, at) =>
      n === 0
        ? boxedParagraph(3, 3, at.w - 6, at.h - 6, say(at.twoSided), 10, 5.5)
        : [...set.face(n - 1, at), ...(at.twoSided ? [] : mark(n - 1, at))],
    back: (n, at) => (n === 0 ? [] : [...(set.back?.(n - 1, at) ?? []), ...mark(n - 1, at)]),
  };
}
