import { needed, type HowTo } from '../../play/howTo';
import { fromTo, many, smallerThan } from '../../play/say';
import type { BoundGuessParameters } from './parameters';

export function howTo(p: BoundGuessParameters): HowTo {
  const width = p.high - p.low;
  const low = p.low + Math.round(width * 0.3);
  const high = p.low + Math.round(width * 0.7);
  return {
    setUp: [`The helper hides a number from ${fromTo(p.low, p.high)}.`, `Lay out ${many(p.points, 'counter')}: they belong to all of you.`],
    turn: [
      'In turn, guess a number; the helper says more, less or found.',
      'Move the bound to the guess: everyone sees what is still possible.',
      ...(p.wrong > 0 ? [`A wrong guess costs ${many(p.wrong, 'counter')}.`] : ['A wrong guess inside the bounds costs nothing.']),
      ...(p.outside > 0 ? [`A guess outside the bounds costs ${many(p.outside, 'counter')}.`] : []),
    ],
    scoring: [],
    end: `Find ${many(p.rounds, 'number')} before the counters are gone: all win together.`,
    ask: 'Which guess would tell you most, whatever the answer?',
    tool: 'Move two pegs on a number line: between them it hides.',
    smaller: `Hide a number up to ${Math.max(p.low + 3, smallerThan(p.high))}.`,
    presence: needed('hides the numbers and answers'),
    pictures: [
      { picture: { draw: 'line', low: p.low, high: p.high, marks: [], shaded: [0, 1] }, say: 'A number hides somewhere here.' },
      {
        picture: {
          draw: 'line',
          low: p.low,
          high: p.high,
          marks: [
            [0.3, low],
            [0.7, high],
          ],
          shaded: [0.3, 0.7],
        },
        say: `Guess. More than ${low}, less than ${high}: it is between.`,
      },
      { picture: { draw: 'say', words: 'Found!' }, say: 'Find it together.' },
    ],
  };
}
