import { alone, type HowTo } from '../../play/howTo';
import type { Picture } from '../../play/picture';
import { fromTo, listed, many, smallerThan } from '../../play/say';
import { type ActHalf, actHalfNames, type ActHalves, actHalves } from '../../play/actHalves';
import { halves } from './halves';
import type { MatchParameters } from './parameters';

interface Words {
  /** What lies on the two halves. */
  readonly both: (p: MatchParameters) => string;
  readonly pair: (p: MatchParameters) => readonly [string | number, string | number];
  readonly tool: string;
  readonly smaller: (p: MatchParameters) => string;
  readonly picture?: (p: MatchParameters) => Picture;
}
const upTo = (p: MatchParameters): string => `Use numbers to ${Math.max(p.lowest + 2, smallerThan(p.highest))}.`;
const fewer = (p: MatchParameters): string => `Lay out ${Math.max(3, smallerThan(p.sets))} pairs.`;
const middle = (p: MatchParameters): number => Math.round((p.lowest + p.highest) / 2);
const time = (minutes: number): string => `${Math.floor(minutes / 60) || 12}:${String(minutes % 60).padStart(2, '0')}`;
const product = (p: MatchParameters): [number, number] => {
  for (let x = 9; x >= 2; x--) for (let y = 2; y <= 9; y++) if (x * y >= p.lowest && x * y <= p.highest && x !== y) return [x, y];
  return [1, Math.max(1, p.lowest)];
};

const ofAct = (name: ActHalf): Words => {
  const h: ActHalves = actHalves[name];
  return {
    both: (p) => `${h.both}${h.ranged ? ` (answers ${fromTo(p.lowest, p.highest)})` : ''}`,
    pair: (p) => {
      const [a, b] = halves[name].list(p)[0] ?? [1, 1];
      return h.pair(a, b);
    },
    tool: h.tool,
    smaller: h.ranged ? upTo : fewer,
  };
};

const words: Readonly<Record<MatchParameters['halves'], Words>> = {
  ...(Object.fromEntries(actHalfNames.map((name) => [name, ofAct(name)])) as Record<ActHalf, Words>),
  'sum-and-result': {
    both: (p) => `two numbers to add on one half, what they make on the other (${fromTo(p.lowest, p.highest)})`,
    pair: (p) => [`${Math.ceil(middle(p) * 0.6)} + ${middle(p) - Math.ceil(middle(p) * 0.6)}`, middle(p)],
    tool: 'Use counters or a ten frame.',
    smaller: upTo,
  },
  'product-and-result': {
    both: (p) => `two numbers to multiply on one half, what they make on the other (${fromTo(p.lowest, p.highest)})`,
    pair: (p) => [product(p).join(' × '), product(p)[0] * product(p)[1]],
    tool: 'Draw the rows.',
    smaller: upTo,
  },
  'numeral-and-dots': {
    both: (p) => `a written number on one half, as many dots on the other (${fromTo(p.lowest, p.highest)})`,
    pair: (p) => [Math.min(p.highest, 6), '⠿'],
    tool: 'Put a finger on each dot.',
    smaller: upTo,
    picture: (p) => ({ draw: 'things', heaps: [[Math.min(p.highest, 6)]], names: [Math.min(p.highest, 6)] }),
  },
  'equal-fractions': {
    both: () => 'the same fraction in two forms',
    pair: () => ['1/2', '2/4'],
    tool: 'Lay fraction strips one under the other.',
    smaller: fewer,
    picture: () => ({
      draw: 'bars',
      bars: [
        [1, 2, '1/2'],
        [2, 4, '2/4'],
      ],
    }),
  },
  'parts-of-a-whole': {
    both: () => 'two fractions that make one whole together',
    pair: () => ['3/4', '1/4'],
    tool: 'Lay fraction strips end to end.',
    smaller: fewer,
    picture: () => ({
      draw: 'bars',
      bars: [
        [3, 4, '3/4'],
        [1, 4, '1/4'],
      ],
    }),
  },
  'fraction-sum-alike': {
    both: () => 'two fractions of one sort to add, and what they make',
    pair: () => ['1/5 + 2/5', '3/5'],
    tool: 'Lay fraction strips end to end.',
    smaller: fewer,
    picture: () => ({
      draw: 'bars',
      bars: [
        [1, 5, '1/5'],
        [2, 5, '2/5'],
        [3, 5, '3/5'],
      ],
    }),
  },
  'fraction-sum-unlike': {
    both: () => 'two fractions of different sorts to add, and what they make',
    pair: () => ['1/2 + 1/4', '3/4'],
    tool: 'Find strips of one sort that fit both.',
    smaller: fewer,
    picture: () => ({
      draw: 'bars',
      bars: [
        [1, 2, '1/2'],
        [1, 4, '1/4'],
        [3, 4, '3/4'],
      ],
    }),
  },
  'clock-and-time': {
    both: (p) =>
      `a clock face and its time, to ${p.clockStep === 60 ? 'the hour' : p.clockStep === 30 ? 'the half hour' : many(p.clockStep, 'minute')}`,
    pair: (p) => [time(3 * 60 + p.clockStep), time(3 * 60 + p.clockStep)],
    tool: 'Set it on a clock with moving hands.',
    smaller: (p) => (p.clockStep === 60 ? fewer(p) : 'Use times to the hour only.'),
    picture: (p) => ({ draw: 'clock', minutes: [3 * 60 + p.clockStep] }),
  },
  'clock-and-later': {
    both: (p) => `a clock with how much later, and the time it is then (steps of ${many(p.clockStep, 'minute')})`,
    pair: (p) => [`${time(120)} + ${p.clockStep} min`, time(120 + p.clockStep)],
    tool: 'Move the hands of a clock on.',
    smaller: fewer,
    picture: (p) => ({ draw: 'clock', minutes: [120, 120 + p.clockStep] }),
  },
  'coins-and-amount': {
    both: (p) =>
      `coins of ${listed([...p.coins].sort((a, b) => a - b))} on one half, how much they are on the other (${fromTo(p.lowest, p.highest)})`,
    pair: () => ['coins', '16'],
    tool: 'Lay real coins, the largest first.',
    smaller: upTo,
    picture: () => ({ draw: 'coins', values: [10, 5, 1], makes: '16' }),
  },
  'number-and-rounded': {
    both: (p) => `a number, and the number rounded to the nearest ${p.roundTo}`,
    pair: (p) => [3 * p.roundTo + Math.round(0.7 * p.roundTo), 4 * p.roundTo],
    tool: 'Find it on a number line between its two neighbours.',
    smaller: fewer,
    picture: (p) => ({
      draw: 'line',
      low: 3 * p.roundTo,
      high: 4 * p.roundTo,
      marks: [[0.7, 3 * p.roundTo + Math.round(0.7 * p.roundTo)]],
    }),
  },
  'sum-family': {
    both: (p) => `facts of one plus and minus family, with wholes ${fromTo(p.lowest, p.highest)}`,
    pair: (p) => [
      `${Math.ceil(middle(p) * 0.6)} + ${middle(p) - Math.ceil(middle(p) * 0.6)}`,
      `${middle(p)} − ${middle(p) - Math.ceil(middle(p) * 0.6)}`,
    ],
    tool: 'Draw the whole with its two parts.',
    smaller: upTo,
  },
  'times-family': {
    both: (p) => `facts of one times and sharing family, with products ${fromTo(p.lowest, p.highest)}`,
    pair: (p) => [product(p).join(' × '), `${product(p)[0] * product(p)[1]} ÷ ${product(p)[1]}`],
    tool: 'Draw the rows and turn the paper.',
    smaller: upTo,
  },
  'picture-and-turned': {
    both: () => 'a picture, and the same picture turned by quarters',
    pair: () => ['↑', '→'],
    tool: 'Turn a tracing of it with your finger on the middle.',
    smaller: fewer,
  },
};

export function howTo(p: MatchParameters): HowTo {
  const w = words[p.halves];
  const [x, y] = w.pair(p);
  return {
    setUp: [`Spread ${p.sets} pairs of halves face up.`, `On them: ${w.both(p)}.`],
    turn: [
      p.play === 'all-at-once'
        ? 'Everyone takes a half, works out what it needs, and looks for its partner.'
        : 'In turn, take a half, work out what it needs, and look for its partner.',
      'Lay them edge to edge; if they do not fit, put them back.',
      ...(p.sayIt ? ['Say each match aloud as a sentence.'] : []),
    ],
    scoring: [],
    end: `All matched before ${many(p.timer, 'minute')} are over? Everyone has won; the timer faces the helper.`,
    ask: 'How do you know that these two belong together?',
    tool: w.tool,
    smaller: w.smaller(p),
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [x, null, null], lit: [0] }, say: 'Take a half.' },
      { picture: w.picture?.(p) ?? { draw: 'cards', values: [x, y], lit: [1] }, say: 'What belongs to it?' },
      { picture: { draw: 'cards', values: [x, y] }, say: 'Lay them together.' },
    ],
  };
}
