import { wholeResult } from '../../play/arithmetic';
import { needed, type HowTo } from '../../play/howTo';
import { fromTo, many, nameOf, signOf, smallerThan } from '../../play/say';
import type { ClaimParameters } from './parameters';

/** One fact of this version: first number, second number, result. */
function factOf(p: ClaimParameters): [number, number, number] {
  const [own] = p.only;
  if (own) return [own[0], own[1], wholeResult(p.operation, own[0], own[1])];
  const x = Math.max(p.lowest, Math.round(p.highest * 0.7));
  const y = Math.max(p.lowest, 1, Math.round(p.highest * 0.4));
  if (p.operation === 'add') return [x, y, x + y];
  if (p.operation === 'subtract') return [x + y, y, x];
  return p.operation === 'multiply' ? [x, y, x * y] : [x * y, y, x];
}

export function howTo(p: ClaimParameters): HowTo {
  const [a, b, result] = factOf(p);
  const fact = `${a} ${signOf[p.operation]} ${b}`;
  const [called, claimed] = p.call === 'question' ? [fact, String(result)] : [String(result), fact];
  return {
    setUp: [
      `Lay ${many(p.laid, p.call === 'question' ? 'answer card' : 'question card')} face up so that everyone can reach them; the caller keeps the call cards.`,
      p.only.length > 0
        ? `There are ${many(p.only.length, 'fact')}, all ${nameOf[p.operation]}, on cards of their own.`
        : `The facts are ${nameOf[p.operation]} facts with numbers from ${fromTo(p.lowest, p.highest)}.`,
    ],
    turn: [
      p.call === 'question' ? 'The caller reads a question, twice.' : 'The caller reads an answer, twice.',
      p.form === 'race'
        ? `Find the card that goes with it; the first hand takes it${p.wait > 0 ? `, but count to ${p.wait} before you claim` : ''}.`
        : `Everyone finds the card that goes with it${p.wait > 0 ? ` and waits, counting to ${p.wait},` : ''} in their own time; nobody is first.`,
      'Say the whole fact before you take the card.',
    ],
    scoring: [p.form === 'together' ? 'Every right card is a point for the whole table.' : 'Every right card is a point.'],
    end:
      p.ends === 'cards'
        ? `Play until the ${many(p.laid, 'card')} are called.`
        : p.form === 'together'
          ? `Stop when the table has ${many(p.claims, 'point')}; when the calls run out, mix them and lay the cards out again.`
          : `Stop when somebody has ${many(p.claims, 'point')}; when the calls run out, mix them and lay the cards out again.`,
    ask: 'How could you find it if you did not know it by heart?',
    tool:
      p.operation === 'multiply' || p.operation === 'divide' ? 'Show the rows with counters or dots.' : 'Use a bead frame or a ten frame.',
    smaller: `Use numbers to ${Math.max(p.lowest + 2, smallerThan(p.highest))}.`,
    presence: needed('reads the call cards'),
    pictures: [
      { picture: { draw: 'say', words: called }, say: 'Listen.' },
      {
        picture: {
          draw: 'cards',
          values: p.call === 'question' ? [result - 1, result, result + 2, result + 3] : [`${b + a} ${signOf[p.operation]} ${b}`, fact],
          rows: 1,
          lit: [1],
        },
        say: 'Find the card.',
      },
      { picture: { draw: 'say', words: p.call === 'question' ? `${fact} = ${claimed}` : `${claimed} = ${called}` }, say: 'Say all of it.' },
    ],
  };
}
