import { alone, type HowTo } from '../../play/howTo';
import { fromTo, listed, many, nameOf, smallerThan } from '../../play/say';
import type { EquationParameters } from './parameters';

export function howTo(p: EquationParameters): HowTo {
  const op = p.operations[0]!;
  const x = Math.max(p.lowest, 2);
  const y = Math.max(p.lowest, 3);
  const [a, b, c, sign] =
    op === 'add'
      ? [x, y, x + y, '+']
      : op === 'subtract'
        ? [x + y, y, x, '−']
        : op === 'multiply'
          ? [x, y, x * y, '×']
          : [x * y, y, x, '÷'];
  const four = p.terms === 'three-or-four';
  return {
    setUp: [
      `Deal ${many(p.hand, 'card')} to everyone; the rest is the draw pile.`,
      `The cards go from ${fromTo(p.lowest, p.highest)}, ${p.copies} of each${p.wild > 0 ? `, and ${many(p.wild, 'wild card')} that may be any number` : ''}.`,
    ],
    turn: [
      `Look for a true equation among your cards: ${four ? 'two on one side, one or two on the other' : 'two on one side, one on the other'}.`,
      `You may use ${listed(
        p.operations.map((o) => nameOf[o]),
        'or',
      )}. Lay it and say it aloud.`,
      p.drawBack === 'as-many-as-used' ? 'Draw as many cards as you used.' : 'Do not draw after an equation.',
      p.noEquation === 'change-one' ? 'No equation? Change one card.' : 'No equation? Draw one card.',
    ],
    scoring: [
      `Each card laid is a point${p.bonusFour && four ? '; with four cards in one equation they count double' : ''}.`,
      'An empty hand brings 3 more and ends the game.',
    ],
    end: 'When nobody can go on, count your points.',
    ask: 'Is it still true if you swap the sides?',
    tool: 'Show both sides with counters: are they as many?',
    smaller: `Use cards to ${Math.max(4, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [a, c, 1, b], lit: [] }, say: 'Look at your cards.' },
      { picture: { draw: 'cards', values: [a, b], joined: sign, makes: String(c) }, say: 'Lay an equation that is true.' },
      {
        picture: p.drawBack === 'nothing' ? { draw: 'say', words: 'True!' } : { draw: 'cards', values: [null, null, null] },
        say: p.drawBack === 'nothing' ? 'Say it aloud.' : 'Draw again.',
      },
    ],
  };
}
