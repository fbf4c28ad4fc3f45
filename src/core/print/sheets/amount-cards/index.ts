import { oneOf, parameters, someOf, whole } from '../../../play/parameters';
import { createRng, nextUint } from '../../../shared/rng';
import { amount, type AmountLook, amountLooks, mostShown } from '../../pictures/amount';
import { cardSizes, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  low: whole('From', 0, 999, 1),
  high: whole('To', 0, 999, 10),
  each: whole('Of each amount and look', 1, 10, 1),
  looks: someOf('Shown as', amountLooks, ['dots', 'ten-frame']),
  card: oneOf('Card', ['usual', 'small'], 'usual'),
});
type P = typeof DEFAULTS;
interface Card {
  readonly n: number;
  readonly look: AmountLook;
  readonly seed: number;
}

export default sheetKind<P, readonly Card[]>({
  id: 'amount-cards',
  title: 'Amount cards',
  about: 'Dots, frames, tallies, beads, tens and ones or words: one amount in several looks.',
  group: 'cards',
  forFamilies: ['quick-look', 'collect-all-that-show-it', 'pair-memory'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => {
    if (p.high < p.low)
      return { code: 'impossible-parameters', field: 'high', message: `The range runs backwards: ${p.low} to ${p.high}.` };
    const look = p.looks.find((l) => p.high > mostShown[l]);
    return look
      ? {
          code: 'impossible-parameters',
          field: 'looks',
          message: `${p.high} cannot be shown as ${look}; ${mostShown[look]} is the most. Take a smaller range or another look.`,
        }
      : null;
  },
  make: (p, { rng }) => {
    const cards: Card[] = [];
    for (const look of p.looks)
      for (let n = p.low; n <= p.high; n++) for (let i = 0; i < p.each; i++) cards.push({ n, look, seed: nextUint(rng) });
    return cards;
  },
  verify: (made, p) => {
    const faults: string[] = [];
    const { w, h } = cardSizes[p.card];
    for (const c of made) {
      const drawn = amount(c.look, c.n, 0, 0, w - 12, h - 24, createRng(c.seed));
      const shown = countIn(c.look, drawn);
      if (shown !== null && shown !== c.n) faults.push(`${c.n} as ${c.look} shows ${shown}.`);
    }
    for (const look of p.looks)
      for (let n = p.low; n <= p.high; n++)
        if (made.filter((c) => c.look === look && c.n === n).length !== p.each)
          faults.push(`${n} as ${look} is not there ${p.each} times.`);
    return faults;
  },
  checked: (made, p) => `${made.length} cards; what lies on each was counted anew and is ${p.low} to ${p.high}.`,
  draw: (made, p) => ({
    pieces: [
      {
        ...cardSizes[p.card],
        count: made.length,
        marked: true,
        face: (i, { w, h }) => {
          const c = made[i]!;
          return amount(c.look, c.n, 6, 12, w - 12, h - 24, createRng(c.seed));
        },
        back: () => [],
      },
    ],
  }),
});

/** Counts what was drawn; null where it is written and not laid out. */
function countIn(look: AmountLook, boxes: ReturnType<typeof amount>): number | null {
  if (look === 'numerals' || look === 'words') return null;
  if (look === 'tally') return boxes.length;
  if (look === 'base-ten') {
    const solid = boxes.filter((b) => b.kind === 'rect');
    return (
      100 * solid.filter((b) => b.fill === 'wash').length +
      10 * solid.filter((b) => b.fill === 'teal').length +
      solid.filter((b) => b.fill === 'ochre').length
    );
  }
  return boxes.filter((b) => (look === 'fingers-of-five' ? b.kind === 'rect' : b.kind === 'ellipse')).length;
}
