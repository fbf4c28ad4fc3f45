import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, circle, line, rect, text } from '../../box';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';
import { nameLine, nameRoom } from '../writing';

const { SCHEMA, DEFAULTS } = parameters({
  record: oneOf('Recorded as', ['tally', 'pictures', 'bars'], 'bars'),
  trays: whole('Trays', 2, 6, 3),
  scale: oneOf('One square or picture stands for', [1, 2, 5, 10], 1),
  most: whole('Most in one tray', 4, 100, 12),
});
type P = typeof DEFAULTS;
interface Made {
  readonly steps: number;
  readonly labels: readonly number[];
}

export default sheetKind<P, Made>({
  id: 'graph-sheet',
  title: 'Graph sheet',
  about: 'A tally chart, a picture graph or a bar graph with a scale of 1, 2, 5 or 10.',
  group: 'to write on',
  forFamilies: ['sort-and-graph'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => {
    const steps = Math.min(24, Math.ceil(p.most / p.scale));
    return { steps, labels: Array.from({ length: steps + 1 }, (_, i) => i * p.scale) };
  },
  verify: (made, p) => {
    const faults: string[] = [];
    if (made.labels.length !== made.steps + 1 || made.labels.some((n, i) => n !== i * p.scale)) faults.push('The scale is not even.');
    if (made.labels.at(-1)! < p.most && made.steps < 24) faults.push(`The scale ends below ${p.most}.`);
    return faults;
  },
  checked: (made, p) => `A scale of ${p.scale}s up to ${made.labels.at(-1)!}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: Made, p: P, { w, h }: Drawing): Box[] {
  const top = nameRoom + 14;
  const heading: Box[] = [
    ...nameLine(w),
    text(0, nameRoom, 40, 8, 'What I counted', 14, { align: 'start', frame: true }),
    line(42, nameRoom + 8, w, nameRoom + 8, { line: 'soft', width: 0.3, frame: true }),
  ];
  if (p.record === 'tally') {
    const step = Math.min(34, (h - top) / (p.trays + 1));
    const rows = Array.from({ length: p.trays + 1 }, (_, r) => r);
    return [
      ...heading,
      ...rows.flatMap((r): Box[] => {
        const y = top + r * step;
        const cells = [0, w * 0.3, w * 0.82, w];
        const words = ['tray', 'tally', 'how many'];
        return [0, 1, 2].flatMap((c): Box[] => [
          rect(cells[c]!, y, cells[c + 1]! - cells[c]!, step, {
            line: 'ink',
            width: 0.4,
            frame: true,
            ...(r === 0 ? { fill: 'wash' } : {}),
          }),
          ...(r === 0
            ? [fitted(cells[c]! + 2, y + step * 0.3, cells[c + 1]! - cells[c]! - 4, step * 0.4, words[c]!, { most: 16, bold: true })].map(
                (b) => ({ ...b, frame: true }),
              )
            : []),
        ]);
      }),
    ];
  }
  if (p.record === 'pictures') {
    const step = Math.min(30, (h - top - 14) / p.trays);
    const s = Math.min(step * 0.8, (w * 0.72) / Math.min(made.steps, 12));
    return [
      ...heading,
      ...Array.from({ length: p.trays }, (_, r) => r).flatMap((r): Box[] => [
        rect(0, top + r * step, w * 0.26, step, { line: 'ink', width: 0.4, frame: true }),
        rect(w * 0.26, top + r * step, w * 0.74, step, { line: 'ink', width: 0.4, frame: true }),
        ...Array.from({ length: Math.min(made.steps, 12) }, (_, i) =>
          circle(w * 0.28 + s * (i + 0.5), top + r * step + step / 2, s * 0.4, { line: 'pale', width: 0.4, frame: true }),
        ),
      ]),
      circle(8, top + p.trays * step + 9, 4, { line: 'ink', width: 0.5, fill: 'wash', frame: true }),
      text(15, top + p.trays * step + 5, 60, 8, `stands for ${p.scale}`, 14, { align: 'start', frame: true }),
    ];
  }
  const bottom = h - 20;
  const step = (bottom - top) / made.steps;
  const left = 18;
  const cw = (w - left) / p.trays;
  return [
    ...heading,
    ...made.labels.flatMap((n, i): Box[] => [
      line(left, bottom - i * step, w, bottom - i * step, { line: i === 0 ? 'ink' : 'pale', width: i === 0 ? 0.6 : 0.3, frame: true }),
      { ...fitted(0, bottom - i * step - 3, left - 3, Math.min(6, step), String(n), { most: 16, align: 'end' }), frame: true },
    ]),
    line(left, top, left, bottom, { width: 0.6, frame: true }),
    ...Array.from({ length: p.trays }, (_, c) => c).flatMap((c): Box[] => [
      rect(left + c * cw + cw * 0.2, top, cw * 0.6, bottom - top, { line: 'pale', width: 0.3, dashed: true, frame: true }),
      line(left + c * cw + cw * 0.12, h - 6, left + c * cw + cw * 0.88, h - 6, { line: 'soft', width: 0.3, frame: true }),
    ]),
  ];
}
