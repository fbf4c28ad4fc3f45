import { type Act, pairsOf, span } from './act';

const daysAWeek = 7;
const halfDay = 720;

export const measureActs = {
  /** The value on a scale with a mark every `b`: weight, fill, warmth (which goes below nothing). */
  'read-scale': {
    result: (a) => a,
    operands: pairsOf([...span(-20, 40), ...span(50, 2000, 50)], [1, 2, 5, 10, 20, 50, 100], (a, b) => a % b === 0),
    pace: 'times',
  },
  'convert-unit': { result: (a, b) => a * b, operands: pairsOf(span(1, 30), [3, 10, 12, 60, 100, 1000]), pace: 'hard' },
  /** Day `a` of the week, `b` days on. */
  'day-after': { result: (a, b) => (a + b) % daysAWeek, operands: pairsOf(span(0, 6), span(1, 31)), pace: 'hard' },
  /** Minutes after midnight, told on a clock of twelve hours. */
  'clock-24': { result: (a) => a % halfDay, operands: pairsOf(span(0, 1435, 5), [0]), pace: 'times' },
  /** What each would have if `b` had the same of `a`. */
  mean: { result: (a, b) => a / b, operands: pairsOf(span(6, 120), span(2, 10), (a, b) => a % b === 0), pace: 'hard' },
  /** How far the largest lies from the smallest. */
  spread: { result: (a, b) => a - b, operands: pairsOf(span(5, 60), span(0, 30), (a, b) => a > b), pace: 'easy' },
  /** `b` marks over `a` quarters of a unit on a line plot. */
  'line-plot': { result: (_a, b) => b, operands: pairsOf(span(0, 40), span(0, 9)), pace: 'easy' },
  /** Place `a` on a line graph's axis, read to the nearest `b`. */
  'line-graph': { result: (a) => a, operands: pairsOf(span(0, 100, 5), [1, 2, 5, 10], (a, b) => a % b === 0), pace: 'times' },
} as const satisfies Readonly<Record<string, Act>>;
