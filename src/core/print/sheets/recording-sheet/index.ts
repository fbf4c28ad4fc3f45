import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, circle, rect, text } from '../../box';
import { sheetKind, type Drawing } from '../../sheetKind';
import { labelOf } from '../task-cards/tasks';
import { nameLine, nameRoom } from '../writing';
import { boxesToWrite } from './boxesToWrite';

const { SCHEMA, DEFAULTS } = parameters({
  records: oneOf('For', ['labelled-boxes', 'splits'], 'labelled-boxes'),
  boxes: whole('Boxes', 4, 24, 16),
  labels: oneOf('Boxes carry', ['numbers', 'letters'], 'letters'),
  counters: whole('Counters that are split', 2, 20, 5),
  lines: whole('Lines', 3, 20, 8),
});
type P = typeof DEFAULTS;

export default sheetKind<P, readonly string[]>({
  id: 'recording-sheet',
  title: 'Recording sheet',
  about: 'Boxes with labels for a task hunt, or lines for the splits of a number.',
  group: 'to write on',
  forFamilies: ['task-hunt', 'split-and-spill', 'fact-wheel', 'edge-tiles'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) =>
    Array.from({ length: p.records === 'splits' ? p.lines : p.boxes }, (_, i) =>
      p.records === 'splits' ? String(i + 1) : labelOf(i, p.labels),
    ),
  verify: (made, p) =>
    new Set(made).size === made.length && made.length === (p.records === 'splits' ? p.lines : p.boxes)
      ? []
      : ['Two boxes carry the same label, or one is missing.'],
  checked: (made) => `${made.length} ${made.length === 1 ? 'box' : 'boxes'}, no label twice.`,
  draw: (made, p) => ({
    whole: { count: 1, page: (_n, at) => (p.records === 'splits' ? splitLines(made, p.counters, at) : boxesToWrite(made, at)) },
  }),
});

/** A row a throw: the counters to colour, and how many of each colour. */
function splitLines(labels: readonly string[], counters: number, { w, h, large }: Drawing): Box[] {
  const top = nameRoom;
  const step = Math.min(large ? 34 : 26, (h - top) / labels.length);
  const r = Math.min(4.4, step * 0.3, (w * 0.56) / counters / 2.3);
  return [
    ...nameLine(w),
    ...labels.flatMap((_, i): Box[] => {
      const y = top + i * step + step / 2;
      const dots = Array.from({ length: counters }, (__, k) => circle(4 + r + k * r * 2.3, y, r, { line: 'ink', width: 0.4, frame: true }));
      const x = w * 0.66;
      return [
        ...dots,
        rect(x, y - 7, 16, 14, { line: 'ink', width: 0.4, frame: true }),
        text(x + 16, y - 7, 12, 14, 'and', 14, { frame: true }),
        rect(x + 28, y - 7, 16, 14, { line: 'ink', width: 0.4, frame: true }),
      ];
    }),
  ];
}
