import { dealOrderPuzzle } from '../../../mechanisms/deal-order-puzzle';
import { DEFAULTS, type DealOrderParameters, SCHEMA } from '../../../mechanisms/deal-order-puzzle/parameters';
import { arrangement, comesOutInOrder } from '../../../mechanisms/deal-order-puzzle/rules';
import { type Box, rect, text } from '../../box';
import { cardSizes, type Drawing, sheetKind } from '../../sheetKind';

export default sheetKind<DealOrderParameters, readonly number[]>({
  id: 'slot-row',
  title: 'Row of slots',
  about: 'A slot for every card of a packet, from the top; the answer for the helper in the key.',
  group: 'mats',
  forFamilies: ['deal-order-puzzle'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => dealOrderPuzzle.check(p),
  make: (p) => arrangement(p),
  verify: (made, p) => [
    ...(made.length === p.cards ? [] : ['A slot is missing.']),
    ...(comesOutInOrder(p, made) ? [] : ['Dealt like this the numbers do not come out in order.']),
  ],
  checked: (made) => `${made.length} slots that small cards (44 by 60 mm) fit in; the packet of the key was dealt and comes out in order.`,
  draw: (made) => ({
    whole: { count: Math.ceil(made.length / aPage), page: (n, at) => page(n * aPage, Math.min(aPage, made.length - n * aPage), at) },
  }),
  key: (made) => [`from the top: ${made.join(', ')}`],
});

/** Slots on a page, and room between them in millimetres: a small card lies in each with a finger's room. */
const aRow = 3;
const rows = 3;
const aPage = aRow * rows;
const slack = 4;
const captionMm = 9;

function page(from: number, here: number, { w }: Drawing): Box[] {
  const [sw, sh] = [cardSizes.small.w + slack, cardSizes.small.h + slack];
  const [cw, ch] = [w / aRow, sh + captionMm + 3];
  return Array.from({ length: here }, (_, i) => i).flatMap((i): Box[] => {
    const [x, y] = [(i % aRow) * cw + (cw - sw) / 2, Math.floor(i / aRow) * ch];
    const n = from + i;
    return [
      rect(x, y, sw, sh, { line: 'ink', width: 0.5, frame: true }),
      text(x, y + sh + 1, sw, captionMm - 2, n === 0 ? 'top' : String(n + 1), 14, { fill: 'soft', frame: true }),
    ];
  });
}
