import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, line, polygon, rect, text } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  sides: oneOf('Each side has', ['one-pan', 'two-pans'], 'one-pan'),
  mats: whole('Mats on the page', 1, 3, 2),
});
type P = typeof DEFAULTS;

export default sheetKind<P, { readonly pans: number }>({
  id: 'balance-mat',
  title: 'Balance mat',
  about: 'A balance on paper: what lies left is as much as what lies right.',
  group: 'mats',
  forFamilies: ['balance-the-beam', 'equation-draw'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => ({ pans: p.sides === 'one-pan' ? 2 : 4 }),
  verify: (made, p) => (made.pans === (p.sides === 'one-pan' ? 2 : 4) ? [] : ['One side has more pans than the other.']),
  checked: (made) => `${made.pans / 2} on each side, mirrored about the middle.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made.pans, p, at) } }),
});

function page(pans: number, p: P, { w, h, large }: Drawing): Box[] {
  const mats = large ? 1 : p.mats;
  const mh = h / mats;
  return Array.from({ length: mats }, (_, k) => k).flatMap((k): Box[] => {
    const y = k * mh + mh * 0.66;
    const side = pans / 2;
    const pw = (w / 2 - 16) / side;
    const pan = (x: number): Box => rect(x + 2, y - mh * 0.46, pw - 4, mh * 0.44, { line: 'ink', width: 0.7, fill: 'white', frame: true });
    return [
      line(2, y, w - 2, y, { width: 1.4, frame: true }),
      polygon(
        [
          [w / 2, y],
          [w / 2 - 12, y + mh * 0.24],
          [w / 2 + 12, y + mh * 0.24],
        ],
        { line: 'ink', width: 0.7, fill: 'wash', frame: true },
      ),
      ...Array.from({ length: side }, (_, i) => [pan(2 + i * pw), pan(w - 2 - (i + 1) * pw)]).flat(),
      text(w / 2 - 12, y - mh * 0.34, 24, 12, '=', 30, { bold: true, frame: true }),
      ...(side === 2
        ? [
            text(2 + pw - 5, y - mh * 0.3, 10, 10, '+', 20, { frame: true }),
            text(w - 2 - pw - 5, y - mh * 0.3, 10, 10, '+', 20, { frame: true }),
          ]
        : []),
    ];
  });
}
