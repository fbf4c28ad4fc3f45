import { alone, type HowTo } from '../../play/howTo';
import { diceOf, nth, smallerThan } from '../../play/say';
import type { TrackRaceParameters } from './parameters';

function moves(p: TrackRaceParameters): string {
  const dice = diceOf(p.dice, p.lowestFace, p.highestFace);
  if (p.move === 'forward-then-back')
    return `Throw ${diceOf(1, p.lowestFace, p.highestFace)} and go forward; throw again and go back that far.`;
  if (p.move === 'difference') return `Throw ${diceOf(2, p.lowestFace, p.highestFace)}: how far apart are they? Move so far.`;
  if (p.move === 'signed')
    return `Throw ${dice} and the plus and minus die (${p.minusFaces} of its 6 faces are minus): plus goes forward, minus back.`;
  return p.dice === 1 ? `Throw ${dice} and move forward so far.` : `Throw ${dice}, add them, and move forward so far.`;
}

export function howTo(p: TrackRaceParameters): HowTo {
  const at = p.start + Math.max(1, Math.round((p.end - p.start) / 4));
  const by = Math.max(1, Math.min(p.highestFace, Math.round((p.lowestFace + p.highestFace) / 2)) * (p.move === 'sum' ? p.dice : 1));
  const special =
    p.special === 'odd-even'
      ? `Every ${nth(p.specialEvery)} space: throw again; even goes forward, odd goes back.`
      : `Every ${nth(p.specialEvery)} space: throw again and add it or take it, as you like.`;
  const token =
    p.tokens === 'give'
      ? `Every ${nth(p.tokenEvery)} space gives you a token.`
      : `Every ${nth(p.tokenEvery)} space gives a token, and every second of them takes one back.`;
  const home = `${p.end} ${p.landing === 'exact' ? '(by an exact throw)' : 'or past it'}`;
  const jumps = p.jumps.filter(([from, to]) => p.loops || to > from);
  return {
    setUp: [
      `Everyone puts a peg on ${p.start} of a track to ${p.end}.`,
      ...(jumps.length > 0 ? [`Jumps: ${jumps.map(([from, to]) => `${from} to ${to}`).join(', ')}.`] : []),
    ],
    turn: [
      moves(p),
      'Say where you will land before you move.',
      ...(p.special === 'none' ? [] : [special]),
      ...(p.tokens === 'none' ? [] : [token]),
    ],
    scoring: p.tokens === 'none' ? [] : ['Tokens decide; being home at the end brings 2 more.'],
    end:
      p.lastRound === 'is-played-out'
        ? `Once somebody is on ${home}, play the round out; ${p.tokens === 'none' ? 'who is home then has won' : 'most tokens win'}.`
        : `The first on ${home} ends the race${p.tokens === 'none' ? '' : '; most tokens win'}.`,
    ask: 'Where will you land, and how do you know?',
    tool: 'Count on along the track with a finger.',
    smaller: `Race to ${Math.max(p.start + 3, smallerThan(p.end))}.`,
    presence: alone,
    pictures: [
      {
        picture: {
          draw: 'dice',
          faces:
            p.move === 'difference'
              ? [p.highestFace, p.lowestFace]
              : Array.from({ length: p.move === 'forward-then-back' ? 1 : p.dice }, () => Math.round((p.lowestFace + p.highestFace) / 2)),
        },
        say: 'Throw.',
      },
      {
        picture: { draw: 'track', from: p.start, to: p.end, pegs: [at, Math.max(p.start, at - 2)], jump: [at, Math.min(p.end, at + by)] },
        say: 'Say where you will land, and move.',
      },
      { picture: { draw: 'say', words: String(p.end) }, say: 'First to the end.' },
    ],
  };
}
