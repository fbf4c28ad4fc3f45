import { alone, type HowTo } from '../../play/howTo';
import { joining, listed, many, smallerThan } from '../../play/say';
import type { CloseParameters } from './parameters';

export function howTo(p: CloseParameters): HowTo {
  const x = Math.max(2, Math.round(p.faces * 0.6));
  const y = 1;
  const adds = p.operations.includes('add');
  const made = adds ? x + y : p.operations.includes('multiply') ? x * y : x - y;
  const shut = made > 3 && p.close === 'several' ? [1, made - 1] : [Math.min(made, p.tiles)];
  const oneDie =
    p.oneDie === 'high-closed'
      ? 'Once your tiles above 6 are shut you may throw one die.'
      : 'With 6 or less left in all you may throw one die.';
  return {
    setUp: [`Lay your tiles from 1 to ${p.tiles}, all open.`],
    turn: [
      `Throw two dice from 1 to ${p.faces} and ${listed(
        p.operations.map((o) => joining[o]),
        'or',
      )}${p.operations.length > 1 ? ', as you like' : ''}.`,
      p.close === 'several' ? 'Shut the tile of that number, or several that make it together.' : 'Shut the tile of that number.',
      p.stuck === 'round-over' ? 'When nothing fits, your round is over.' : 'When nothing fits, wait for your next throw.',
      ...(p.oneDie === 'never' ? [] : [oneDie]),
    ].slice(0, 4),
    scoring: [
      ...(p.steps ? ['Say after each throw what your open tiles add up to.'] : []),
      p.stuck === 'round-over' ? 'Add up the tiles you have left open: less is better.' : 'Whoever shuts all tiles first has done it.',
    ],
    end: p.rounds === 1 ? 'One round each.' : `Play ${many(p.rounds, 'round')} and add them up.`,
    ask: 'Which tiles would you shut now, and what does that leave you?',
    tool: 'Lay the throw with counters and part them into tiles.',
    smaller: `Use tiles to ${Math.max(4, smallerThan(p.tiles))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces: [x, y], joined: adds ? '+' : '−' }, say: 'Throw the dice.' },
      { picture: { draw: 'tiles', count: p.tiles, shut, lit: shut }, say: 'Shut what makes that number.' },
      {
        picture: { draw: 'tiles', count: p.tiles, shut: Array.from({ length: p.tiles - 2 }, (_, i) => i + 2) },
        say: 'Leave as little open as you can.',
      },
    ],
  };
}
