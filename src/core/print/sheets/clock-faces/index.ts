import { oneOf, parameters, whole, yesNo } from '../../../play/parameters';
import { type Box, circle, line, polygon } from '../../box';
import { clock } from '../../pictures/clock';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  use: oneOf('For', ['hands-to-pin-on', 'drawing-hands'], 'hands-to-pin-on'),
  faces: whole('Faces on the page', 1, 12, 6),
  minutes: yesNo('With minute marks', true),
  minuteNumbers: yesNo('Minutes written round the rim', false),
});
type P = typeof DEFAULTS;

export default sheetKind<P, { readonly faces: number }>({
  id: 'clock-faces',
  title: 'Blank clock faces',
  about: 'Faces to draw hands on, or one large face with hands to cut out and pin on.',
  group: 'mats',
  forFamilies: ['calendar-hunt', 'match-sets'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => ({ faces: p.use === 'hands-to-pin-on' ? 1 : p.faces }),
  verify: (made, p) => {
    const marks = clock(0, 0, 40, null, { minutes: p.minutes }).filter((b) => b.kind === 'path');
    const angles = marks.map((b) => ((Math.atan2(b.points![0]![0], -b.points![0]![1]) * 180) / Math.PI + 360) % 360).sort((a, b) => a - b);
    const step = p.minutes ? 6 : 30;
    return [
      ...(made.faces >= 1 ? [] : ['There is no face.']),
      ...(angles.length === 360 / step && angles.every((a, i) => Math.abs(a - i * step) < 0.2 || Math.abs(a - 360) < 0.2)
        ? []
        : ['The marks are not equally far apart.']),
    ];
  },
  checked: (made, p) =>
    `${made.faces} ${made.faces === 1 ? 'face' : 'faces'}; marks every ${p.minutes ? 6 : 30}°, measured on the drawing.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made.faces, p, at) } }),
  // A split pin holds its hands.
  hazards: ['blades', 'small-parts'],
});

function page(faces: number, p: P, { w, h }: Drawing): Box[] {
  const pinned = p.use === 'hands-to-pin-on';
  const columns = faces === 1 ? 1 : faces <= 4 ? 2 : 3;
  const rows = Math.ceil(faces / columns);
  const [cw, ch] = [w / columns, (pinned ? h - 62 : h) / rows];
  const r = Math.min(cw, ch) / 2 - (p.minuteNumbers ? 9 : 4);
  const drawn = Array.from({ length: faces }, (_, i) => i).flatMap((i): Box[] => {
    const [cx, cy] = [(i % columns) * cw + cw / 2, Math.floor(i / columns) * ch + ch / 2];
    const rim = p.minuteNumbers
      ? Array.from({ length: 12 }, (_, k): Box => {
          const a = ((30 * k - 90) * Math.PI) / 180;
          return {
            ...fitted(cx + (r + 4) * Math.cos(a) - 4, cy + (r + 4) * Math.sin(a) - 2, 8, 4, String(k === 0 ? 60 : 5 * k), {
              most: 10,
              fill: 'vermilion',
            }),
            frame: true,
          };
        })
      : [];
    return [...clock(cx, cy, r, null, { minutes: p.minutes }), ...rim];
  });
  if (!pinned) return drawn;
  // Hands as long as those on the faces of cards: the hour hand reaches the numbers, the minute hand the marks.
  const hand = (x: number, y: number, long: number, wide: number, tone: Box['fill']): Box[] => [
    polygon(
      [
        [x, y - wide / 2],
        [x + long - wide, y - wide / 2],
        [x + long, y],
        [x + long - wide, y + wide / 2],
        [x, y + wide / 2],
      ],
      { line: 'ink', width: 0.4, fill: tone ?? 'white', frame: true },
    ),
    circle(x + wide / 2, y, 1.4, { line: 'ink', width: 0.4, fill: 'white', frame: true }),
  ];
  return [
    ...drawn,
    ...hand(8, h - 46, r * 0.52, 9, 'wash'),
    ...hand(8, h - 28, r * 0.86, 7, 'white'),
    line(0, h - 58, w, h - 58, { line: 'pale', width: 0.3, dashed: true, frame: true }),
  ];
}
