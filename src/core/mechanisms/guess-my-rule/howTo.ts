import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { MachineParameters } from './parameters';

export function howTo(p: MachineParameters): HowTo {
  const times = Math.min(3, p.most);
  const plus = Math.min(2, p.adds);
  const n = Math.min(5, p.inputs) + (p.rules === 'takes-away' ? p.adds : 0);
  const out = p.rules === 'adds' ? n + plus : p.rules === 'takes-away' ? n - plus : p.rules === 'multiplies' ? n * times : n * times + plus;
  const does = {
    adds: `adds a secret number from 1 to ${p.adds}`,
    'takes-away': `takes a secret number from 1 to ${p.adds} away`,
    multiplies: `multiplies by a secret number from 2 to ${p.most}`,
    'multiplies-and-adds': `multiplies by a secret number from 2 to ${p.most} and adds one from 1 to ${p.adds}`,
  }[p.rules];
  return {
    setUp: [`One player is the machine: it ${does}, and writes that down out of sight.`],
    turn: [
      p.rules === 'takes-away' ? `Another puts a number in: from ${p.adds} up.` : `Another puts a number in: 0 to ${p.inputs}.`,
      'The machine says what comes out; write both in a table.',
      'Think you know the rule? Say what would come out for a number of your own; then say the rule.',
      `After ${many(p.tries, 'number')} the machine shows its rule. Then the next player is the machine.`,
    ],
    scoring: [],
    end: `Everyone is the machine ${p.machines === 1 ? 'once' : `${p.machines} times`}; count the rules you have found together.`,
    ask: 'Which number would tell you most if you put it in?',
    tool: 'Lay each number and what came out side by side with cubes.',
    smaller:
      p.rules === 'multiplies' || p.rules === 'multiplies-and-adds'
        ? `Multiply by at most ${Math.max(2, smallerThan(p.most))}.`
        : `Use a secret number to ${Math.max(1, smallerThan(p.adds))}.`,
    presence: nearby('is the first machine'),
    pictures: [
      { picture: { draw: 'cards', values: [n, '?'], lit: [0] }, say: 'Put a number in.' },
      { picture: { draw: 'cards', values: [n, '⚙', out], lit: [2] }, say: 'What comes out?' },
      { picture: { draw: 'say', words: 'I know it!' }, say: 'Say the rule.' },
    ],
  };
}
