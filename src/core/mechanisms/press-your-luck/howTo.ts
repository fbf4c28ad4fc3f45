import { alone, type HowTo } from '../../play/howTo';
import { diceOf } from '../../play/say';
import type { PressYourLuckParameters } from './parameters';

export function howTo(p: PressYourLuckParameters): HowTo {
  const loses =
    p.bust === 'one'
      ? p.dice === 1
        ? 'A 1 loses'
        : 'A 1 on any die loses'
      : p.bust === 'seven'
        ? 'A total of 7 loses'
        : 'A 1 or a 2 on any die loses';
  const faces = p.dice === 1 ? [Math.min(p.faces, 4)] : [Math.min(p.faces, 4), 5];
  const sum = faces.reduce((a, b) => a + b, 0);
  return {
    setUp: [`Lay out ${diceOf(p.dice, 1, p.faces)}, paper and a pencil.`],
    turn: [
      `Throw as often as you dare and add up as you go.`,
      'Stop, and the turn is added to your score.',
      p.lose === 'turn' ? `${loses} what you gathered in this turn.` : `${loses} your whole score: it goes back to 0.`,
      p.saysBoth ? 'Say the total of the turn, and the new score when you stop.' : 'Say the total of the turn aloud.',
    ],
    scoring: [],
    end: `The first with ${p.goal} points ends the game.`,
    ask: 'Would you throw once more? What could happen?',
    tool: 'Keep the turn’s total with counters, tens apart from ones.',
    smaller: `Play to ${Math.max(10, Math.floor(p.goal / 2))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces }, say: 'Throw.' },
      {
        picture: { draw: 'dice', faces, ...(p.dice > 1 ? { joined: '+', makes: String(sum) } : {}) },
        say: 'Add it up. Once more, or stop?',
      },
      { picture: { draw: 'track', from: 0, to: p.goal, pegs: [Math.round(p.goal * 0.6)] }, say: 'Stop, and it is yours.' },
    ],
  };
}
