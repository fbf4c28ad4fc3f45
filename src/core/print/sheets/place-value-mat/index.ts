import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, rect } from '../../box';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  columns: whole('Places', 2, 7, 3),
  behindPoint: whole('of them behind the point', 0, 3, 0),
  rows: oneOf('Room for', ['pieces', 'two-numbers-and-a-result'], 'pieces'),
});
type P = typeof DEFAULTS;
const before = ['ones', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands', 'millions'];
const behind = ['tenths', 'hundredths', 'thousandths'];

export default sheetKind<P, readonly string[]>({
  id: 'place-value-mat',
  title: 'Place-value mat',
  about: 'Columns for hundreds, tens and ones, or tenths and hundredths, to lay pieces in.',
  group: 'mats',
  forFamilies: ['build-a-number', 'tens-or-ones'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.behindPoint >= p.columns
      ? { code: 'impossible-parameters', field: 'behindPoint', message: 'At least the ones must stand before the point.' }
      : null,
  make: (p) => [...before.slice(0, p.columns - p.behindPoint).reverse(), ...behind.slice(0, p.behindPoint)],
  verify: (made, p) =>
    made.length === p.columns && made.indexOf('ones') === p.columns - p.behindPoint - 1 ? [] : ['The places are not in their order.'],
  checked: (made) => `Places in order: ${made.join(', ')}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: readonly string[], p: P, { w, h }: Drawing): Box[] {
  const cw = w / made.length;
  const head = 16;
  const rows = p.rows === 'pieces' ? 1 : 3;
  const rh = (h - head - 4) / rows;
  const point = made.indexOf('ones');
  return made.flatMap((name, c): Box[] => [
    rect(c * cw, 0, cw, head, { line: 'ink', width: 0.5, fill: 'wash', frame: true }),
    { ...fitted(c * cw + 2, 4, cw - 4, head - 8, name, { bold: true, most: 20 }), frame: true },
    ...Array.from({ length: rows }, (_, r) => rect(c * cw, head + r * rh, cw, rh, { line: 'ink', width: r === 2 ? 1 : 0.5, frame: true })),
    ...(p.behindPoint > 0 && c === point ? [rect((c + 1) * cw - 2, head + rh / 2, 4, 4, { fill: 'vermilion', frame: true })] : []),
  ]);
}
