import { matchSets } from '../../../mechanisms/match-sets';
import { halves } from '../../../mechanisms/match-sets/halves';
import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/match-sets/parameters';
import { oneOf, parameters } from '../../../play/parameters';
import { below, shuffle } from '../../../shared/rng';
import { type Box, path, type Point } from '../../box';
import { drawShown, sayShown } from '../../pictures/shown';
import { sheetKind } from '../../sheetKind';
import type { Half } from '../../pictures/actShown';
import { halvesShown, someOf } from './halvesShown';

const own = parameters({ fit: oneOf('Halves fit by', ['content', 'shape'], 'content') });
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
interface Set {
  readonly halves: readonly [Half, Half];
  /** Offsets of the cut between them, in shares of its depth: no two sets have the same. */
  readonly cut: readonly number[];
}
interface Made {
  readonly sets: readonly Set[];
  /** Places of the halves when they are printed as cards, mixed so that partners do not lie side by side. */
  readonly order: readonly number[];
}

/** Teeth of a cut between two halves; three depths each give 243 different cuts. */
const teeth = 5;
const half = { w: 44, h: 60 } as const;
const joined = { w: 90, h: 46 } as const;

export default sheetKind<P, Made>({
  id: 'match-halves',
  title: 'Matching halves',
  about: 'Two halves with one worth: facts, clocks, coins, fractions, shapes, scales and more.',
  group: 'cards',
  forFamilies: ['match-sets'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => matchSets.check(p),
  make: (p, { rng }) => {
    const used = new Set<string>();
    const sets = someOf(halves[p.halves].list(p), p.sets, rng).map((match, n): Set => {
      let cut: number[];
      do cut = Array.from({ length: teeth }, () => below(rng, 3) - 1);
      while (used.has(cut.join()) || cut.every((c) => c === 0));
      used.add(cut.join());
      return { halves: halvesShown(p, match, n, rng), cut };
    });
    const order = Array.from({ length: 2 * sets.length }, (_, i) => i);
    shuffle(rng, order, order.length);
    return { sets, order };
  },
  verify: ({ sets }, p) => {
    const faults: string[] = [];
    if (sets.length !== p.sets) faults.push(`${sets.length} sets instead of ${p.sets}.`);
    sets.forEach((s, i) => {
      if (s.halves[0].worth !== s.halves[1].worth) faults.push(`${sayShown(s.halves[0].shown)} and its partner differ.`);
      sets.forEach((t, k) => {
        if (k <= i) return;
        if (s.halves[0].worth === t.halves[0].worth) faults.push(`${sayShown(s.halves[0].shown)} has two partners.`);
        if (s.cut.join() === t.cut.join()) faults.push('Two sets are cut alike.');
      });
      const told = [s.halves[0], s.halves[1]].map((h) =>
        h.shown.as === 'words' ? valueOf(h.shown.words) : h.shown.as === 'number' ? h.shown.n : null,
      );
      if (told[0] !== null && told[1] !== null && p.halves !== 'number-and-rounded' && Math.abs(told[0]! - told[1]!) > 1e-9)
        faults.push(`${sayShown(s.halves[0].shown)} is not ${sayShown(s.halves[1].shown)}.`);
    });
    return faults;
  },
  checked: ({ sets }, p) =>
    `${sets.length} sets; every half has one partner and one only.${p.fit === 'shape' ? ' Each cut has a shape of its own, so wrong halves do not fit.' : ''}`,
  draw: ({ sets, order }, p) => ({
    pieces:
      p.fit === 'shape'
        ? [
            {
              ...joined,
              count: sets.length,
              face: (n, at) => {
                const { w, h, country } = at;
                const s = sets[n]!;
                return [
                  ...drawShown(s.halves[0].shown, 3, 4, w / 2 - 8, h - 8, country),
                  ...drawShown(s.halves[1].shown, w / 2 + 5, 4, w / 2 - 8, h - 8, country),
                  cutBetween(s.cut, w, h),
                ];
              },
              back: () => [],
            },
          ]
        : [
            {
              ...half,
              count: order.length,
              marked: true,
              face: (n, { w, h, country }) => {
                const s = sets[Math.floor(order[n]! / 2)]!;
                return drawShown(s.halves[order[n]! % 2]!.shown, 4, 11, w - 8, h - 22, country);
              },
              back: () => [],
            },
          ],
  }),
  key: ({ sets }) => sets.map((s) => `${sayShown(s.halves[0].shown)} — ${sayShown(s.halves[1].shown)}`),
});

/** The line along which two halves are cut apart. */
function cutBetween(cut: readonly number[], w: number, h: number): Box {
  const points: Point[] = [[w / 2, 0]];
  cut.forEach((c, i) => {
    const [from, to] = [(h * i) / teeth, (h * (i + 1)) / teeth];
    const depth = c * 3.4;
    points.push([w / 2, from + 1], [w / 2 + depth, (from + to) / 2], [w / 2, to - 1]);
  });
  points.push([w / 2, h]);
  return { ...path(points, { line: 'soft', width: 0.3, dashed: true, frame: true }), kind: 'path' };
}

/**
 * The worth of a written expression of whole numbers, left to right with times and sharing first; null when it is none. Written
 * apart from what made it, so that one checks the other.
 */
export function valueOf(words: string): number | null {
  const tokens = words.split(' ');
  if (tokens.length % 2 === 0 || !tokens.every((t, i) => (i % 2 === 0 ? /^\d+$/.test(t) : /^[+−×÷]$/.test(t)))) return null;
  const terms: number[] = [Number(tokens[0])];
  for (let i = 1; i < tokens.length; i += 2) {
    const n = Number(tokens[i + 1]);
    if (tokens[i] === '×') terms.push(terms.pop()! * n);
    else if (tokens[i] === '÷') terms.push(terms.pop()! / n);
    else terms.push(tokens[i] === '−' ? -n : n);
  }
  return terms.reduce((x, y) => x + y, 0);
}
