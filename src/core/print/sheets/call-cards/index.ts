import { fourOperations, operationSigns, wholeResult } from '../../../play/arithmetic';
import { oneOf, pairs, parameters, whole, yesNo } from '../../../play/parameters';
import { below } from '../../../shared/rng';
import { type Box, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { cardSizes, type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  operation: oneOf('Facts', fourOperations, 'add'),
  low: whole('Lowest number', 0, 50, 1),
  high: whole('Highest number', 1, 50, 10),
  answers: oneOf('Every answer', ['once', 'every-fact'], 'once'),
  call: oneOf('The caller reads', ['question', 'answer'], 'question'),
  only: pairs('Only these facts', 200, [], 60),
  claim: yesNo('With the cards to claim', false),
});
type P = typeof DEFAULTS;
interface Fact {
  readonly a: number;
  readonly b: number;
  readonly result: number;
}

/** Every fact of the range; taking away and sharing undo adding and multiplying, so nothing goes below zero or breaks. */
function factsOf(p: P): Fact[] {
  const facts: Fact[] = [];
  for (let x = p.low; x <= p.high; x++)
    for (let y = p.low; y <= p.high; y++) {
      if (p.operation === 'divide' && y === 0) continue;
      const [a, b] = p.operation === 'subtract' ? [x + y, y] : p.operation === 'divide' ? [x * y, y] : [x, y];
      facts.push({ a, b, result: wholeResult(p.operation, a, b) });
    }
  return facts;
}

export default sheetKind<P, readonly Fact[]>({
  id: 'call-cards',
  title: 'Call cards',
  about: 'A fact on the front for the caller, its answer on the back.',
  group: 'cards',
  forFamilies: ['call-and-claim'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.high < p.low ? { code: 'impossible-parameters', field: 'high', message: `The range runs backwards: ${p.low} to ${p.high}.` } : null,
  make: (p, { rng }) => {
    if (p.only.length > 0) return p.only.map(([a, b]) => ({ a, b, result: wholeResult(p.operation, a, b) }));
    const all = factsOf(p);
    if (p.answers === 'every-fact') return all.slice(0, 400);
    const by = new Map<number, Fact[]>();
    for (const f of all) by.set(f.result, [...(by.get(f.result) ?? []), f]);
    return [...by.entries()].sort(([x], [y]) => x - y).map(([, list]) => list[below(rng, list.length)]!);
  },
  verify: (made, p) => {
    const faults = made
      .filter((f) => wholeResult(p.operation, f.a, f.b) !== f.result)
      .map((f) => `${f.a} ${operationSigns[p.operation]} ${f.b} is not ${f.result}.`);
    if (made.some((f) => f.result < 0)) faults.push('A fact has no whole answer from nought on.');
    if (p.only.length > 0)
      return made.length === p.only.length && new Set(made.map((f) => `${f.a} ${f.b}`)).size === made.length
        ? faults
        : [...faults, 'A fact is there twice or missing.'];
    if (p.answers === 'once' && new Set(made.map((f) => f.result)).size !== made.length) faults.push('Two cards have the same answer.');
    return faults;
  },
  checked: (made, p) =>
    `${made.length} cards to call${p.claim ? ' and as many to claim' : ''}, each worked out anew; ${p.only.length > 0 ? 'those that were asked for' : p.answers === 'once' ? 'no answer comes twice' : 'every fact of the range'}.`,
  draw: (made, p) => ({
    pieces: [
      {
        ...cardSizes.small,
        count: made.length,
        marked: true,
        face: (n, { w, h }) => side(made[n]!, p, p.call === 'question', w, h),
        back: (n, { w, h }) => side(made[n]!, p, p.call !== 'question', w, h),
      },
      // What the players look for lies open on the table: nothing on its back.
      ...(p.claim
        ? [
            {
              ...cardSizes.small,
              count: made.length,
              marked: true,
              face: (n: number, { w, h }: Drawing) => side(made[n]!, p, p.call !== 'question', w, h),
              back: () => [],
            },
          ]
        : []),
    ],
  }),
  key: (made, p) => made.map((f) => `${f.a} ${operationSigns[p.operation]} ${f.b} = ${f.result}`),
});

function side(f: Fact, p: P, question: boolean, w: number, h: number): Box[] {
  if (!question) return numeral(6, h * 0.3, w - 12, h * 0.4, String(f.result), { most: 70 });
  return [
    ...numeral(4, h * 0.32, w - 8, h * 0.3, `${f.a} ${operationSigns[p.operation]} ${f.b}`, { most: 48 }),
    text(4, h * 0.74, w - 8, 5, `= ?`, 12, { fill: 'soft' }),
  ];
}
