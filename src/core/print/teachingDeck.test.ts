import { describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { createRng } from '../shared/rng';
import type { Teaching } from './sheetKind';
import { layOut } from './layOut';
import { type SheetRequest } from './sheetPage';
import { sheetKindById, sheetKinds } from './registry';
import { byRule, teachingFaults, taughtWords } from './teachingDeck';

const request = (parameters: object, more: Partial<SheetRequest> = {}): SheetRequest => ({
  parameters: { ...parameters, teach: true },
  paper: 'a4',
  seed: 1,
  ink: 'colour',
  duplex: 'long',
  copies: 1,
  form: 'usual',
  mark: 'none',
  gutter: 0,
  label: '',
  country: asWritten,
  ...more,
});
const special = { low: 1, high: 10, copies: 3, takeTen: 2, turnRound: 1, passOver: 1 };
const laid = (id: string, parameters: object, more: Partial<SheetRequest> = {}) => layOut(sheetKindById(id)!, request(parameters, more));

describe('a deck that teaches itself', () => {
  it('shows each rule once in its first turns, the most common first', () => {
    const rules = ['a', 'a', 'b', 'a', 'c', 'b'];
    const found = byRule('pile', rules, createRng(3))!;
    expect(found.order.slice(0, 3).map((i) => rules[i])).toEqual(['a', 'b', 'c']);
    expect([...found.order].sort()).toEqual([0, 1, 2, 3, 4, 5]);
    expect(taughtWords(found.turns)).toEqual(['1: a', '2: b', '3: c']);
    expect(
      taughtWords([
        { cards: 2, say: 'a pair' },
        { cards: 3, say: 'a row' },
      ]),
    ).toEqual(['1 and 2: a pair', '3 to 5: a row']);
  });

  it('has nothing to show where all cards play alike, and says so', () => {
    expect(byRule('pile', ['a', 'a'], createRng(1))).toBeNull();
    const plain = laid('number-cards', { low: 1, high: 10 });
    expect(plain.ok).toBe(false);
    if (!plain.ok)
      expect([plain.problem.field, plain.problem.message]).toEqual(['parameters.teach', expect.stringContaining('play alike')]);
  });

  it('finds planted faults: a number that is missing, twice or too many, one rule twice, more than can be kept in mind', () => {
    const good: Teaching = {
      laid: 'pile',
      order: [2, 0, 1],
      turns: [
        { cards: 1, say: 'x' },
        { cards: 1, say: 'y' },
      ],
    };
    expect(teachingFaults(good, 3)).toEqual([]);
    for (const bad of [
      { ...good, order: [2, 0] },
      { ...good, order: [2, 0, 0] },
      { ...good, order: [2, 0, 3] },
      { ...good, turns: [{ cards: 1, say: 'x' }] },
      {
        ...good,
        turns: [
          { cards: 1, say: 'x' },
          { cards: 1, say: 'x' },
        ],
      },
      { ...good, turns: ['w', 'x', 'y', 'z'].map((say) => ({ cards: 1, say })) },
      {
        ...good,
        turns: [
          { cards: 2, say: 'x' },
          { cards: 2, say: 'y' },
        ],
      },
    ])
      expect(teachingFaults(bad, 3), JSON.stringify(bad)).not.toEqual([]);
  });

  it('carries its numbers on the backs, each once, behind the card they belong to, and one card that says what to do', () => {
    const found = laid('number-cards', special);
    if (!found.ok) throw new Error(found.problem.message);
    const cards = 10 * 3 + 4;
    expect(found.value.pieces).toBe(cards + 1);
    const backs = found.value.pages
      .filter((p) => p.side === 'back')
      .flatMap((p) => p.boxes.flatMap((b) => (b.text ? [Number(b.text)] : [])));
    expect([...backs].sort((a, b) => a - b)).toEqual(Array.from({ length: cards }, (_, i) => i + 1));
    // The first sheet, front and back: number 1 lies behind a number, 2 and 3 behind specials or on a later sheet.
    const words = found.value.pages.flatMap((p) => p.boxes.flatMap((b) => b.text ?? [])).join(' ');
    expect(words).toContain('1: a number. 2: take ten. 3:');
    expect(found.value.key).toEqual(['1: a number', '2: take ten', expect.stringMatching(/^3: (the other way round|pass over)$/)]);
  });

  it('has its numbers on the fronts where no backs are printed', () => {
    const found = laid('number-cards', special, { duplex: 'none' });
    if (!found.ok) throw new Error(found.problem.message);
    expect(found.value.pages.every((p) => p.side === 'front')).toBe(true);
    const words = found.value.pages.flatMap((p) => p.boxes.flatMap((b) => b.text ?? []));
    expect(words.join(' ')).toContain('the small numbers at their foot');
    expect(words).toContain('34');
  });

  it('lets the first two pair cards match, the next two not, and the fifth be the partner of the third', () => {
    const kind = sheetKindById('pair-cards')!;
    for (let seed = 1; seed < 30; seed++) {
      const p = { ...kind.example, relation: 'sum', sum: 10, rows: 4, columns: 4 };
      const made = kind.make(p, { rng: createRng(seed), country: asWritten }) as { n: number; pair: number }[];
      const { order } = kind.teaches!(made, p, createRng(seed))!;
      const [a, b, c, d, e] = order.map((i) => made[i]!);
      expect([a!.n + b!.n, c!.n + e!.n]).toEqual([10, 10]);
      expect(c!.n + d!.n).not.toBe(10);
    }
  });

  it('can be had of every kind that offers it, and stays as it was where nobody asks', () => {
    const teaching = sheetKinds.filter((k) => k.teaches);
    expect(teaching.map((k) => k.id).sort()).toEqual([
      'number-cards',
      'pair-cards',
      'set-cards',
      'story-cards',
      'target-cards',
      'task-cards',
    ]);
    const enough: Record<string, object> = {
      'number-cards': special,
      'target-cards': { leastStars: 1, mostStars: 3 },
      'task-cards': { operations: ['add', 'subtract'] },
    };
    for (const k of teaching) {
      expect(k.parametersSchema.properties, k.id).toHaveProperty('teach');
      const found = layOut(k, request(enough[k.id] ?? {}));
      expect(found.ok, `${k.id}: ${found.ok ? '' : found.problem.message}`).toBe(true);
      const usual = layOut(k, request({ ...enough[k.id] }, { parameters: { ...enough[k.id] } }));
      if (found.ok && usual.ok) expect(found.value.pieces).toBe(usual.value.pieces + 1);
    }
  });
});
