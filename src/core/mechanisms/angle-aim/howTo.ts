import { alone, type HowTo } from '../../play/howTo';
import { many } from '../../play/say';
import type { AngleParameters } from './parameters';

export function howTo(p: AngleParameters): HowTo {
  const card = p.step * Math.max(1, Math.round(60 / p.step));
  const draws = p.play !== 'finds-the-missing-one';
  const missing = p.play !== 'draws-by-eye';
  const arm = (degrees: number): [number, number] => [
    3 + 2.6 * Math.cos((degrees * Math.PI) / 180),
    4 - 2.6 * Math.sin((degrees * Math.PI) / 180),
  ];
  const target = missing ? p.whole - card : card;
  return {
    setUp: [
      `Shuffle angle cards: ${p.step}° to ${p.most - p.step}° in steps of ${p.step}°.`,
      draws ? 'Everyone has paper, a ruler and a pencil; one protractor lies ready.' : 'Everyone has paper and a pencil.',
    ],
    turn: [
      missing ? `Turn a card: which angle is missing to ${p.whole}°? Everyone writes it.` : 'Turn a card: everyone aims at that angle.',
      ...(p.kind === 'what-kind-it-is' ? ['Say first whether it is less than, equal to, or more than a right angle.'] : []),
      ...(draws ? ['Draw it by eye, then measure it with the protractor.', 'Say how far off you are.'] : []),
    ],
    scoring: ['The nearest takes the round: one point. A tie is nobody’s.'],
    end: `Play ${many(p.rounds, 'round')}.`,
    ask: 'Is it more or less than a right angle, and by how much?',
    tool: 'Fold a paper to a right angle and hold it beside.',
    smaller: p.most === 90 ? 'Use steps of 30°.' : 'Use angles to 90° only.',
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [`${card}°`] }, say: 'Turn a card.' },
      {
        picture: {
          draw: 'shape',
          columns: 6,
          rows: 5,
          outlines: [[[3, 4], [5.6, 4], arm(Math.min(target, 175))]],
          dots: [[3, 4, `${target}°`]],
        },
        say: draws ? 'Draw the angle by eye.' : 'Which angle is missing?',
      },
      { picture: { draw: 'say', words: `${target}°` }, say: draws ? 'Measure it.' : 'Say it.' },
    ],
  };
}
