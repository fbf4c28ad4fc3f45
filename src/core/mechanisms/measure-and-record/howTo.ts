import { type Country, lengthIn } from '../../play/country';
import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { MeasureParameters } from './parameters';
import { unitsOf } from './playOut';

const unitWords: Readonly<Record<MeasureParameters['unit'], string>> = {
  cubes: 'cubes',
  dominoes: 'dominoes',
  'hand-spans': 'hand spans',
  centimetres: 'centimetres',
  inches: 'inches',
};

export function howTo(p: MeasureParameters, country: Country): HowTo {
  const ruler = p.unit === 'centimetres' || p.unit === 'inches';
  const n = Math.max(2, Math.min(9, unitsOf(p)));
  return {
    setUp: [
      `Look for ${many(p.things, 'thing')} that stay still and have a straight edge, about ${lengthIn(country, p.shortest)} to ${lengthIn(country, p.longest)} long.`,
      p.chart === 'table' ? 'Rule a table for the lengths.' : `Rule a bar chart: one square stands for ${p.scale}.`,
    ],
    turn: [
      ...(p.estimate ? [`Say how many ${unitWords[p.unit]} long it will be.`] : []),
      ruler
        ? `Measure in ${unitWords[p.unit]}: start the ruler at its zero and read the other end.`
        : `Lay ${unitWords[p.unit]} end to end along it, without gaps, and count them.`,
      p.chart === 'table' ? 'Write it in the table.' : 'Colour its bar.',
      p.ask === 'which-is-longer'
        ? 'Compare with the thing before: which is longer?'
        : p.ask === 'how-much-longer'
          ? 'Compare with the thing before: how much longer is one?'
          : 'Compare with the thing before: which is longer, and by how much?',
    ],
    scoring: p.estimate ? ['Saying it nearly right beforehand is a point.'] : [],
    end: `Everyone measures ${many(p.things, 'thing')}.`,
    ask: 'Where did you start, and why there?',
    tool: 'Lay the thing beside a line of cubes.',
    smaller: `Choose things up to ${lengthIn(country, Math.max(6, smallerThan(p.longest)))}.`,
    presence: nearby('minds where the children walk and reach'),
    pictures: [
      { picture: { draw: 'say', words: '?' }, say: 'Choose a thing. How long will it be?' },
      {
        picture: ruler
          ? { draw: 'line', low: 0, high: n + 1, marks: [[n / (n + 1), n]], shaded: [0, n / (n + 1)] }
          : { draw: 'things', heaps: [[n]], shape: 'cube' },
        say: 'Measure it.',
      },
      {
        picture: p.chart === 'bars' ? { draw: 'columns', first: 1, heights: [3, 5, 2], full: 6, lit: 2 } : { draw: 'cards', values: [n] },
        say: 'Write it down.',
      },
    ],
  };
}
