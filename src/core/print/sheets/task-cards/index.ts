import { taskHunt } from '../../../mechanisms/task-hunt';
import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/task-hunt/parameters';
import { wholeResult } from '../../../play/arithmetic';
import { parameters, whole, yesNo } from '../../../play/parameters';
import { type Box, rect, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';
import { byRule } from '../../teachingDeck';
import { boxesToWrite } from '../recording-sheet/boxesToWrite';
import { asked, labelOf, type TaskCard, tasksOf } from './tasks';

const own = parameters({
  sheets: whole('Recording sheets', 0, 30, 3),
  strip: yesNo('Small, to fit a capsule', false),
  teach: yesNo('Backs that teach the game', false),
});
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;

const taskWords = { add: 'adding', subtract: 'taking away', multiply: 'times', divide: 'sharing out' } as const;

export default sheetKind<P, readonly TaskCard[]>({
  id: 'task-cards',
  title: 'Task cards',
  about: 'Tasks to hide or to pass on, small enough for a capsule, with recording sheets whose boxes carry the same labels.',
  group: 'to solve',
  forFamilies: ['task-hunt'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => taskHunt.check(p),
  make: (p, { rng }) => tasksOf(p, rng),
  verify: (made, p) => {
    const faults: string[] = [];
    made.forEach((t, i) => {
      if (wholeResult(t.op, t.a, t.b) !== t.result) faults.push(`Task ${t.label} does not come out at ${t.result}.`);
      if (t.label !== labelOf(i, p.labels)) faults.push(`Box ${labelOf(i, p.labels)} has no card.`);
      if (t.result > p.highest && t.op !== 'divide' && t.op !== 'subtract') faults.push(`Task ${t.label} goes above ${p.highest}.`);
    });
    if (made.length !== p.tasks) faults.push(`${made.length} cards for ${p.tasks} boxes.`);
    return faults;
  },
  checked: (made, p) =>
    `${made.length} cards, each worked out anew; the boxes of the sheet carry the labels ${labelOf(0, p.labels)} to ${labelOf(made.length - 1, p.labels)}.`,
  teaches: (made, _p, rng) =>
    byRule(
      'pile',
      made.map((t) => taskWords[t.op]),
      rng,
    ),
  draw: (made, p) => ({
    pieces: [
      {
        ...(p.strip ? { w: 58, h: 26 } : { w: 88, h: 44 }),
        count: made.length,
        marked: !p.strip,
        face: (n, { w, h }) => card(made[n]!, p, w, h),
        back: (n, { w, h }) => [text(0, 0, w, h, made[n]!.label, 30, { bold: true, fill: 'soft' })],
      },
    ],
    ...(p.sheets > 0
      ? {
          whole: {
            count: p.sheets,
            page: (_n, at) =>
              boxesToWrite(
                made.map((t) => t.label),
                at,
              ),
          },
        }
      : {}),
  }),
  key: (made, p) => made.map((t) => `${t.label}: ${asked(t, p.unknown)[1]}`),
});

function card(t: TaskCard, p: P, w: number, h: number): Box[] {
  const s = Math.min(12, h * 0.34);
  return [
    rect(w - s - 3, 3, s, s, { line: 'ink', width: 0.4, frame: true }),
    text(w - s - 3, 3, s, s, t.label, s * 1.6, { bold: true, frame: true }),
    ...numeral(5, h * 0.4, w - 10, h * 0.46, asked(t, p.unknown)[0], { most: 40 }),
  ];
}
