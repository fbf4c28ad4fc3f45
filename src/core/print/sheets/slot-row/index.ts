import { dealOrderPuzzle } from '../../../mechanisms/deal-order-puzzle';
import { DEFAULTS, type DealOrderParameters, SCHEMA } from '../../../mechanisms/deal-order-puzzle/parameters';
import { arrangement, comesOutInOrder } from '../../../mechanisms/deal-order-puzzle/rules';
import { type Box, rect, text } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

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
  checked: (made) => `${made.length} slots; the packet of the key was dealt and comes out in order.`,
  draw: (made) => ({ whole: { count: 1, page: (_n, at) => page(made.length, at) } }),
  key: (made) => [`from the top: ${made.join(', ')}`],
});

function page(n: number, { w, h, large }: Drawing): Box[] {
  const aRow = Math.min(n, large ? 4 : 6);
  const [cw, ch] = [w / aRow, Math.min(58, h / Math.ceil(n / aRow) - 8)];
  const slot = Math.min(cw - 3, ch / 1.3);
  return Array.from({ length: n }, (_, i) => i).flatMap((i): Box[] => {
    const [x, y] = [(i % aRow) * cw + (cw - slot) / 2, Math.floor(i / aRow) * (ch + 8)];
    return [
      rect(x, y, slot, slot * 1.3, { line: 'ink', width: 0.5, frame: true }),
      text(x, y + slot * 1.3 + 0.5, slot, 6, i === 0 ? 'top' : String(i + 1), 12, { fill: 'soft', frame: true }),
    ];
  });
}
