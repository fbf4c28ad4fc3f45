import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { BeamParameters } from './parameters';

/** One task of this version: numbers on the left, those on the right with the missing one last. */
function taskOf(p: BeamParameters): { left: number[]; right: number[] } {
  const left = [Math.max(3, Math.ceil(p.pegs * 0.8)), 2, 1].slice(0, p.left);
  const sum = left.reduce((a, b) => a + b, 0);
  const given =
    p.right === 1
      ? []
      : p.right === 2
        ? [Math.max(1, sum - p.pegs, Math.floor(sum / 2))]
        : [Math.max(1, Math.floor(sum / 3)), Math.max(1, Math.floor(sum / 4))];
  return { left, right: [...given, sum - given.reduce((a, b) => a + b, 0)] };
}

export function howTo(p: BeamParameters): HowTo {
  const { left, right } = taskOf(p);
  return {
    setUp: [
      `Stand the beam where all can see it, with pegs from 1 to ${p.pegs} on both sides.`,
      `Turn a task card: ${many(p.left, 'weight')} on the left, ${many(p.right, 'weight')} on the right, one of them missing.`,
    ],
    turn: [
      `Hang what the card shows${p.multiples ? '; several weights may hang on one peg, and each counts as far out as its peg' : ', one weight to a peg'}.`,
      ...(p.predict ? ['Say which side would sink if you let go.'] : []),
      'Work out the peg of the missing weight so that both sides are equal, and hang it there.',
      'Let go: the beam answers. Say it with "is as much as".',
    ],
    scoring: ['Right at the first try is a point.'],
    end: `Everyone solves ${many(p.tasks, 'card')}.`,
    ask: 'How did you know where it has to hang?',
    tool: 'Hang the weight anywhere and let the beam show which way to go.',
    smaller: `Use only the pegs to ${smallerThan(p.pegs)}.`,
    presence: nearby('reads the first task card'),
    pictures: [
      { picture: { draw: 'beam', left, right: [...right.slice(0, -1)], tip: -1 }, say: 'Hang the weights of the card.' },
      { picture: { draw: 'beam', left, right: [...right.slice(0, -1), '?'], tip: -1 }, say: 'Where must the last one hang?' },
      { picture: { draw: 'beam', left, right, tip: 0 }, say: 'Both sides are the same.' },
    ],
  };
}
