import { coverGrid } from '../../../mechanisms/cover-grid';
import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA, type CoverParameters } from '../../../mechanisms/cover-grid/parameters';
import { answersOf, cellsOf, factsFor, hasFreeCentre, linesOf, poolOf, tasksOf } from '../../../mechanisms/cover-grid/rules';
import { actHalves, isActHalf } from '../../../play/actHalves';
import { parameters, whole, yesNo } from '../../../play/parameters';
import { below, shuffle } from '../../../shared/rng';
import { type Box, circle, rect } from '../../box';
import { boxedParagraph } from '../../letters';
import { canBeTurned, numeral } from '../../pictures/numeral';
import { cardSizes, sheetKind } from '../../sheetKind';

const own = parameters({ cards: whole('Cards to play on', 1, 60, 6), caller: yesNo('With the caller’s cards', true) });
const DEFAULTS = { ...FAMILY, ...own.DEFAULTS };
type P = typeof DEFAULTS;
interface Call {
  readonly words: string;
  readonly covers: string;
}
interface Made {
  /** What stands in the cells of each card, row by row; a free middle is empty. */
  readonly cards: readonly (readonly string[])[];
  readonly calls: readonly Call[];
}
const signs: Readonly<Record<string, string>> = { sum: '+', difference: '−', product: '×' };
const seedTries = 200;

/** What the caller may call for each thing that can be covered. */
function callsOf(p: CoverParameters, pick: (n: number) => number): Call[] {
  const { relation } = p;
  if (isActHalf(relation)) {
    const answers = answersOf(p);
    return tasksOf(p).map(([a, b], i) => ({ words: actHalves[relation].pair(a, b)[0], covers: answers[i]! }));
  }
  return poolOf(p).map((n) => {
    const facts = factsFor(p, n);
    const i = pick(facts.length / 2) * 2;
    const [a, b] = [facts[i]!, facts[i + 1]!];
    return {
      words: relation === 'number' ? String(n) : relation === 'round' ? `${a} to the nearest ten` : `${a} ${signs[relation]!} ${b}`,
      covers: String(n),
    };
  });
}

export default sheetKind<P, Made>({
  id: 'grid-cards',
  title: 'Grid cards',
  about: 'Cards to cover, all different, with the caller’s cards that cover them.',
  group: 'boards',
  forFamilies: ['cover-grid'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...FAMILY_SCHEMA.properties, ...own.SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => coverGrid.check(p),
  make: (p, { rng }) => {
    const calls = callsOf(p, (n) => below(rng, n));
    const pool = calls.map((c) => c.covers);
    const cards: string[][] = [];
    for (let tries = 0; cards.length < p.cards && tries < seedTries * p.cards; tries++) {
      const mixed = [...pool];
      shuffle(rng, mixed, mixed.length);
      const cells = mixed.slice(0, cellsOf(p));
      if (hasFreeCentre(p)) cells.splice(Math.floor(p.size ** 2 / 2), 0, '');
      const key = [...cells].sort().join('|');
      if (!cards.some((c) => [...c].sort().join('|') === key)) cards.push(cells);
    }
    return { cards, calls };
  },
  verify: ({ cards, calls }, p) => {
    const faults: string[] = [];
    if (cards.length !== p.cards)
      faults.push(`Only ${cards.length} different cards can be made of ${calls.length} numbers; take fewer cards or more numbers.`);
    const callable = new Set(calls.map((c) => c.covers));
    const seen = new Set<string>();
    cards.forEach((cells, i) => {
      if (cells.some((c) => c !== '' && !callable.has(c))) faults.push(`Card ${i + 1} has something that is never called.`);
      if (new Set(cells.filter(Boolean)).size !== cellsOf(p)) faults.push(`Card ${i + 1} has something twice.`);
      if (linesOf(p).length < p.linesToWin) faults.push(`Card ${i + 1} has fewer lines than are wanted.`);
      const key = [...cells].sort().join('|');
      if (seen.has(key)) faults.push(`Card ${i + 1} is there twice.`);
      seen.add(key);
    });
    if (callable.size !== calls.length) faults.push('Two calls cover the same.');
    return faults;
  },
  checked: ({ cards, calls }) =>
    `${cards.length} cards, no two of the same numbers; all that stands on them is among the ${calls.length} calls, so each can be won.`,
  draw: ({ cards, calls }, p) => ({
    pieces: [
      {
        ...(p.size >= 4 ? { w: 118, h: 118 } : { w: 88, h: 88 }),
        count: cards.length,
        face: (n, { w, h }) => grid(cards[n]!, p.size, w, h),
      },
      ...(p.caller
        ? [
            {
              ...cardSizes.small,
              h: 44,
              count: calls.length,
              marked: true,
              face: (n: number, { w, h }: { w: number; h: number }) =>
                boxedParagraph(4, 10, w - 8, h - 20, calls[n]!.words, 22, 11, { bold: true }),
              back: (n: number, { w, h }: { w: number; h: number }) => boxedParagraph(4, 10, w - 8, h - 20, calls[n]!.covers, 22, 11),
            },
          ]
        : []),
    ],
  }),
  key: ({ calls }) => calls.map((c) => `${c.words} covers ${c.covers}`),
});

function grid(cells: readonly string[], k: number, w: number, h: number): Box[] {
  const s = (Math.min(w, h) - 12) / k;
  return cells.flatMap((words, i) => {
    const [x, y] = [6 + (i % k) * s, 6 + Math.floor(i / k) * s];
    const frame = rect(x, y, s, s, { line: 'ink', width: 0.5, frame: true });
    if (words === '') return [frame, circle(x + s / 2, y + s / 2, s * 0.3, { line: 'ochre', width: 0.8, fill: 'wash' })];
    const short = /^[\d.\s]+$/.test(words) || canBeTurned(words);
    return [
      frame,
      ...(short
        ? numeral(x + s * 0.12, y + s * 0.26, s * 0.76, s * 0.48, words, { most: 48 })
        : boxedParagraph(x + 1.5, y + 2, s - 3, s - 4, words, 20, 8, { bold: true })),
    ];
  });
}
