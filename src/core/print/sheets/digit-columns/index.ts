import { operationSigns, wholeResult } from '../../../play/arithmetic';
import { impossible } from '../../../play/refuse';
import { between } from '../../../play/deck';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, line, rect, text } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';
import { nameLine, nameRoom } from '../writing';

const { SCHEMA, DEFAULTS } = parameters({
  operation: oneOf('Written', ['add', 'subtract', 'multiply'], 'add'),
  digits: whole('Digits of the upper number', 2, 6, 3),
  lowerDigits: whole('Digits of the lower number', 1, 5, 3),
  regroup: oneOf('Regrouping', ['either', 'always', 'never'], 'either'),
  tasks: whole('Tasks on the page', 1, 12, 6),
});
type P = typeof DEFAULTS;
interface Task {
  readonly a: number;
  readonly b: number;
  readonly result: number;
}
const taskTries = 4000;

/** Whether writing it down carries or trades at any place. */
export function regroups(op: P['operation'], a: number, b: number): boolean {
  for (let [x, y] = [a, b]; x > 0 || y > 0; [x, y] = [Math.floor(x / 10), Math.floor(y / 10)]) {
    if (op === 'add' && (x % 10) + (y % 10) > 9) return true;
    if (op === 'subtract' && x % 10 < y % 10) return true;
    if (op === 'multiply' && y > 0 && [...String(a)].some((d) => Number(d) * (y % 10) > 9)) return true;
  }
  return false;
}

export default sheetKind<P, readonly Task[]>({
  id: 'digit-columns',
  title: 'Digit columns',
  about: 'Written adding, taking away and multiplying in squares, with or without regrouping.',
  group: 'to write on',
  forFamilies: ['digit-placement'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.lowerDigits > p.digits
      ? impossible('lowerDigits', 'The lower number has no more digits than the upper one.')
      : p.operation === 'multiply' && p.lowerDigits > 2
        ? impossible('lowerDigits', 'Two digits are the most to multiply by on this sheet.')
        : null,
  make: (p, { rng }) => {
    const made: Task[] = [];
    for (let t = 0; made.length < p.tasks && t < taskTries; t++) {
      const a = between(rng, 10 ** (p.digits - 1), 10 ** p.digits - 1);
      const b = between(rng, p.lowerDigits === 1 ? 2 : 10 ** (p.lowerDigits - 1), 10 ** p.lowerDigits - 1);
      if (p.operation === 'subtract' && b > a) continue;
      if (p.regroup !== 'either' && regroups(p.operation, a, b) !== (p.regroup === 'always')) continue;
      if (made.some((m) => m.a === a && m.b === b)) continue;
      made.push({ a, b, result: wholeResult(p.operation, a, b) });
    }
    return made;
  },
  verify: (made, p) => [
    ...(made.length === p.tasks ? [] : [`Only ${made.length} such tasks were found.`]),
    ...made.flatMap((t, i) => [
      ...(t.result === wholeResult(p.operation, t.a, t.b) && t.result >= 0 ? [] : [`Task ${i + 1} does not come out at ${t.result}.`]),
      ...(p.regroup === 'either' || regroups(p.operation, t.a, t.b) === (p.regroup === 'always')
        ? []
        : [`Task ${i + 1} regroups otherwise than asked.`]),
    ]),
  ],
  checked: (made, p) =>
    `${made.length} tasks, each worked out anew${p.regroup === 'either' ? '' : `; regrouping ${p.regroup === 'always' ? 'in every one' : 'in none'}`}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
  key: (made, p) => made.map((t, i) => `${i + 1}: ${t.a} ${operationSigns[p.operation]} ${t.b} = ${t.result}`),
});

function page(made: readonly Task[], p: P, { w, h, large }: Drawing): Box[] {
  const columns = large ? 1 : made.length > 6 ? 3 : 2;
  const rows = Math.ceil(made.length / columns);
  const [cw, ch] = [w / columns, (h - nameRoom) / rows];
  const across = p.operation === 'multiply' ? p.digits + p.lowerDigits : p.digits + 1;
  const down = p.operation === 'multiply' ? 3 + (p.lowerDigits > 1 ? 3 : 0) : 4;
  const s = Math.min((cw - 16) / (across + 1), (ch - 12) / down, 14);
  return [
    ...nameLine(w),
    ...made.flatMap((t, i): Box[] => {
      const x0 = (i % columns) * cw + (cw - s * (across + 1)) / 2;
      const y0 = nameRoom + Math.floor(i / columns) * ch + 8;
      const put = (n: number, row: number): Box[] =>
        [...String(n)].map((d, k, all) => text(x0 + (across + 1 - all.length + k) * s, y0 + row * s, s, s, d, s * 1.7));
      const top = p.operation === 'multiply' ? 0 : 1;
      return [
        text((i % columns) * cw, y0 - 7, 12, 6, String(i + 1), 10, { align: 'start', fill: 'soft', frame: true }),
        ...Array.from({ length: across * down }, (_, k) =>
          rect(x0 + s + (k % across) * s, y0 + Math.floor(k / across) * s, s, s, { line: 'pale', width: 0.25, frame: true }),
        ),
        ...put(t.a, top),
        text(x0, y0 + (top + 1) * s, s, s, operationSigns[p.operation], s * 1.6),
        ...put(t.b, top + 1),
        line(x0, y0 + (top + 2) * s, x0 + (across + 1) * s, y0 + (top + 2) * s, { width: 0.7, frame: true }),
        ...(p.operation === 'multiply' && p.lowerDigits > 1
          ? [line(x0, y0 + (top + 5) * s, x0 + (across + 1) * s, y0 + (top + 5) * s, { width: 0.7, frame: true })]
          : []),
      ];
    }),
  ];
}
