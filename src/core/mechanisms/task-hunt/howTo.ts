import { alone, nearby, type HowTo } from '../../play/howTo';
import { listed, many, nameOf, smallerThan } from '../../play/say';
import type { HuntParameters } from './parameters';

export function howTo(p: HuntParameters): HowTo {
  const label = p.labels === 'letters' ? 'letter' : 'number';
  const op = p.operations[0]!;
  const x = Math.max(p.lowest, 4);
  const y = Math.max(p.lowest, 3);
  const missing = p.unknown === 'missing-number';
  const task =
    op === 'add'
      ? missing
        ? `${x} + ? = ${x + y}`
        : `${x} + ${y}`
      : op === 'subtract'
        ? missing
          ? `${x + y} − ? = ${x}`
          : `${x + y} − ${y}`
        : op === 'multiply'
          ? missing
            ? `${x} × ? = ${x * y}`
            : `${x} × ${y}`
          : missing
            ? `${x * y} ÷ ? = ${y}`
            : `${x * y} ÷ ${x}`;
  return {
    setUp: [
      p.cards === 'hidden'
        ? `Hide ${p.tasks} cards about the room, all within reach of standing children.`
        : `Deal ${p.tasks} cards round; they will be passed on.`,
      `Everyone takes a sheet with ${p.tasks} boxes. Tasks: ${listed(p.operations.map((o) => nameOf[o]))}, numbers from ${p.lowest}, results to ${p.highest}.`,
    ],
    turn: [
      p.cards === 'hidden' ? 'Walk to a card; look out for the others.' : 'Take the card that is passed to you.',
      `Find the box with the same ${label} on your sheet.`,
      missing ? 'Write the missing number there.' : 'Write the answer there.',
    ],
    scoring: ['Each right box is a point for yourself; nobody has to finish.'],
    end: `Stop when the sheets are full, or after ${many(p.minutes, 'minute')}.`,
    ask: 'Which box are you surest of?',
    tool: 'Carry a number line or counters with you.',
    smaller: `Use results to ${Math.max(5, smallerThan(p.highest))}.`,
    presence: p.cards === 'hidden' ? nearby('minds where the children walk; nobody climbs or runs') : alone,
    pictures: [
      { picture: { draw: 'cards', values: [null, task, null], lit: [1] }, say: p.cards === 'hidden' ? 'Find a card.' : 'Take a card.' },
      {
        picture: {
          draw: 'grid',
          rows: 4,
          columns: p.tasks / 4,
          cells: Array.from({ length: p.tasks }, (_, i) => (p.labels === 'letters' ? String.fromCharCode(65 + i) : i + 1)),
          lit: [5],
        },
        say: 'Find its box.',
      },
      { picture: { draw: 'say', words: task }, say: 'Write the answer.' },
    ],
  };
}
