import { between } from '../../../play/deck';
import type { StoryParameters } from '../../../mechanisms/story-cards/parameters';
import { below, type Rng } from '../../../shared/rng';

type Situation = StoryParameters['situations'][number];
type Unknown = StoryParameters['unknowns'][number];

export interface Story {
  readonly situation: Situation;
  readonly unknown: Unknown;
  readonly text: string;
  readonly a: number;
  readonly b: number;
  readonly answer: number;
  /** What is left over, where that is asked too. */
  readonly left?: number;
}

const people = ['Wren', 'Fern', 'Moss', 'Robin', 'Hazel', 'Lark', 'Alder', 'Sorrel', 'Tansy', 'Rowan'];
const things = ['lamps', 'tickets', 'buttons', 'pine cones', 'shells', 'bolts', 'labels', 'feathers', 'beans', 'cogs'];
const boxes = ['boxes', 'trays', 'jars', 'bags', 'drawers'];

/**
 * The numbers of a story: the parts `a` and `b` and the whole `c`, or groups, size and product. The wordings say nothing that
 * gives the operation away ("altogether", "left", "more" in the question); which number is asked for decides it.
 */
type Told = (w: { n: string; m: string; t: string; k: string; a: number; b: number; c: number }) => string;
const told: Readonly<Record<Situation, Readonly<Record<Unknown, readonly Told[]>>>> = {
  'add-to': {
    result: [
      ({ n, m, t, a, b }) => `${n} has ${a} ${t}. ${m} puts ${b} with them. How many ${t} does ${n} have now?`,
      ({ t, a, b }) => `There are ${a} ${t} in a drawer. Somebody puts in ${b} more. How many ${t} are in the drawer now?`,
    ],
    change: [
      ({ n, m, t, a, c }) => `${n} has ${a} ${t}. ${m} brings some. Now ${n} has ${c}. How many did ${m} bring?`,
      ({ t, a, c }) => `This morning there were ${a} ${t} on the table. Now there are ${c}. How many were put there since this morning?`,
    ],
    start: [
      ({ n, m, t, b, c }) => `${n} had some ${t}. ${m} brought ${b}. Now ${n} has ${c}. How many did ${n} have at first?`,
      ({ t, b, c }) => `There were some ${t} in a tray. Then ${b} were put in, and now there are ${c}. How many were in the tray at first?`,
    ],
  },
  'take-from': {
    result: [
      ({ n, t, b, c }) => `There are ${c} ${t} on a shelf. ${n} carries ${b} of them to the table. How many are on the shelf now?`,
      ({ n, m, t, b, c }) => `${n} has ${c} ${t} and gives ${b} to ${m}. How many does ${n} have now?`,
    ],
    change: [
      ({ n, t, a, c }) => `There were ${c} ${t} on a shelf. ${n} carried some away. Now there are ${a}. How many did ${n} carry away?`,
      ({ n, m, t, a, c }) => `${n} had ${c} ${t} and gave some to ${m}. Now ${n} has ${a}. How many did ${m} get?`,
    ],
    start: [
      ({ n, t, a, b }) => `There were some ${t} on a shelf. ${n} carried ${b} away, and now there are ${a}. How many were there at first?`,
      ({ n, m, t, a, b }) => `${n} gave ${b} ${t} to ${m} and now has ${a}. How many did ${n} have at first?`,
    ],
  },
  together: {
    result: [({ t, a, b }) => `There are ${a} red ${t} and ${b} blue ${t} on the table. How many ${t} are on the table?`],
    change: [({ t, a, c }) => `There are ${c} ${t} on the table. ${a} of them are red, and the others are blue. How many are blue?`],
    start: [({ t, b, c }) => `There are ${c} ${t} on the table. Some are red, and ${b} are blue. How many are red?`],
  },
  compare: {
    result: [({ n, m, t, a, c }) => `${n} has ${c} ${t} and ${m} has ${a}. How many would ${m} have to find to have as many as ${n}?`],
    change: [({ n, m, t, a, b }) => `${n} has ${a} ${t}. ${m} has as many as ${n}, and then ${b} extra. How many does ${m} have?`],
    start: [({ n, m, t, b, c }) => `${m} has ${c} ${t}. That is as many as ${n} has, and then ${b} extra. How many does ${n} have?`],
  },
  groups: {
    result: [({ t, k, a, b }) => `There are ${a} ${k} in a row, with ${b} ${t} in each. How many ${t} are in the ${k}?`],
    change: [({ t, k, a, c }) => `${c} ${t} are put into ${a} ${k}, the same number in each. How many ${t} are in each of them?`],
    start: [({ t, k, b, c }) => `${c} ${t} are packed, ${b} to each of the ${k}. How many ${k} does that fill?`],
  },
  'times-as-many': {
    result: [({ n, m, t, a, b }) => `${n} has ${b} ${t}, and ${m} has ${a} times as many. How many does ${m} have?`],
    change: [({ n, m, t, a, c }) => `${m} has ${c} ${t}. That is ${a} times as many as ${n} has. How many does ${n} have?`],
    start: [({ n, m, t, b, c }) => `${n} has ${b} ${t} and ${m} has ${c}. ${m} has how many times as many as ${n}?`],
  },
  'two-steps': {
    result: [
      ({ n, m, t, a, b }) =>
        `${n} has ${a} ${t}. ${m} puts ${b} with them; then ${n} gives half a dozen, that is 6, to Ash. How many does ${n} have now?`,
    ],
    change: [
      ({ n, t, a, b }) => `${n} fills ${a} jars with ${b} ${t} each and has another 5 ${t} on the table. How many ${t} does ${n} have?`,
    ],
    start: [({ n, m, t, a, c }) => `There were ${c} ${t} in a drawer. ${n} took ${a} and ${m} took 2. How many are there now?`],
  },
  'left-over': {
    result: [
      ({ t, k, b, c }) => `${c} ${t} are packed, ${b} to each of the ${k}. How many ${k} are full, and how many ${t} are not packed?`,
    ],
    change: [({ t, k, a, c }) => `${c} ${t} are shared fairly into ${a} ${k}. How many go into each, and how many cannot be shared?`],
    start: [({ t, k, b, c }) => `All of ${c} ${t} must go into ${k} that hold ${b} each. How many ${k} are needed?`],
  },
};

/** Words that would tell what to do instead of the story (common practice, no source). */
export const giveAways = /\b(altogether|in all|total|sum|left|remain\w*|difference|fewer|product|plus|minus)\b/i;

const largestFactor = 12;

function numbersFor(s: Situation, p: StoryParameters, rng: Rng): readonly [a: number, b: number, c: number] {
  const low = Math.max(1, p.lowest);
  if (s === 'groups' || s === 'times-as-many') {
    const a = between(rng, 2, Math.min(largestFactor, Math.max(2, Math.floor(p.highest / 2))));
    const b = between(rng, 2, Math.max(2, Math.min(largestFactor, Math.floor(p.highest / a))));
    return [a, b, a * b];
  }
  if (s === 'left-over') {
    const c = between(rng, Math.max(7, low), Math.max(8, p.highest));
    const by = between(rng, 2, Math.max(2, Math.min(largestFactor, Math.floor(c / 2))));
    return [by, by, c];
  }
  if (s === 'two-steps') {
    const a = between(rng, Math.max(6, low), Math.max(7, Math.floor(p.highest / 2)));
    const b = between(rng, 2, Math.max(3, Math.min(9, Math.floor(p.highest / 4))));
    return [a, b, Math.max(a + 3, Math.min(p.highest, a + b + 4))];
  }
  const c = between(rng, Math.min(p.highest, 2 * low), p.highest);
  const a = between(rng, Math.min(low, c - 1), Math.max(Math.min(low, c - 1), c - low));
  return [a, c - a, c];
}

/** What is asked for, worked out from the numbers of a story. */
export function answerOf(s: Situation, u: Unknown, a: number, b: number, c: number): { readonly answer: number; readonly left?: number } {
  if (s === 'two-steps') return { answer: u === 'result' ? a + b - 6 : u === 'change' ? a * b + 5 : c - a - 2 };
  if (s === 'left-over') {
    if (u === 'start') return { answer: Math.ceil(c / b) };
    return { answer: Math.floor(c / b), left: c % b };
  }
  if (s === 'groups') return { answer: u === 'result' ? c : u === 'change' ? b : a };
  if (s === 'times-as-many') return { answer: u === 'result' ? c : u === 'change' ? b : a };
  if (s === 'compare') return { answer: u === 'result' ? b : u === 'change' ? c : a };
  if (s === 'take-from') return { answer: u === 'result' ? a : u === 'change' ? b : c };
  return { answer: u === 'result' ? c : u === 'change' ? b : a };
}

/** Writes one story. */
export function newStory(situation: Situation, unknown: Unknown, p: StoryParameters, rng: Rng): Story & { readonly c: number } {
  const [a, b, c] = numbersFor(situation, p, rng);
  const n = below(rng, people.length);
  const wordings = told[situation][unknown];
  const text = wordings[below(rng, wordings.length)]!({
    n: people[n]!,
    m: people[(n + 1 + below(rng, people.length - 1)) % people.length]!,
    t: things[below(rng, things.length)]!,
    k: boxes[below(rng, boxes.length)]!,
    a,
    b,
    c,
  });
  return { situation, unknown, text, a, b, c, ...answerOf(situation, unknown, a, b, c) };
}
