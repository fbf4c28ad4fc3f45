import { parameters, whole, yesNo } from '../../../play/parameters';
import { type Box, line, rect, text } from '../../box';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';
import { nameLine, nameRoom } from '../writing';

const { SCHEMA, DEFAULTS } = parameters({
  columns: whole('Columns', 2, 7, 3),
  behindPoint: whole('of them behind the point', 0, 3, 0),
  rounds: whole('Rounds', 1, 12, 5),
  tally: yesNo('With a column for the difference', false),
});
type P = typeof DEFAULTS;
const before = ['ones', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands', 'millions'];
const behind = ['tenths', 'hundredths', 'thousandths'];

export default sheetKind<P, readonly string[]>({
  id: 'place-columns',
  title: 'Place columns',
  about: 'A box for every place, whole or with a point, a line for each round.',
  group: 'to write on',
  forFamilies: ['digit-placement'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.behindPoint >= p.columns
      ? { code: 'impossible-parameters', field: 'behindPoint', message: 'At least the ones must stand before the point.' }
      : null,
  make: (p) => [...before.slice(0, p.columns - p.behindPoint).reverse(), ...behind.slice(0, p.behindPoint)],
  verify: (made, p) =>
    made.length === p.columns && new Set(made).size === made.length && made.indexOf('ones') === p.columns - p.behindPoint - 1
      ? []
      : ['The places are not in their order.'],
  checked: (made) => `Places in order: ${made.join(', ')}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: readonly string[], p: P, { w, h, large }: Drawing): Box[] {
  const room = w * (p.tally ? 0.72 : 1);
  const s = Math.min(large ? 34 : 26, room / made.length, (h - nameRoom - 12) / p.rounds - 6);
  const left = (room - s * made.length) / 2;
  const point = made.indexOf('ones');
  return [
    ...nameLine(w),
    ...made.map((name, c) => ({ ...fitted(left + c * s + 0.5, nameRoom + 1, s - 1, 6, name, { most: 12 }), frame: true })),
    ...(p.tally ? [text(room, nameRoom + 1, w - room, 6, 'how far apart', 12, { frame: true })] : []),
    ...Array.from({ length: p.rounds }, (_, r) => r).flatMap((r): Box[] => {
      const y = nameRoom + 10 + r * (s + 6);
      return [
        ...made.map((_, c) => rect(left + c * s, y, s, s, { line: 'ink', width: 0.5, frame: true })),
        ...(p.behindPoint > 0 ? [rect(left + (point + 1) * s - 1, y + s - 3.2, 2, 2, { fill: 'ink', frame: true })] : []),
        ...(p.tally ? [line(room + 8, y + s, w - 4, y + s, { line: 'soft', width: 0.4, frame: true })] : []),
      ];
    }),
  ];
}
