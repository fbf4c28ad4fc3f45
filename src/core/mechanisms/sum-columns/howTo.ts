import { alone, type HowTo } from '../../play/howTo';
import { diceOf, many } from '../../play/say';
import type { SumColumnsParameters } from './parameters';

export function howTo(p: SumColumnsParameters): HowTo {
  const cards = p.draw === 'no-return';
  const faces = Array.from({ length: p.dice }, (_, i) => Math.max(p.lowestFace, Math.min(p.highestFace, 4 - i)));
  const sum = p.combine === 'sum';
  const made = sum ? faces.reduce((a, b) => a + b, 0) : faces.reduce((a, b) => Math.abs(a - b));
  const columns = p.lastColumn - p.firstColumn + 1;
  const shownFrom = Math.max(p.firstColumn, Math.min(made - 5, p.lastColumn - 11));
  const heights = Array.from({ length: Math.min(columns, 12) }, (_, i) =>
    shownFrom + i === made ? Math.min(p.height, 3) : Math.abs(shownFrom + i - made) < 3 ? Math.min(2, p.height - 1) : i % 2,
  );
  return {
    setUp: [
      `Lay the sheet with columns ${p.firstColumn} to ${p.lastColumn}, ${p.height} boxes high.`,
      p.picks > 0
        ? `Everyone picks ${many(p.picks, 'column')} before the first ${cards ? 'draw' : 'throw'}.`
        : 'Nobody picks: guess together which column will win.',
      ...(cards ? [`Shuffle cards from ${p.lowestFace} to ${p.highestFace}, ${p.copies} of each.`] : []),
    ],
    turn: [
      cards ? `Draw ${p.dice} cards` : `Throw ${diceOf(p.dice, p.lowestFace, p.highestFace)}`,
      `Mark one box in that column; a ${cards ? 'draw' : 'throw'} without a column is passed on.`,
    ].map((line, i) => (i === 0 ? `${line} and say ${sum ? 'the sum' : 'how far apart they are'}.` : line)),
    scoring: [],
    end: p.picks > 0 ? 'The first full column ends the game; whoever picked it has won.' : 'The first full column ends the game.',
    ask: 'Which column never gets a mark? Which fills first, and why?',
    tool: 'Count the pips on, from the larger number.',
    smaller: p.dice > 2 ? `Throw two dice.` : `Make the columns ${Math.max(2, Math.ceil(p.height / 2))} high.`,
    presence: alone,
    pictures: [
      { picture: cards ? { draw: 'cards', values: faces } : { draw: 'dice', faces }, say: cards ? 'Draw.' : 'Throw.' },
      {
        picture: { draw: 'columns', first: shownFrom, heights, full: p.height, lit: made },
        say: sum ? 'Add, and mark the column.' : 'How far apart? Mark the column.',
      },
      { picture: { draw: 'say', words: String(made) }, say: 'The first full column ends it.' },
    ],
  };
}
