import { alone, type HowTo } from '../../play/howTo';
import { fromTo, many, smallerThan } from '../../play/say';
import type { WheelParameters } from './parameters';

/** A fact of this wheel as it is said. */
function factOf(p: WheelParameters, outer: number): string {
  if (p.operation === 'add') return `${outer} + ${p.fixed} = ${outer + p.fixed}`;
  if (p.operation === 'subtract') return `${outer + p.fixed} − ${p.fixed} = ${outer}`;
  return p.operation === 'multiply' ? `${outer} × ${p.fixed} = ${outer * p.fixed}` : `${outer * p.fixed} ÷ ${p.fixed} = ${outer}`;
}

export function howTo(p: WheelParameters): HowTo {
  const rim = Array.from({ length: Math.min(10, p.to - p.from + 1) }, (_, i) => p.from + i);
  const shown = rim.map((n) => (p.operation === 'subtract' ? n + p.fixed : p.operation === 'divide' ? n * p.fixed : n));
  const lit = Math.floor(rim.length / 2);
  const join =
    p.operation === 'add'
      ? `Add ${p.fixed} to it`
      : p.operation === 'subtract'
        ? `Take ${p.fixed} away from it`
        : p.operation === 'multiply'
          ? `Multiply it by ${p.fixed}`
          : `Share it by ${p.fixed}`;
  const rimSays =
    p.operation === 'add' || p.operation === 'multiply'
      ? `Round the rim stand the numbers ${fromTo(p.from, p.to)}.`
      : `Round the rim stand the numbers whose answers are ${fromTo(p.from, p.to)}.`;
  return {
    setUp: [`Lay the wheel with ${p.fixed} in the middle.`, rimSays],
    turn: [
      p.order === 'by-spinning'
        ? 'Spin for a rim number.'
        : p.order === 'round'
          ? 'Take the next rim number on the way round.'
          : 'Take a rim number you have not had, in any order.',
      `${join} and say the whole fact.`,
      ...(p.turnRound
        ? [
            p.operation === 'add' || p.operation === 'multiply'
              ? 'Say it the other way round too.'
              : 'Say its partner too, with the answer as the second number.',
          ]
        : []),
      ...(p.undo ? ['Undo it: say the opposite fact.'] : []),
    ],
    scoring: ['A star beside each fact you knew; the others come again another day.'],
    end: `Everyone says ${many(p.turns, 'fact')}.`,
    ask: 'Which fact helps you to find this one?',
    tool: p.operation === 'multiply' || p.operation === 'divide' ? 'Lay rows of counters.' : 'Use a ten frame or a number line.',
    smaller: `Use rim numbers to ${Math.max(p.from + 2, smallerThan(p.to))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'wheel', middle: p.fixed, rim: shown }, say: 'Look at the wheel.' },
      { picture: { draw: 'wheel', middle: p.fixed, rim: shown, lit }, say: 'Take a number from the rim.' },
      { picture: { draw: 'say', words: factOf(p, rim[lit]!) }, say: 'Say the whole fact.' },
    ],
  };
}
