import { type Box, circle, line } from '../box';
import { fitted } from '../letters';

/** Degrees clockwise from twelve of both hands: the minute hand goes 6° a minute, the hour hand half a degree. */
export const handsAt = (hour: number, minute: number): { readonly hour: number; readonly minute: number } => ({
  hour: (((hour % 12) + minute / 60) * 30) % 360,
  minute: minute * 6,
});

const at = (cx: number, cy: number, r: number, degrees: number): readonly [number, number] => {
  const a = ((degrees - 90) * Math.PI) / 180;
  return [cx + r * Math.cos(a), cy + r * Math.sin(a)];
};

function hourNumber(cx: number, cy: number, r: number, hour: number): Box {
  const [x, y] = at(cx, cy, r * 0.75, hour * 30);
  const s = r * 0.18;
  return { ...fitted(x - r * 0.14, y - s / 2, r * 0.28, s, String(hour), { most: s * 3.9 }), frame: true };
}

/** A clock face; without a time it has no hands, without numbers only its marks. */
export function clock(
  cx: number,
  cy: number,
  r: number,
  time: { readonly hour: number; readonly minute: number } | null,
  { numbers = true, minutes = true }: { readonly numbers?: boolean; readonly minutes?: boolean } = {},
): Box[] {
  const boxes: Box[] = [circle(cx, cy, r, { line: 'ink', width: Math.max(0.4, r * 0.025), fill: 'white', frame: true })];
  for (let m = 0; m < 60; m++) {
    if (m % 5 !== 0 && !minutes) continue;
    const [x1, y1] = at(cx, cy, r * 0.97, m * 6);
    const [x2, y2] = at(cx, cy, r * (m % 5 === 0 ? 0.88 : 0.93), m * 6);
    boxes.push(line(x1, y1, x2, y2, { line: 'ink', width: m % 5 === 0 ? Math.max(0.3, r * 0.02) : 0.15, frame: true }));
  }
  // A long hand on the hour or on fives points through a number, which is drawn over it.
  const covered = time && time.minute % 5 === 0 ? time.minute * 6 || 360 : null;
  if (numbers)
    for (let h = 1; h <= 12; h++) {
      if (h * 30 !== covered) boxes.push(hourNumber(cx, cy, r, h));
    }
  if (time) {
    const hands = handsAt(time.hour, time.minute);
    const [hx, hy] = at(cx, cy, r * 0.46, hands.hour);
    const [mx, my] = at(cx, cy, r * 0.92, hands.minute);
    boxes.push(
      line(cx, cy, hx, hy, { line: 'ink', width: Math.max(0.8, r * 0.07) }),
      line(cx, cy, mx, my, { line: 'vermilion', width: Math.max(0.5, r * 0.035) }),
    );
  }
  if (numbers && covered !== null) {
    const [x, y] = at(cx, cy, r * 0.75, covered);
    boxes.push(circle(x, y, r * 0.125, { fill: 'white', frame: true }), hourNumber(cx, cy, r, covered / 30));
  }
  boxes.push(circle(cx, cy, Math.max(0.6, r * 0.045), { fill: 'ink', frame: true }));
  return boxes;
}

/** A time on a face of twelve hours. */
export const timeText = (hour: number, minute: number): string => `${hour}:${String(minute).padStart(2, '0')}`;
