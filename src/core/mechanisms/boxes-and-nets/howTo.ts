import { cubeNets } from '../../items/acts/shapes';
import { alone, nearby, type HowTo } from '../../play/howTo';
import type { Picture } from '../../play/picture';
import { many } from '../../play/say';
import type { BoxesParameters } from './parameters';

function moment(p: BoxesParameters): Picture {
  const square = (r: number, c: number, at: number): [number, number][] => [
    [c + at, r + 1],
    [c + at + 1, r + 1],
    [c + at + 1, r + 2],
    [c + at, r + 2],
  ];
  if (p.task === 'which-face-opposite')
    return { draw: 'shape', columns: 8, rows: 5, outlines: cubeNets[4]!.map(([r, c]) => square(r, c, 2)) };
  if (p.task === 'build-from-pieces')
    return {
      draw: 'shape',
      columns: 8,
      rows: 5,
      outlines: [
        [
          [1, 4],
          [4, 1],
          [4, 4],
        ],
        [
          [4, 1],
          [7, 4],
          [4, 4],
        ],
      ].map((o) => o.map(([x, y]): [number, number] => [x!, y!])),
    };
  return {
    draw: 'things',
    heaps: Array.from({ length: Math.min(3, p.longest) }, (): [number] => [Math.min(16, p.longest ** 2)]),
    shape: 'cube',
  };
}

export function howTo(p: BoxesParameters): HowTo {
  const boxes = p.task === 'how-many-cubes';
  const nets = p.task === 'which-face-opposite';
  return {
    setUp: [
      boxes
        ? `Lay out cubes and box cards with sides of 2 to ${p.longest}.`
        : nets
          ? 'Lay the nets of a cube face up, their squares numbered; have scissors and tape at hand.'
          : `Lay out figure cards and the pieces: figures take 2 to ${p.pieces} pieces.`,
    ],
    turn: [
      boxes
        ? 'Turn a card: say how many cubes one layer has, and how many the box holds.'
        : nets
          ? 'Choose a net; a neighbour points at a square. Say which one will lie opposite.'
          : 'Turn a card and say how many pieces it will take.',
      ...(p.bets === 'everyone-bets' ? ['The others bet, thumb up or down, whether that is right.'] : []),
      boxes ? 'Build it and see.' : nets ? 'Fold it and see.' : 'Lay it and see; nothing may overlap or stick out.',
    ],
    scoring: [p.bets === 'everyone-bets' ? 'Right brings 2 points, a good bet 1.' : 'Right brings 2 points.'],
    end: `Everyone takes ${many(p.cards, 'card')}.`,
    ask: boxes
      ? 'How many layers are there, and how many in each?'
      : nets
        ? 'Which squares can never meet?'
        : 'Which piece would you lay first, and why?',
    tool: boxes ? 'Build one layer and count it.' : nets ? 'Fold the strip of squares round a cube.' : 'Turn a piece round or over.',
    smaller: boxes
      ? 'Use boxes with sides of 2 and 3.'
      : nets
        ? 'Use nets with four squares in a row.'
        : 'Use figures of two or three pieces.',
    presence: nets ? nearby('keeps the scissors') : alone,
    pictures: [
      { picture: { draw: 'cards', values: [boxes ? `${p.longest}×2×3` : nets ? '?' : '△'] }, say: 'Turn a card.' },
      { picture: moment(p), say: boxes ? 'How many cubes does it hold?' : nets ? 'Which squares lie opposite?' : 'Lay the figure.' },
      {
        picture: { draw: 'say', words: p.bets === 'everyone-bets' ? 'Right or not?' : 'Right?' },
        say: boxes ? 'Build it and see.' : nets ? 'Fold it and see.' : 'Lay it and see.',
      },
    ],
  };
}
