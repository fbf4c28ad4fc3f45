import { alone, type HowTo } from '../../play/howTo';
import { fromTo, many } from '../../play/say';
import type { EdgeTileParameters } from './parameters';

export function howTo(p: EdgeTileParameters): HowTo {
  const does = p.operation === 'sum' ? 'add up to' : p.operation === 'product' ? 'multiply to' : 'differ by';
  const allowed = Array.from({ length: Math.floor(p.most / p.step) }, (_, i) => (i + 1) * p.step);
  const some = allowed.length <= 5 ? allowed.join(', ') : `${allowed.slice(0, 3).join(', ')}, … ${allowed.at(-1)}`;
  const sign = p.operation === 'sum' ? '+' : p.operation === 'product' ? '×' : '−';
  return {
    setUp: [
      `Shuffle the ${p.tiles} tiles (numbers ${fromTo(p.lowest, p.highest)}${p.colours > 1 ? `, ${p.colours} colours` : ''}); one starts the board, everyone takes ${p.hand}.`,
      `Edges that meet must ${does} one of: ${some}${p.sameColour && p.colours > 1 ? ', in the same colour' : ''}.`,
      ...(p.noScorePairs ? ['Two equal numbers may also meet, for nothing.'] : []),
    ],
    turn: [
      `Lay a tile ${p.joinTo === 'last' ? 'beside the one laid last' : 'beside any tile of the board'}${p.turning ? '; you may turn it' : ', right way up'}.`,
      p.inner === 'not-allowed'
        ? 'It may touch only one tile.'
        : p.inner === 'must-fit-only'
          ? 'Between two tiles it must suit both, and only one counts.'
          : 'Between two tiles it must suit both, and both count.',
      'Say what the edges make, and draw a tile.',
      'Nothing fits? Change a tile for one of the pile.',
    ],
    scoring: [
      p.scoring === 'single'
        ? `A tile that scores brings ${many(p.step, 'point')}.`
        : 'What the edges make is your score: add it to your total each time.',
    ],
    end: `Once somebody has ${p.target}, the round is played out and most points win. Stop when nobody can lay.`,
    ask: 'Which number would you need there, and which others would do?',
    tool: 'Write the allowed numbers on a strip beside the board.',
    smaller: `Play to ${Math.max(10, Math.floor(p.target / 2))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [p.lowest, p.highest].map(String) }, say: 'Look at the numbers on your tile.' },
      {
        picture: { draw: 'dice', faces: edgesOf(p), joined: sign, makes: String(joinedBy(p)) },
        say: 'Lay it where the edges make an allowed number.',
      },
      { picture: { draw: 'say', words: String(joinedBy(p)) }, say: 'Say what they make.' },
    ],
  };
}

/** Two numbers of edges that may meet. */
function edgesOf(p: EdgeTileParameters): [number, number] {
  for (let want = Math.floor(p.most / p.step) * p.step; want > 0; want -= p.step)
    for (let x = p.highest; x >= p.lowest; x--)
      for (let y = p.lowest; y <= p.highest; y++) if (made(p, x, y) === want && x !== y) return [x, y];
  return [p.lowest, p.lowest];
}
const made = (p: EdgeTileParameters, x: number, y: number): number =>
  p.operation === 'sum' ? x + y : p.operation === 'product' ? x * y : Math.abs(x - y);
const joinedBy = (p: EdgeTileParameters): number => made(p, ...edgesOf(p));
