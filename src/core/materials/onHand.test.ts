import { describe, expect, it } from 'vitest';
import { type Counted, hereOf, onHand, plenty, stateOf } from './onHand';

const thing = (more: Partial<Counted> = {}): Counted => ({ quantity: 0, told: null, plentiful: false, loans: [], ...more });
const ash = { who: 'Ash', quantity: 2, until: '2026-12-09' };

describe('how many there are', () => {
  it.each<[string, Partial<Counted>, string, number]>([
    ['nobody counted', {}, 'unsure', plenty],
    ['nobody counted what is always at hand', { plentiful: true }, 'plenty', plenty],
    ['three were typed before anybody asked', { quantity: 3 }, 'number', 3],
    ['three were counted', { quantity: 3, told: 'number' }, 'number', 3],
    ['none were counted', { quantity: 0, told: 'number' }, 'none', 0],
    ['even of what is usually plenty', { quantity: 0, told: 'number', plentiful: true }, 'none', 0],
    ['plenty', { quantity: 3, told: 'plenty' }, 'plenty', plenty],
    ['not sure any more', { quantity: 3, told: 'unsure' }, 'unsure', plenty],
    ['one of three is here', { quantity: 3, told: 'number', loans: [ash] }, 'number', 1],
    ['all are lent', { quantity: 2, told: 'number', loans: [ash] }, 'none', 0],
    ['more are lent than there were', { quantity: 1, told: 'number', loans: [ash] }, 'none', 0],
  ])('%s', (_, more, state, count) => {
    expect(stateOf(thing(more))).toBe(state);
    expect(onHand(thing(more))).toBe(count);
  });
  it('counts what is here apart from what is ours', () => {
    expect(hereOf(thing({ quantity: 5, loans: [ash, { ...ash, quantity: 1 }] }))).toBe(2);
  });
});
