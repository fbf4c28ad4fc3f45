import { describe, expect, it } from 'vitest';
import { goodNext } from './goodNext';
import { heldAt } from './parameters';

const open = (skill: string, more: object = {}) => ({ skill, mastery: 0.4, asSeen: 0.4, seen: true, frontier: true, ...more });
const ids = (all: Parameters<typeof goodNext>[0], age = 7, wanted: Record<string, number> = {}) =>
  goodNext(all, age, (k) => wanted[k] ?? 7).map((e) => e.skill);

describe('what is good next', () => {
  it('is ready and not held: a step just below the line counts, one on it does not', () => {
    expect(ids([open('a', { asSeen: heldAt - 0.001 }), open('b', { asSeen: heldAt }), open('c', { frontier: false })])).toEqual(['a']);
  });
  it('puts the widest gap first, what was seen before what is assumed, and now before later', () => {
    expect(ids([open('small', { mastery: 0.8 }), open('wide', { mastery: 0.1 })])).toEqual(['wide', 'small']);
    expect(ids([open('assumed', { seen: false }), open('seen')])).toEqual(['seen', 'assumed']);
    expect(ids([open('later'), open('now')], 7, { later: 8, now: 7 })).toEqual(['now', 'later']);
  });
  it('names seven at most', () => expect(ids(Array.from({ length: 12 }, (_, i) => open(`s${i}`)))).toHaveLength(7));
});
