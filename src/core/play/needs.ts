/**
 * What a table needs, said by what it must give and not by what lies in a drawer: even chances
 * from 1 to 6, cards from 1 to 10 with four of each, or a thing that nothing else is.
 */
export type Need =
  | { readonly kind: string; readonly quantity: number }
  /** Whole numbers from `low` to `high`, each as likely, `count` of them at once. */
  | { readonly chances: readonly [low: number, high: number]; readonly count: number }
  /** Cards with the numbers from `low` to `high`, so many of each. */
  | { readonly cards: readonly [low: number, high: number]; readonly each: number };

/** One kind of material and how much of it. */
export interface MaterialNeed {
  readonly kind: string;
  readonly quantity: number;
}

/** Cards of any range, printed or written: what is there when no die and no deck has the numbers. */
export const numberCards = 'number-cards';

/** Dice by the numbers on them; the ten-sided one is read from 0 to 9, or its nought as ten. */
const dice: readonly (readonly [kind: string, low: number, high: number])[] = [
  ['four-sided-die', 1, 4],
  ['pip-die', 1, 6],
  ['eight-sided-die', 1, 8],
  ['ten-sided-die', 0, 9],
  ['ten-sided-die', 1, 10],
  ['twelve-sided-die', 1, 12],
  ['twenty-sided-die', 1, 20],
];

/** Decks by their numbers and how many there are of each. */
const decks: readonly (readonly [kind: string, low: number, high: number, each: number])[] = [
  ['number-deck-1-10', 1, 10, 4],
  ['digit-cards-0-9', 0, 9, 1],
  ['playing-cards', 1, 13, 4],
];
/** Most decks of one sort that are put together for one table. */
const mostDecks = 3;

/** The kinds that can meet a need, the usual one first, with how many of each it takes. */
export function kindsFor(need: Need): MaterialNeed[] {
  if ('kind' in need) return [need];
  if ('chances' in need) {
    const [low, high] = need.chances;
    return [
      ...dice.filter(([, l, h]) => l === low && h === high).map(([kind]) => ({ kind, quantity: need.count })),
      // Drawn, read, put back and shuffled, a card is as fair as a die.
      ...decks.filter(([, l, h]) => l <= low && h >= high).map(([kind]) => ({ kind, quantity: 1 })),
      { kind: numberCards, quantity: 1 },
    ];
  }
  const [low, high] = need.cards;
  return [
    ...decks
      .filter(([, l, h, each]) => l <= low && h >= high && Math.ceil(need.each / each) <= mostDecks)
      .map(([kind, , , each]) => ({ kind, quantity: Math.ceil(need.each / each) })),
    { kind: numberCards, quantity: 1 },
  ];
}

/** What is written on the list of things: each need by its usual kind, needs of one kind together. */
export function materialsFor(needs: readonly Need[]): MaterialNeed[] {
  const sum = new Map<string, number>();
  for (const need of needs) {
    const { kind, quantity } = kindsFor(need)[0]!;
    sum.set(kind, (sum.get(kind) ?? 0) + quantity);
  }
  return [...sum].map(([kind, quantity]) => ({ kind, quantity }));
}

const knownNumbers = new Set([...dice, ...decks].map(([kind]) => kind).concat(numberCards));

/**
 * The first need that none of these kinds meets, or null. Only numbers are judged: a list without
 * any dice or cards is not complete rather than wrong, and what an owner calls by another name may well do.
 */
export function unmet(needs: readonly Need[], kinds: readonly string[], shipped: (kind: string) => boolean): Need | null {
  if (kinds.some((k) => !shipped(k))) return null;
  const listed = kinds.filter((k) => knownNumbers.has(k));
  if (listed.length === 0) return null;
  return needs.find((need) => !('kind' in need) && !kindsFor(need).some((k) => listed.includes(k.kind))) ?? null;
}

/** The numbers that are needed, whatever gives them. */
export function numbersText(need: Exclude<Need, { kind: string }>): string {
  if ('chances' in need) {
    const [low, high] = need.chances;
    return `even chances from ${low} to ${high}${need.count > 1 ? `, ${need.count} at once` : ''}`;
  }
  const [low, high] = need.cards;
  return `cards from ${low < 0 ? `−${-low}` : low} to ${high}${need.each > 1 ? `, ${need.each} of each` : ''}`;
}

/** A need in words, with the thing that usually meets it. */
export function needText(need: Need, title: (kind: string) => string): string {
  const usual = kindsFor(need)[0]!;
  const thing = `${usual.quantity > 1 ? `${usual.quantity} × ` : ''}${title(usual.kind).toLowerCase()}`;
  return 'kind' in need ? thing : `${thing} (${numbersText(need)})`;
}
