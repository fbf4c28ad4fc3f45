import { coverGrid } from '../../../mechanisms/cover-grid';
import { type CoverParameters, DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/cover-grid/parameters';
import { cellsOf, factsFor, hasFreeCentre, linesOf, poolOf, tasksOf } from '../../../mechanisms/cover-grid/rules';
import { isActHalf } from '../../../play/actHalves';
import { parameters, whole, yesNo } from '../../../play/parameters';
import { below, type Rng, shuffle } from '../../../shared/rng';
import { type Box, circle, rect } from '../../box';
import { actShown, both } from '../../pictures/actShown';
import { drawShown, sayShown, type Shown } from '../../pictures/shown';
import { cardSizes, type Drawing, sheetKind } from '../../sheetKind';

const own = parameters({
  cards: whole('Cards to play on (0: the caller’s only)', 0, 60, 6),
  caller: yesNo('With the caller’s cards', true),
});
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
interface Call {
  readonly asks: Shown;
  readonly covers: Shown;
  /** What the answer is worth: two calls of one worth would cover the same. */
  readonly worth: string;
}
interface Made {
  /** Calls whose answers stand in the cells of each card, row by row; −1 is a free middle. */
  readonly cards: readonly (readonly number[])[];
  readonly calls: readonly Call[];
}
const signs: Readonly<Record<string, string>> = { sum: '+', difference: '−', product: '×' };
const free = -1;
/** Shuffles that are tried for each card before there are no more different ones. */
const cardTries = 200;

/** What the caller may call for each thing that can be covered. */
function callsOf(p: CoverParameters, rng: Rng): Call[] {
  const { relation } = p;
  if (isActHalf(relation))
    return tasksOf(p).map(([a, b], n) => {
      const [asks, covers] = actShown(relation, a, b, n);
      return { asks: asks.shown, covers: covers.shown, worth: covers.worth };
    });
  return poolOf(p).map((n) => {
    const facts = factsFor(p, n);
    const i = below(rng, facts.length / 2) * 2;
    const [a, b] = [facts[i]!, facts[i + 1]!];
    const words = relation === 'number' ? String(n) : relation === 'round' ? `${a} to the nearest ten` : `${a} ${signs[relation]!} ${b}`;
    const [asks, covers] = both({ as: 'words', words }, { as: 'number', n }, n);
    return { asks: asks.shown, covers: covers.shown, worth: covers.worth };
  });
}
/** Cards differ in what stands on them; where all of it stands on every card, in where it stands. */
const keyOf = (card: readonly number[], p: P, calls: number): string =>
  (calls > cellsOf(p) ? [...card].sort((a, b) => a - b) : card).join();

export default sheetKind<P, Made>({
  id: 'grid-cards',
  title: 'Grid cards',
  about: 'Cards to cover, all different, with the caller’s cards that cover them.',
  group: 'boards',
  forFamilies: ['cover-grid'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => coverGrid.check(p),
  make: (p, { rng }) => {
    const calls = callsOf(p, rng);
    const cards: number[][] = [];
    const seen = new Set<string>();
    for (let tries = 0; cards.length < p.cards && tries < cardTries * p.cards; tries++) {
      const mixed = calls.map((_, i) => i);
      shuffle(rng, mixed, mixed.length);
      const cells = mixed.slice(0, cellsOf(p));
      if (hasFreeCentre(p)) cells.splice(Math.floor(p.size ** 2 / 2), 0, free);
      if (seen.has(keyOf(cells, p, calls.length))) continue;
      seen.add(keyOf(cells, p, calls.length));
      cards.push(cells);
    }
    return { cards, calls };
  },
  verify: ({ cards, calls }, p) => {
    const faults: string[] = [];
    if (cards.length !== p.cards)
      faults.push(`Only ${cards.length} different cards can be made of ${calls.length} numbers; take fewer cards or more numbers.`);
    cards.forEach((cells, i) => {
      const filled = cells.filter((c) => c !== free);
      if (filled.some((c) => !calls[c])) faults.push(`Card ${i + 1} has something that is never called.`);
      if (new Set(filled).size !== cellsOf(p) || cells.length !== p.size ** 2) faults.push(`Card ${i + 1} has something twice.`);
      if (linesOf(p).length < p.linesToWin) faults.push(`Card ${i + 1} has fewer lines than are wanted.`);
      if (cards.some((other, k) => k < i && keyOf(other, p, calls.length) === keyOf(cells, p, calls.length)))
        faults.push(`Card ${i + 1} is there twice.`);
    });
    if (new Set(calls.map((c) => c.worth)).size !== calls.length) faults.push('Two calls cover the same.');
    return faults;
  },
  checked: ({ cards, calls }, p) =>
    `${cards.length} cards, no two ${calls.length > cellsOf(p) ? 'of the same numbers' : 'in the same order'}; all that stands on them is among the ${calls.length} calls, so each can be won.`,
  draw: ({ cards, calls }, p) => ({
    pieces: [
      {
        ...(p.size >= 4 || (p.size === 3 && isActHalf(p.relation)) ? { w: 118, h: 118 } : { w: 88, h: 88 }),
        count: cards.length,
        face: (n, at) => grid(cards[n]!, calls, p.size, at),
      },
      ...(p.caller
        ? [
            {
              ...cardSizes.small,
              count: calls.length,
              marked: true,
              face: (n: number, { w, h, country }: Drawing) => drawShown(calls[n]!.asks, 4, 11, w - 8, h - 22, country),
              back: (n: number, { w, h, country }: Drawing) => drawShown(calls[n]!.covers, 6, 15, w - 12, h - 30, country),
            },
          ]
        : []),
    ],
  }),
  key: ({ calls }) => calls.map((c) => `${sayShown(c.asks)} covers ${sayShown(c.covers)}`),
});

function grid(cells: readonly number[], calls: readonly Call[], k: number, { w, h, country }: Drawing): Box[] {
  const s = (Math.min(w, h) - 12) / k;
  return cells.flatMap((call, i) => {
    const [x, y] = [6 + (i % k) * s, 6 + Math.floor(i / k) * s];
    const frame = rect(x, y, s, s, { line: 'ink', width: 0.5, frame: true });
    if (call === free) return [frame, circle(x + s / 2, y + s / 2, s * 0.3, { line: 'ochre', width: 0.8, fill: 'wash' })];
    return [frame, ...drawShown(calls[call]!.covers, x + s * 0.1, y + s * 0.14, s * 0.8, s * 0.72, country)];
  });
}
