import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { prepSorts } from '../materials/gettingReady';
import { readSteps, readUses, stepsText, usesText } from './prepText';

const words = fc.stringMatching(/^(?:[a-z]{1,8}(?: [a-z]{1,8}){0,3})?$/);
const amount = fc.integer({ min: 0, max: 9990 }).map((n) => n / 10);

describe('getting ready in a cell', () => {
  it('comes back as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ sort: fc.constantFrom(...prepSorts), what: words, minutes: amount }), { maxLength: 6 }), (steps) => {
        expect(readSteps(stepsText(steps))).toEqual({ read: steps, unread: [] });
      }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.record({ what: words.filter((w) => w !== ''), quantity: amount, cost: fc.option(amount) }), { maxLength: 6 }),
        (uses) => {
          expect(readUses(usesText(uses))).toEqual({ read: uses, unread: [] });
        },
      ),
    );
  });
  it('is read as people write it, and tells what it cannot read', () => {
    expect(readSteps('Cut 4 minutes: the cards\nbag 1,5 min; iron 3 min; print').read).toEqual([
      { sort: 'cut', what: 'the cards', minutes: 4 },
      { sort: 'bag', what: '', minutes: 1.5 },
    ]);
    expect(readSteps('iron 3 min; print; cut 2000 min').unread).toEqual(['iron 3 min', 'print', 'cut 2000 min']);
    expect(readUses('2 Sheets of card (0,40); card; 1 pouch')).toEqual({
      read: [
        { what: 'Sheets of card', quantity: 2, cost: 0.4 },
        { what: 'pouch', quantity: 1, cost: null },
      ],
      unread: ['card'],
    });
    // What would part a cell does not.
    expect(readSteps(stepsText([{ sort: 'cut', what: 'cards; lids', minutes: 2 }])).read).toEqual([
      { sort: 'cut', what: 'cards, lids', minutes: 2 },
    ]);
  });
});
