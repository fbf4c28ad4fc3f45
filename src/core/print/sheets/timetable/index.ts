import { between } from '../../../play/deck';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, rect, text } from '../../box';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  stops: whole('Stops', 3, 8, 5),
  trains: whole('Trains', 2, 6, 4),
  step: oneOf('Times go by, in minutes', [1, 5, 15, 30], 5),
  questions: whole('Questions below', 0, 6, 4),
});
type P = typeof DEFAULTS;
const stopNames = ['Lamp Halt', 'Mill Bridge', 'Hedge End', 'Quarry', 'Weir', 'Long Meadow', 'Old Box', 'Far Junction'];
interface Question {
  readonly words: string;
  readonly answer: string;
}
interface Made {
  readonly times: readonly (readonly number[])[];
  readonly questions: readonly Question[];
}
const said = (m: number): string => `${Math.floor(m / 60)}:${String(m % 60).padStart(2, '0')}`;

export default sheetKind<P, Made>({
  id: 'timetable',
  title: 'Timetable',
  about: 'Trains along an invented line, with questions about how long and which one.',
  group: 'to solve',
  forFamilies: ['calendar-hunt'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p, { rng }) => {
    const legs = Array.from({ length: p.stops - 1 }, () => between(rng, 1, Math.max(1, Math.floor(30 / p.step))) * p.step);
    const first = 8 * 60 + between(rng, 0, 4) * p.step;
    const gap = between(rng, 2, 5) * Math.max(p.step, 15);
    const times = Array.from({ length: p.trains }, (_, t) => {
      let at = first + t * gap + between(rng, 0, 2) * p.step;
      return [at, ...legs.map((leg) => (at += leg))];
    });
    const questions = Array.from({ length: p.questions }, (_, i): Question => {
      const t = between(rng, 0, p.trains - 1);
      const from = between(rng, 0, p.stops - 2);
      const to = between(rng, from + 1, p.stops - 1);
      const [start, end] = [times[t]![from]!, times[t]![to]!];
      return i % 2 === 0
        ? {
            words: `How many minutes is the train of ${said(start)} from ${stopNames[from]!} on its way to ${stopNames[to]!}?`,
            answer: `${end - start} min`,
          }
        : {
            words: `It is ${said(start - 1)} at ${stopNames[from]!}. When does the next train come to ${stopNames[to]!}?`,
            answer: said(end),
          };
    });
    return { times, questions };
  },
  verify: (made, p) => [
    ...(made.times.length === p.trains && made.times.every((t) => t.length === p.stops) ? [] : ['A train or a stop is missing.']),
    ...(made.times.every((t) => t.every((m, i) => i === 0 || m > t[i - 1]!)) ? [] : ['A train comes before it has left.']),
    ...(made.times.every((t, i) => i === 0 || t.every((m, s) => m > made.times[i - 1]![s]!))
      ? []
      : ['A later train overtakes an earlier one.']),
    ...made.questions.flatMap((q, i) => (answered(q, made) ? [] : [`Question ${i + 1} has another answer.`])),
  ],
  checked: (made) =>
    `${made.times.length} trains, none overtaking another; ${made.questions.length} questions answered anew from the printed table.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
  key: (made) => made.questions.map((q, i) => `${i + 1}: ${q.answer}`),
});

/** Looks an answer up in the table, from the words of the question alone. */
function answered(q: Question, made: Made): boolean {
  const clock = /(\d+):(\d+)/.exec(q.words)!;
  const minute = Number(clock[1]) * 60 + Number(clock[2]);
  const stops = stopNames
    .filter((n) => q.words.includes(n))
    .sort((a, b) => q.words.indexOf(a) - q.words.indexOf(b))
    .map((n) => stopNames.indexOf(n));
  const [from, to] = [stops[0]!, stops[1]!];
  if (q.words.startsWith('How many')) {
    const train = made.times.find((t) => t[from] === minute);
    return train !== undefined && `${train[to]! - train[from]!} min` === q.answer;
  }
  const next = made.times.find((t) => t[from]! >= minute);
  return next !== undefined && said(next[to]!) === q.answer;
}

function page(made: Made, p: P, { w, h }: Drawing): Box[] {
  const left = 46;
  const cw = (w - left) / p.trains;
  const ch = Math.min(14, (h * 0.55) / p.stops);
  const top = 4;
  const rows = Array.from({ length: p.stops }, (_, s) => s);
  const below = top + p.stops * ch + 12;
  const qh = Math.min(26, (h - below) / Math.max(1, p.questions));
  return [
    ...rows.flatMap((s): Box[] => [
      rect(0, top + s * ch, left, ch, { line: 'ink', width: 0.4, fill: s % 2 === 0 ? 'wash' : 'white', frame: true }),
      { ...fitted(3, top + s * ch + ch * 0.25, left - 6, ch * 0.5, stopNames[s]!, { most: 15, align: 'start' }), frame: true },
      ...made.times.flatMap((t, k): Box[] => [
        rect(left + k * cw, top + s * ch, cw, ch, { line: 'ink', width: 0.4, fill: s % 2 === 0 ? 'wash' : 'white', frame: true }),
        fitted(left + k * cw + 3, top + s * ch + ch * 0.25, cw - 6, ch * 0.5, said(t[s]!), { most: 18 }),
      ]),
    ]),
    ...made.questions.flatMap((q, i): Box[] => [
      text(0, below + i * qh, 8, 7, `${i + 1}`, 12, { align: 'start', bold: true }),
      { ...fitted(8, below + i * qh, w - 8, 7, q.words, { most: 13, align: 'start' }) },
      rect(8, below + i * qh + 8.5, 40, Math.max(6, qh - 12), { line: 'soft', width: 0.3, frame: true }),
    ]),
  ];
}
