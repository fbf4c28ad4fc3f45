import { alone, type HowTo } from '../../play/howTo';
import { fromTo, many, smallerThan } from '../../play/say';
import type { CompareParameters } from './parameters';

/** What two players turn in a round of this version, and what it makes. */
function turned(p: CompareParameters): { own: (number | string)[]; theirs: (number | string)[]; makes: [string, string] } {
  const high = p.highest;
  const mid = Math.max(p.lowest, Math.floor((p.lowest + p.highest) / 2));
  if (p.join === 'fraction') {
    const bottom = p.bottom > 0 ? p.bottom : high;
    const f = (n: number): string => `${n}/${bottom}`;
    const [x, y] = [Math.max(1, bottom - 2), Math.max(1, bottom - 3)];
    return { own: p.bottom > 0 ? [x] : [x, bottom], theirs: p.bottom > 0 ? [y] : [y, bottom], makes: [f(x), f(y)] };
  }
  const own = [high - 1, mid, p.lowest + 1].slice(0, p.cards);
  const theirs = [mid, mid - 1, p.lowest].slice(0, p.cards);
  const make = (cards: number[]): string => {
    if (p.join === 'number') return cards.map((c) => c % 10).join('');
    const worth = cards.map((c) => c * p.worth);
    if (agreedWords(p)) return String(agreedResult(p, worth[0]!));
    if (p.join === 'sum') return String(worth.reduce((a, b) => a + b, 0));
    if (p.join === 'product') return String(worth.reduce((a, b) => a * b, 1));
    return String(worth.reduce((a, b) => Math.abs(a - b)));
  };
  return { own, theirs, makes: [make(own), make(theirs)] };
}

/** What is done with one card and the agreed number; null where cards are joined with one another. */
function agreedWords(p: CompareParameters): string | null {
  switch (p.join) {
    case 'times':
      return `Multiply it by ${p.by} and say what it makes.`;
    case 'times-itself':
      return 'Multiply it by itself and say what it makes.';
    case 'doubled':
      return 'Double it and say what it makes.';
    case 'shared-by':
      return `It stands for ${p.by} times as much: divide that by ${p.by} and say both.`;
    case 'taken-from':
      return `Take your card away from ${p.by} and say what is left.`;
    case 'so-much-more':
      return `Say what your card and ${p.by} more make.`;
    case 'so-much-less':
      return `Say what is ${p.by} less than your card.`;
    case 'up-to-the-next':
      return `Say how much is missing to the next ${p.by}.`;
    default:
      return null;
  }
}

function agreedResult(p: CompareParameters, card: number): number {
  if (p.join === 'times') return card * p.by;
  if (p.join === 'times-itself') return card * card;
  if (p.join === 'doubled') return 2 * card;
  if (p.join === 'taken-from') return p.by - card;
  if (p.join === 'so-much-more') return card + p.by;
  if (p.join === 'so-much-less') return card - p.by;
  return p.join === 'up-to-the-next' ? p.by - (card % p.by) : card;
}

function joined(p: CompareParameters): string {
  if (p.join === 'fraction')
    return p.bottom > 0
      ? `Your card goes over ${p.bottom}: say the fraction.`
      : 'The smaller of your two cards goes over the larger: say the fraction.';
  const agreed = agreedWords(p);
  if (agreed) return agreed;
  if (p.cards === 1) return 'Say your number.';
  if (p.join === 'sum') return 'Add your cards and say what they make.';
  if (p.join === 'product') return 'Multiply your cards and say what they make.';
  if (p.join === 'difference') return 'Say how far apart your cards are.';
  return 'Lay your digits side by side in the order you turned them and read the number.';
}

export function howTo(p: CompareParameters): HowTo {
  const { own, theirs, makes } = turned(p);
  const fraction = p.join === 'fraction';
  const cards = fraction ? (p.bottom > 0 ? 1 : 2) : p.cards;
  const take = p.goal === 'higher' ? 'more' : 'less';
  const sign = p.join === 'sum' ? '+' : p.join === 'product' ? '×' : p.join === 'difference' ? '−' : undefined;
  const value = (text: string): number => (fraction ? Number(text.split('/')[0]) / Number(text.split('/')[1]) : 0.8);
  return {
    setUp: [
      p.draw === 'dealt'
        ? 'Shuffle the cards and lay them face down in one pile.'
        : 'Shuffle the cards; what was turned goes back into the pile each round.',
      `The cards go from ${fromTo(p.lowest, p.highest)}, ${p.copies} of each${p.worth > 1 ? `, and each counts as so many ${p.worth === 10 ? 'tens (10)' : p.worth === 100 ? 'hundreds (100)' : 'thousands (1000)'}` : ''}.`,
    ],
    turn: [
      `Everyone turns ${many(cards, 'card')}. ${joined(p)}`,
      ...(p.sayHalf ? ['Say first: is it more than a half?'] : []),
      ...(p.onLine ? ['Lay it on the number line between 0 and 1.'] : []),
      `Compare: whoever has ${take} takes the round${p.howMuchMore ? '; say by how much' : ''}.`,
    ].slice(0, 4),
    scoring: [
      p.tie === 'turn-again'
        ? 'A round taken is a point. When equal, nobody takes it and the next round counts for one more.'
        : 'A round taken is a point. When equal, nobody takes it.',
    ],
    end: `Count your points after ${many(p.rounds, 'round')}.`,
    ask: fraction ? 'How can you see which is more without a drawing?' : `How did you know who has ${take}?`,
    tool: fraction
      ? 'Lay fraction strips side by side.'
      : p.lowest < 0
        ? 'Point on a number line that goes below zero.'
        : 'Build both with cubes or counters.',
    smaller: `Use cards to ${Math.max(p.lowest + 2, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: own.map(() => null) }, say: 'Take your cards.' },
      {
        picture: fraction
          ? { draw: 'bars', bars: makes.map((m) => [Number(m.split('/')[0]), Number(m.split('/')[1]), m] as const) }
          : {
              draw: 'cards',
              values: [...own, ...theirs],
              rows: 2,
              ...(sign && cards > 1 ? { joined: sign } : {}),
              makes: makes.join(' | '),
            },
        say: 'Turn them and say what they make.',
      },
      p.onLine
        ? { picture: { draw: 'line', low: 0, high: 1, marks: [[value(makes[0]), makes[0]]] }, say: 'Lay it on the line.' }
        : { picture: { draw: 'say', words: p.goal === 'higher' ? 'More!' : 'Less!' }, say: `Who has ${take}?` },
    ],
  };
}
