import { needed, type HowTo } from '../../play/howTo';
import { smallerThan } from '../../play/say';
import type { SpotParameters } from './parameters';

export function howTo(p: SpotParameters): HowTo {
  const four = p.quarters === 'four-quarters';
  const low = four ? -p.size : 0;
  const [x, y] = four ? [-2, 3] : [3, 2];
  const squares = p.size - low;
  return {
    setUp: [
      `Draw a grid with axes from ${low < 0 ? `−${p.size}` : 0} to ${p.size}.`,
      p.spots === 1
        ? 'The hider writes down a secret spot where lines cross.'
        : `The hider writes down ${p.spots} secret spots where lines cross and answers for one until it is found, then for the next.`,
    ],
    turn: [
      'In turn, name a point: along first, then up. Mark it on the grid.',
      p.clue === 'direction'
        ? 'The hider says where to go from there: right or left, up or down.'
        : 'The hider says how many steps along the lines it is away.',
      ...(p.sayMoves ? ['Say how far your point is from the one before.'] : []),
      'Cross out where it cannot be.',
    ],
    scoring: [],
    end: `All win together when every spot is found within ${p.guesses} guesses.`,
    ask: 'Where can it still be, and how do you know?',
    tool: 'Walk along the axis with one finger, then up with the other.',
    smaller: `Use axes to ${Math.max(4, smallerThan(p.size))}.`,
    presence: needed('hides the spots and answers'),
    pictures: [
      {
        picture: { draw: 'shape', columns: Math.min(squares, 12), rows: Math.min(squares, 12), outlines: [], axes: !four },
        say: 'A spot hides on the grid.',
      },
      {
        picture: {
          draw: 'shape',
          columns: Math.min(squares, 12),
          rows: Math.min(squares, 12),
          outlines: [],
          axes: !four,
          dots: [[x - low, Math.min(squares, 12) - (y - low), `(${x < 0 ? `−${-x}` : x}, ${y})`]],
        },
        say: 'Name a point: along, then up.',
      },
      { picture: { draw: 'say', words: p.clue === 'direction' ? 'More right!' : '3 steps away!' }, say: 'Listen, and guess again.' },
    ],
  };
}
