import { alone, type HowTo } from '../../play/howTo';
import { diceOf, many, smallerThan } from '../../play/say';
import type { PartWholeParameters } from './parameters';

export function howTo(p: PartWholeParameters): HowTo {
  const whole = p.faces - 1;
  const part = Math.max(p.lowestFace, Math.floor(whole / 3));
  const rows = p.faces - p.lowestFace + 1;
  return {
    setUp: [`Everyone takes a grid with ${many(p.cells, 'box', 'boxes')} for each missing part from 0 to ${p.faces - p.lowestFace}.`],
    turn: [
      `Throw ${diceOf(2, p.lowestFace, p.faces)}: the larger number is the whole, the smaller one part.`,
      p.say === 'missing-part'
        ? 'Say the missing part and colour a box for it.'
        : 'Take the part away from the whole, say what is left, and colour a box for it.',
      p.takeOther ? 'No box left? Your neighbour may colour it.' : 'No box left? The next player throws.',
    ],
    scoring: ['Each coloured box is a point.'],
    end:
      p.ends === 'line'
        ? `A full row wins, once the round is played out; after ${many(p.rounds, 'throw')} each, most boxes win.`
        : p.ends === 'one-grid-full'
          ? `A full grid wins, once the round is played out; after ${many(p.rounds, 'throw')} each, most boxes win.`
          : `Stop after ${many(p.rounds, 'throw')} each.`,
    ask: 'How do you know how much is missing?',
    tool: 'Lay the whole with counters and cover the part.',
    smaller: `Use dice to ${Math.max(4, smallerThan(p.faces))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces: [whole, part] }, say: 'Throw two dice.' },
      {
        picture: { draw: 'things', heaps: [[whole - part, part]], names: [whole] },
        say: p.say === 'missing-part' ? 'What is missing?' : 'What is left?',
      },
      {
        picture: {
          draw: 'grid',
          rows: Math.min(rows, 7),
          columns: p.cells,
          lit: [Math.min(rows - 1, whole - part, 6) * p.cells],
          rowNames: Array.from({ length: Math.min(rows, 7) }, (_, i) => i),
        },
        say: 'Colour its box.',
      },
    ],
  };
}
