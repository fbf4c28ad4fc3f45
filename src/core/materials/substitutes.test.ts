import { describe, expect, it } from 'vitest';
import { shippedKinds, shippedSubstitutes } from '../../contract/shippedData';
import { checkSubstitutes, type Substitute, withStandIns } from './substitutes';

const have =
  (stock: Record<string, number>) =>
  (kind: string): number =>
    stock[kind] ?? 0;
const plain: Substitute = { for: 'deck', use: 'cards', per: 'each', minutes: 0, say: 'Take out the faces.', effect: { sort: 'none' } };

describe('what stands in for what', () => {
  it('takes the thing itself where there are enough, else what will do', () => {
    expect(withStandIns([{ kind: 'deck', quantity: 1 }], have({ deck: 1, cards: 2 }), [plain])).toEqual({
      needs: [{ kind: 'deck', quantity: 1 }],
      standIns: [],
    });
    expect(withStandIns([{ kind: 'deck', quantity: 2 }], have({ deck: 1, cards: 2 }), [plain])).toEqual({
      needs: [{ kind: 'cards', quantity: 2 }],
      standIns: [{ instead: 'deck', use: 'cards', say: 'Take out the faces.' }],
    });
  });
  it('leaves what can be had neither way as it is, so that it is told', () => {
    expect(withStandIns([{ kind: 'deck', quantity: 2 }], have({ cards: 1 }), [plain])).toEqual({
      needs: [{ kind: 'deck', quantity: 2 }],
      standIns: [],
    });
  });
  it('does not give one pack twice: what the game needs for itself comes first', () => {
    const needs = [
      { kind: 'deck', quantity: 1 },
      { kind: 'cards', quantity: 1 },
    ];
    expect(withStandIns(needs, have({ cards: 1 }), [plain]).standIns).toEqual([]);
    expect(withStandIns(needs, have({ cards: 2 }), [plain]).needs).toEqual([{ kind: 'cards', quantity: 2 }]);
    // What is left over is enough, however many the game takes for itself.
    const more = [needs[0]!, { kind: 'cards', quantity: 2 }];
    expect(withStandIns(more, have({ cards: 3 }), [plain]).needs).toEqual([{ kind: 'cards', quantity: 3 }]);
    expect(withStandIns(more, have({ cards: 2 }), [plain]).standIns).toEqual([]);
  });
  it('counts one for a table or ten for each, and needs nothing for what every house has', () => {
    const die = { ...plain, for: 'die', use: 'pack', per: 'table' as const };
    expect(withStandIns([{ kind: 'die', quantity: 3 }], have({ pack: 1 }), [die]).needs).toEqual([{ kind: 'pack', quantity: 1 }]);
    const rods = { ...plain, for: 'rods', use: 'cubes', per: 'ten' as const };
    expect(withStandIns([{ kind: 'rods', quantity: 3 }], have({ cubes: 29 }), [rods]).standIns).toEqual([]);
    expect(withStandIns([{ kind: 'rods', quantity: 3 }], have({ cubes: 30 }), [rods]).needs).toEqual([{ kind: 'cubes', quantity: 30 }]);
    const lid = { ...plain, for: 'tray', use: null };
    expect(withStandIns([{ kind: 'tray', quantity: 1 }], have({}), [lid])).toEqual({
      needs: [],
      standIns: [{ instead: 'tray', use: null, say: 'Take out the faces.' }],
    });
  });
  it.each<[string, Partial<Substitute>, string | null]>([
    ['that takes long to get ready', { minutes: 3 }, null],
    ['that is another practice', { effect: { sort: 'practice', say: 'No spots.' } }, null],
    ['with numerals for spots', { numerals: true }, null],
    ['in a family where it will not do', { notIn: ['spill'] }, 'spill'],
  ])('is not taken for granted: one %s', (_, more, mechanism) => {
    const asked = withStandIns([{ kind: 'deck', quantity: 1 }], have({ cards: 1 }), [{ ...plain, ...more }], mechanism);
    expect(asked.standIns).toEqual([]);
    const said = withStandIns([{ kind: 'deck', quantity: 1 }], have({ cards: 1 }), [{ ...plain, ...more }], mechanism, () => true);
    // The owner may say that it will do, except where it cannot be played with.
    expect(said.standIns).toHaveLength(mechanism ? 0 : 1);
  });
  it('goes no round: what stands in has to be there itself', () => {
    const circle = [plain, { ...plain, for: 'cards', use: 'deck' }];
    expect(withStandIns([{ kind: 'deck', quantity: 1 }], have({}), circle)).toEqual({
      needs: [{ kind: 'deck', quantity: 1 }],
      standIns: [],
    });
  });
});

describe('the shipped list', () => {
  it('names things that are there, none for itself and none twice', () => {
    const kinds = new Set(shippedKinds.map((k) => k.id));
    expect(() => checkSubstitutes(shippedSubstitutes, kinds)).not.toThrow();
    expect(() => checkSubstitutes([plain], kinds)).toThrow('There is no thing "deck".');
    expect(() => checkSubstitutes([plain, plain], new Set(['deck', 'cards']))).toThrow('stands twice');
    expect(() => checkSubstitutes([{ ...plain, use: 'deck' }], new Set(['deck']))).toThrow('stands in for itself');
  });
  it('makes a kitchen table of dice, playing cards and paper do for number decks and sheets', () => {
    const kitchen = have({ 'playing-cards': 2, 'pip-die': 6, paper: 9999, pencils: 9999 });
    const needs = [
      { kind: 'number-deck-1-10', quantity: 2 },
      { kind: 'dice-tray', quantity: 1 },
      { kind: 'recording-sheet', quantity: 3 },
    ];
    expect(withStandIns(needs, kitchen, shippedSubstitutes).needs).toEqual([
      { kind: 'playing-cards', quantity: 2 },
      { kind: 'paper', quantity: 3 },
    ]);
  });
});
