import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { RunningTotalParameters } from './parameters';

export function howTo(p: RunningTotalParameters): HowTo {
  const down = p.direction === 'down';
  const start = down ? p.high : p.low;
  const end = down ? p.low : p.high;
  const special = [
    p.takeTen > 0 ? `take-ten cards (${p.takeTen}) take 10 off` : '',
    p.reverse > 0 ? `turn-round cards (${p.reverse}) change the direction of play` : '',
    p.skip > 0 ? `pass-over cards (${p.skip}) leave the next player out` : '',
    p.round > 0 ? `round-it cards (${p.round}) bring the total to the nearest 10` : '',
  ].filter(Boolean);
  const card = Math.max(p.lowestCard, Math.min(p.highestCard, Math.round(p.highestCard * 0.7)));
  const middle = Math.round((p.low + p.high) / 2 / 10) * 10 + 3;
  const after = down ? Math.max(p.low, middle - card) : middle + card;
  const bonus = [
    p.bonusStep > 0 ? `A total that is a multiple of ${p.bonusStep} gives you a token.` : '',
    p.matchTop ? 'A card equal to the one just played takes a token from whoever holds most.' : '',
  ].filter(Boolean);
  return {
    setUp: [
      `Keep one total for the table: it starts at ${start}. Deal ${many(p.handSize, 'card')} to everyone.`,
      `The cards go from ${p.lowestCard} to ${p.highestCard}, ${p.copies} of each${p.draw === 'return' ? '; played cards go back into the pile' : p.deckOut === 'ends' ? '; the game also ends when the pile is gone' : ''}.`,
      ...(special.length > 0 ? [`With them: ${special.join('; ')}.`] : []),
    ],
    turn: [
      p.direction === 'up'
        ? 'Play a card, add it, say the new total, and draw.'
        : down
          ? 'Play a card, take it away, say the new total, and draw.'
          : 'Play a card, add it on the way up or take it away on the way down, say the new total, and draw.',
      ...(p.direction === 'up-and-down' ? [`At ${p.high} turn and go back down to ${p.low}.`] : []),
      p.landing === 'exact'
        ? 'A card that would go past the end cannot be played; with nothing to play, change a card.'
        : 'With nothing to play, change a card.',
    ],
    scoring: bonus,
    end: `Whoever brings the total to ${p.direction === 'up-and-down' ? p.low : end}${p.landing === 'exact' ? ' exactly' : ' or past it'} ends ${p.roundsToWin > 1 ? `the round; ${p.roundsToWin} rounds win` : 'the round'}${bonus.length > 0 ? ' and gets 2 tokens: most tokens win' : ''}.`,
    ask: 'What will the total be, and how do you know?',
    tool: 'Move a peg on a hundred chart or a number line.',
    smaller: `Play ${down ? `down from ${Math.max(5, smallerThan(p.high))}` : `to ${Math.max(5, smallerThan(p.high))}`}.`,
    presence: alone,
    pictures: [
      {
        picture: { draw: 'cards', values: Array.from({ length: Math.min(p.handSize, 4) }, (_, i) => (i === 0 ? card : null)), lit: [0] },
        say: 'Choose a card.',
      },
      {
        picture: {
          draw: 'line',
          low: p.low,
          high: p.high,
          marks: [
            [part(p, middle), middle],
            [part(p, after), after],
          ],
          shaded: [Math.min(part(p, middle), part(p, after)), Math.max(part(p, middle), part(p, after))],
        },
        say: down ? 'Take it away and say what is left.' : 'Say the new total.',
      },
      { picture: { draw: 'say', words: String(p.direction === 'up-and-down' ? p.low : end) }, say: 'Bring it to the end.' },
    ],
  };
}
const part = (p: RunningTotalParameters, n: number): number => Math.max(0, Math.min(1, (n - p.low) / (p.high - p.low)));
