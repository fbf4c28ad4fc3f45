import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, circle, line, rect, text } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  model: oneOf('Model', ['circles', 'bar', 'tray'], 'circles'),
  parts: whole('Parts', 2, 4, 2),
  mats: whole('Mats on the page', 1, 4, 2),
});
type P = typeof DEFAULTS;
/** Widths of the parts of a bar: never as one, or it would say halves. */
type Made = readonly number[];

export default sheetKind<P, Made>({
  id: 'part-whole-mat',
  title: 'Part and whole mat',
  about: 'One whole and its parts: circles joined by lines, a bar over bars, or a tray with partitions.',
  group: 'mats',
  forFamilies: ['part-whole-dice', 'split-and-spill'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => {
    const weights = Array.from({ length: p.parts }, (_, i) => p.parts + 1 - i + (i === 0 ? 1 : 0));
    const sum = weights.reduce((a, b) => a + b, 0);
    return weights.map((x) => x / sum);
  },
  verify: (made, p) => [
    ...(made.length === p.parts ? [] : ['A part is missing.']),
    ...(Math.abs(made.reduce((a, b) => a + b, 0) - 1) < 1e-9 ? [] : ['The parts are not as long as the whole.']),
    ...(new Set(made.map((x) => x.toFixed(6))).size === made.length ? [] : ['The parts are alike, which would say equal shares.']),
  ],
  checked: (made) => `One whole and ${made.length} parts that fill it exactly.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: Made, p: P, { w, h, large }: Drawing): Box[] {
  const mats = large ? 1 : p.mats;
  const mh = h / mats;
  const style = { line: 'ink', width: 0.8, fill: 'white', frame: true } as const;
  return Array.from({ length: mats }, (_, k) => k).flatMap((k): Box[] => {
    const y = k * mh;
    if (p.model === 'circles') {
      const r = Math.min(mh * 0.21, w / (p.parts * 2.5));
      const [cx, cy] = [w / 2, y + mh * 0.26];
      const parts = made.map((_, i) => [w / 2 + (i - (p.parts - 1) / 2) * r * 2.5, y + mh * 0.74] as const);
      return [
        ...parts.map(([px, py]) => line(cx, cy, px, py, { width: 0.8, frame: true })),
        circle(cx, cy, r, { ...style, line: 'teal' }),
        ...parts.map(([px, py]) => circle(px, py, r, style)),
      ];
    }
    if (p.model === 'bar') {
      const bh = Math.min(44, mh * 0.34);
      let x = 0;
      return [
        rect(0, y + mh * 0.12, w, bh, { ...style, line: 'teal' }),
        ...made.map((share) => {
          const b = rect(x, y + mh * 0.12 + bh + 3, w * share, bh, style);
          x += w * share;
          return b;
        }),
      ];
    }
    const [tw, th] = [w, mh * 0.86];
    return [
      rect(0, y + mh * 0.06, tw, th, { ...style, width: 1.2 }),
      rect(0, y + mh * 0.06, tw, th * 0.42, { line: 'teal', width: 0.8, fill: 'wash', frame: true }),
      text(3, y + mh * 0.07, 40, 8, 'the whole', 12, { align: 'start', fill: 'soft', frame: true }),
      ...made.slice(1).map((_, i) => {
        const x = tw * made.slice(0, i + 1).reduce((a, b) => a + b, 0);
        return line(x, y + mh * 0.06 + th * 0.42, x, y + mh * 0.06 + th, { width: 0.8, frame: true });
      }),
    ];
  });
}
