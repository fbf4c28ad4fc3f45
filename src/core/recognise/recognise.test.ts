import { describe, expect, it } from 'vitest';
import { knownFamilies, recogniserWords } from '../../contract/recognise';
import rowsAsWritten from '../../../data/check-values/rows-as-written.json';
import { readyPhrase } from './cue';
import { recogniser, sureFrom } from './recognise';

interface Row {
  readonly set: string;
  readonly title: string;
  readonly notes: readonly string[];
  readonly things: string;
  readonly label: string;
  readonly acceptable: readonly (string | null)[];
}

const rows = rowsAsWritten.rows as unknown as readonly Row[];
const recognise = recogniser(knownFamilies, recogniserWords);
const sets = [...new Set(rows.map((r) => r.set))];

describe('recognising how a game is played from what its owner wrote', () => {
  it.each(sets)('finds the family of most rows of the set %s, and is sure where it may be', (set) => {
    const clear = rows.filter((r) => r.set === set && r.label === 'clear');
    const firsts = clear.map((r) => ({ r, first: recognise(r).guesses[0] }));
    const right = ({ r, first }: (typeof firsts)[number]): boolean => first !== undefined && r.acceptable.includes(first.mechanism);
    const sure = firsts.filter(({ first }) => (first?.chance ?? 0) >= sureFrom);
    expect(firsts.filter(right).length / clear.length).toBeGreaterThanOrEqual(0.7);
    expect(sure.length / clear.length).toBeGreaterThanOrEqual(0.5);
    expect(sure.filter(right).length / sure.length).toBeGreaterThanOrEqual(0.85);
  });

  it('is sure of none where no family fits', () => {
    const sure = rows.filter((r) => r.label === 'none' && (recognise(r).guesses[0]?.chance ?? 0) >= sureFrom);
    expect(sure.map((r) => r.title)).toEqual([]);
  });

  it('offers one of the two where two families would do', () => {
    const two = rows.filter((r) => r.label === 'ambiguous');
    const offered = two.filter((r) => recognise(r).guesses.some((g) => r.acceptable.includes(g.mechanism)));
    expect(offered.length / two.length).toBeGreaterThanOrEqual(0.8);
  });

  it('knows every family by its first name and by its title', () => {
    const lost = knownFamilies.filter((m) => {
      const named = (title: string): boolean => recognise({ title, notes: [], things: '' }).guesses.some((g) => g.mechanism === m.id);
      return !named(m.cues.names[0]!);
    });
    expect(lost.map((m) => m.id)).toEqual([]);
  });

  it('gives the words that decided, where they stand', () => {
    const row = { title: 'Shut the flaps', notes: ['roll, shut flaps that add up to the roll'], things: '2 dice' };
    const [first] = recognise(row).guesses;
    const words = first!.decided.map(({ field, from, to }) => [row.title, ...row.notes, row.things][field]!.slice(from, to));
    expect(words).toContain('flaps');
    expect(words.every((w) => /^[A-Za-z0-9]+$/.test(w))).toBe(true);
  });

  it('says none for a row without a word that it knows', () => {
    expect(recognise({ title: 'Ъ', notes: [], things: '' })).toEqual({ guesses: [], none: 1 });
  });

  it('lets things alone decide nothing surely', () => {
    const onlyThings = recognise({ title: 'Box 7', notes: [], things: 'wooden flap box, 2 dice' });
    expect(onlyThings.guesses[0]?.chance ?? 0).toBeLessThan(sureFrom);
  });

  it('shares all chance between the families and none', () => {
    for (const r of rows.slice(0, 40)) {
      const { guesses, none } = recognise(r);
      const sum = guesses.reduce((s, g) => s + g.chance, none);
      expect(sum).toBeGreaterThan(0.5);
      expect(sum).toBeLessThanOrEqual(1 + 1e-9);
      expect(guesses.map((g) => g.chance)).toEqual(guesses.map((g) => g.chance).sort((x, y) => y - x));
    }
  });

  it('has words for every family that can be read', () => {
    for (const { id, cues } of knownFamilies) {
      expect([id, cues.names.length > 3, cues.signs.length > 5]).toEqual([id, true, true]);
      const phrases = [...cues.names, ...[...cues.signs, ...(cues.values ?? []), ...(cues.numbers ?? [])].map(([phrase]) => phrase)];
      for (const phrase of phrases) expect(() => readyPhrase(phrase, recogniserWords.ideas)).not.toThrow();
    }
  });
});
