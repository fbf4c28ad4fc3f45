import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { MirrorParameters } from './parameters';

export function howTo(p: MirrorParameters): HowTo {
  const lying = p.line === 'lying';
  const slanting = p.line === 'slanting';
  const columns = lying ? p.rows : 2 * p.grid;
  const rows = lying ? 2 * p.grid : p.rows;
  const at = (i: number): number =>
    lying ? (Math.floor(i / p.rows) % p.grid) * columns + ((i * 2) % p.rows) : (i % p.rows) * columns + ((i * 2) % p.grid);
  const filled = [...new Set(Array.from({ length: Math.min(p.filled, 5) }, (_, i) => at(i)))];
  const image = filled.map((cell) => {
    const [r, c] = [Math.floor(cell / columns), cell % columns];
    return lying ? (rows - 1 - r) * columns + c : r * columns + (columns - 1 - c);
  });
  const grid = (lit: number[]): HowTo['pictures'][1]['picture'] => ({ draw: 'grid', rows, columns, done: filled, lit });
  const side = slanting ? Math.max(2, p.grid) : 0;
  return {
    setUp: [
      `Give everyone ${many(p.tasks, 'card')} with half a picture: ${many(p.filled, 'coloured square')} on ${p.grid} by ${p.rows}.`,
      p.line === 'any-way'
        ? 'The line may stand upright, lie or slant.'
        : `The line ${p.line === 'upright' ? 'stands upright' : lying ? 'lies flat' : 'slants'}.`,
    ],
    turn: [
      'Say where the first square will go on the other side of the line.',
      'Colour each partner, as far from the line as its square.',
      p.check
        ? 'Hold a mirror on the line, or fold, and set right what it shows.'
        : 'Look once more: is every partner as far from the line?',
    ],
    scoring: [p.check ? 'Each finished picture is a point.' : 'A picture without a slip is a point.'],
    end: `Everyone finishes ${many(p.tasks, 'picture')}.`,
    ask: 'How far from the line is this one, and how far must its partner be?',
    tool: 'Hold a mirror on the line.',
    smaller: `Colour ${Math.max(2, smallerThan(p.filled))} squares.`,
    presence: alone,
    pictures: [
      { picture: slanting ? slantOf(side, false) : grid([]), say: 'Here is half a picture.' },
      { picture: slanting ? slantOf(side, true) : grid(image), say: 'Colour the other half.' },
      {
        picture: { draw: 'say', words: p.check ? 'The same?' : 'As far?' },
        say: p.check ? 'Check with the mirror.' : 'Check each square.',
      },
    ],
  };
}

/** Squares below a slanting line and, if wanted, their partners above it. */
function slantOf(n: number, partners: boolean): HowTo['pictures'][1]['picture'] {
  const square = (x: number, y: number): [number, number][] => [
    [x, y],
    [x + 1, y],
    [x + 1, y + 1],
    [x, y + 1],
  ];
  const below: [number, number][] = [
    [0, 1],
    [1, n - 1],
    [0, n - 1],
  ].map(([x, y]) => [x!, y!]);
  return {
    draw: 'shape',
    columns: n,
    rows: n,
    outlines: [...below.map(([x, y]) => square(x, y)), ...(partners ? below.map(([x, y]) => square(y, x)) : [])],
    mirror: [
      [0, 0],
      [n, n],
    ],
  };
}
