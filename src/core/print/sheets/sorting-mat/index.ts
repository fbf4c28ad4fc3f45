import { oneOf, parameters, whole } from '../../../play/parameters';
import { impossible } from '../../../play/refuse';
import { type Box, circle, line, rect } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  mat: oneOf('Mat', ['trays', 'two-rings', 'shake-and-spill', 'two-ways'], 'trays'),
  trays: whole('Trays', 2, 6, 3),
});
type P = typeof DEFAULTS;

export default sheetKind<P, { readonly fields: number }>({
  id: 'sorting-mat',
  title: 'Sorting mat',
  about: 'Trays, two rings that overlap, two ways of sorting at once, or a field to spill counters on.',
  group: 'mats',
  forFamilies: ['sort-and-graph', 'split-and-spill', 'guess-my-rule'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.mat !== 'trays' && p.trays !== DEFAULTS.trays
      ? impossible('trays', 'Only a mat of trays has a number of trays; leave it at three.')
      : null,
  make: (p) => ({ fields: p.mat === 'trays' ? p.trays : p.mat === 'two-rings' ? 3 : p.mat === 'two-ways' ? 4 : 2 }),
  verify: (made, p) =>
    made.fields === (p.mat === 'trays' ? p.trays : p.mat === 'two-rings' ? 3 : p.mat === 'two-ways' ? 4 : 2) ? [] : ['A field is missing.'],
  checked: (made) => `${made.fields} fields, each with a line for its name.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made.fields, p, at) } }),
});

function page(fields: number, p: P, { w, h }: Drawing): Box[] {
  const style = { line: 'ink', width: 0.7, frame: true } as const;
  const name = (x: number, y: number, wide: number): Box => line(x, y, x + wide, y, { line: 'soft', width: 0.4, frame: true });
  if (p.mat === 'trays') {
    const columns = fields <= 3 ? 1 : 2;
    const rows = Math.ceil(fields / columns);
    const [tw, th] = [w / columns, h / rows];
    return Array.from({ length: fields }, (_, i) => i).flatMap((i): Box[] => {
      const [x, y] = [(i % columns) * tw + 2, Math.floor(i / columns) * th + 2];
      return [rect(x, y, tw - 4, th - 4, style), name(x + 6, y + 14, tw * 0.5)];
    });
  }
  if (p.mat === 'two-rings') {
    const r = w * 0.31;
    const cy = h * 0.45;
    return [
      circle(w / 2 - r * 0.58, cy, r, { ...style, line: 'teal', width: 1.2 }),
      circle(w / 2 + r * 0.58, cy, r, { ...style, line: 'vermilion', width: 1.2 }),
      name(w * 0.04, cy - r - 8, w * 0.38),
      name(w * 0.58, cy - r - 8, w * 0.38),
      rect(0, cy - r - 24, w, 2 * r + 48, { line: 'pale', width: 0.5, frame: true }),
    ];
  }
  if (p.mat === 'two-ways') {
    const [x, y] = [w * 0.18, h * 0.12];
    return [
      rect(x, y, w - x, h - y, style),
      line(x + (w - x) / 2, y, x + (w - x) / 2, h, style),
      line(x, y + (h - y) / 2, w, y + (h - y) / 2, style),
      name(x + 6, y - 5, (w - x) / 2 - 12),
      name(x + (w - x) / 2 + 6, y - 5, (w - x) / 2 - 12),
      name(2, y + (h - y) * 0.25, x - 6),
      name(2, y + (h - y) * 0.75, x - 6),
    ];
  }
  // A field to spill on, and a strip to move both colours to.
  return [
    circle(w / 2, h * 0.36, Math.min(w, h * 0.72) / 2 - 2, { ...style, fill: 'wash' }),
    rect(0, h * 0.78, w / 2 - 3, h * 0.2, style),
    rect(w / 2 + 3, h * 0.78, w / 2 - 3, h * 0.2, { ...style, dashed: true }),
    name(6, h * 0.82, w * 0.2),
    name(w / 2 + 9, h * 0.82, w * 0.2),
  ];
}
