import { oneOf, parameters, whole } from '../../../play/parameters';
import { between } from '../../../play/deck';
import { below } from '../../../shared/rng';
import { type Box, text } from '../../box';
import { fitted } from '../../letters';
import { clock, timeText } from '../../pictures/clock';
import { cardSizes, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  cards: oneOf('Cards tell', ['clock-faces', 'twenty-four-hours', 'timetable'], 'clock-faces'),
  step: oneOf('Times go by, in minutes', [60, 30, 15, 5, 1], 15),
  longest: whole('Longest journey, in minutes', 30, 300, 120),
  count: whole('Cards', 1, 144, 24),
});
type P = typeof DEFAULTS;
/** A minute of the day, or how long a journey takes. */
interface Card {
  readonly minutes: number;
}
const places = (p: P): number =>
  p.cards === 'timetable' ? Math.floor(p.longest / p.step) : (p.cards === 'clock-faces' ? 720 : 1440) / p.step;

export default sheetKind<P, readonly Card[]>({
  id: 'time-cards',
  title: 'Time cards',
  about: 'Clock faces to the hour, half, quarter, five minutes or minute; times of the whole day; journeys.',
  group: 'cards',
  forFamilies: ['calendar-hunt'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    places(p) < 1
      ? { code: 'impossible-parameters', field: 'longest', message: `No journey of at most ${p.longest} minutes goes by ${p.step}.` }
      : null,
  make: (p, { rng }) => {
    const all = Array.from({ length: places(p) }, (_, i) => (i + (p.cards === 'timetable' ? 1 : 0)) * p.step);
    return Array.from({ length: p.count }, () => {
      // Every time comes once before any comes again.
      if (all.length === 0) return { minutes: between(rng, 1, places(p)) * p.step };
      return { minutes: all.splice(below(rng, all.length), 1)[0]! };
    });
  },
  verify: (made, p) => [
    ...made.flatMap((c) => (c.minutes % p.step === 0 ? [] : [`${c.minutes} minutes do not go by ${p.step}.`])),
    ...(new Set(made.map((c) => c.minutes)).size >= Math.min(made.length, places(p))
      ? []
      : ['A time comes twice before others came once.']),
    ...made.flatMap((c) => {
      if (p.cards !== 'clock-faces') return [];
      const hands = handsOf(c.minutes);
      return Math.abs(hands[0] - ((c.minutes % 720) / 720) * 360) < 0.3 && Math.abs(hands[1] - ((c.minutes % 60) / 60) * 360) < 0.3
        ? []
        : [`The hands do not stand at ${c.minutes}.`];
    }),
  ],
  checked: (made, p) =>
    `${made.length} cards by ${p.step} minutes${p.cards === 'clock-faces' ? '; the angles of both hands were measured on the drawing' : ''}.`,
  draw: (made, p) => ({
    pieces: [
      {
        ...cardSizes.square,
        count: made.length,
        face: (n, { w, h }) => face(made[n]!, p, w, h),
        back: (n, { w, h }) =>
          p.cards === 'clock-faces' ? [text(0, h * 0.3, w, h * 0.4, said(made[n]!.minutes), 28, { bold: true })] : [],
      },
    ],
  }),
  key: (made, p) => made.map((c, i) => `${i + 1}: ${p.cards === 'timetable' ? `${c.minutes} min` : said(c.minutes)}`),
});

const said = (minutes: number): string => timeText(Math.floor((minutes % 720) / 60) || 12, minutes % 60);
const hands = (minutes: number): Box[] =>
  clock(0, 0, 40, { hour: Math.floor((minutes % 720) / 60) || 12, minute: minutes % 60 }).filter((b) => b.kind === 'path' && !b.frame);

/** Degrees of the hour and the minute hand from twelve, measured on what is drawn. */
function handsOf(minutes: number): readonly [number, number] {
  const [hour, minute] = hands(minutes).map((b) => {
    const [x, y] = b.points![1]!;
    return ((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360;
  });
  return [hour! > 359.7 ? 0 : hour!, minute! > 359.7 ? 0 : minute!];
}

function face(c: Card, p: P, w: number, h: number): Box[] {
  if (p.cards === 'clock-faces')
    return clock(
      w / 2,
      h / 2,
      Math.min(w, h) * 0.43,
      { hour: Math.floor((c.minutes % 720) / 60) || 12, minute: c.minutes % 60 },
      { minutes: p.step < 15 },
    );
  if (p.cards === 'twenty-four-hours')
    return [
      fitted(
        6,
        h * 0.32,
        w - 12,
        h * 0.36,
        `${String(Math.floor(c.minutes / 60)).padStart(2, '0')}:${String(c.minutes % 60).padStart(2, '0')}`,
        { bold: true, most: 48 },
      ),
    ];
  return [fitted(6, h * 0.26, w - 12, h * 0.3, `+ ${c.minutes}`, { bold: true, most: 48 }), text(0, h * 0.6, w, 8, 'minutes', 14)];
}
