import { needed, type HowTo } from '../../play/howTo';
import { fromTo, many, smallerThan } from '../../play/say';
import type { QuickLookParameters } from './parameters';

export function howTo(p: QuickLookParameters): HowTo {
  const n = Math.min(p.highest, Math.max(p.lowest, Math.round(p.highest * 0.7)));
  const lie = { 'like-a-die': 'as on a die', 'in-two-groups': 'in two groups', 'in-a-ten-frame': 'in a ten frame', anyhow: 'anyhow' }[
    p.layout
  ];
  const half = Math.ceil(n / 2);
  return {
    setUp: [`The helper holds the dot cards: ${fromTo(p.lowest, p.highest)} dots, lying ${lie}.`],
    turn: [
      p.look === 'briefly'
        ? 'Show a card for a moment, then cover it.'
        : p.look === 'twice'
          ? 'Show a card for a moment, cover it, and show it once more.'
          : 'Show a card for as long as it is wanted.',
      'How many were there? Show it with fingers or say it.',
      ...(p.ways > 0 ? [`How did you see it? Hear ${many(p.ways, 'way')} of seeing.`] : []),
      ...(p.oneMore === 'one-more'
        ? ['Then say what one more would be.']
        : p.oneMore === 'to-ten'
          ? ['Then say what is missing to 10.']
          : []),
    ],
    scoring: ['Seen right is a point.'],
    end: `Everyone looks at ${many(p.cards, 'card')}.`,
    ask: 'How did you see it?',
    tool: 'Leave the card open and count with a finger.',
    smaller: `Use cards to ${Math.max(p.lowest + 1, smallerThan(p.highest))} dots.`,
    presence: needed('shows the cards and covers them'),
    pictures: [
      { picture: { draw: 'cards', values: [null] }, say: 'Look …' },
      {
        picture:
          p.layout === 'in-a-ten-frame'
            ? { draw: 'grid', rows: 2, columns: 5, done: Array.from({ length: Math.min(10, n) }, (_, i) => i) }
            : { draw: 'things', heaps: p.layout === 'in-two-groups' ? [[half], [n - half]] : [[n]] },
        say: 'How many?',
      },
      { picture: { draw: 'say', words: String(n) }, say: 'Say it.' },
    ],
  };
}
