import { describe, expect, it } from 'vitest';
import { asWritten } from './countries';
import { gradesOfSkill } from '../core/skills/gradesOfSkill';
import { mechanismById, mechanisms } from '../core/mechanisms/registry';
import { sortOf } from '../core/mechanisms/character';
import { materialsOf, preparationOf } from '../core/mechanisms/versionFacts';
import { isAim } from '../core/skills/narrower';
import { gameCanAimAt } from '../core/skills/skill';
import { usualSeats } from '../core/simulate/usualSeats';
import { profileSummary } from '../core/simulate/profileSummary';
import { courseOf } from '../core/simulate/course';
import { courseGames } from '../core/simulate/fairness';
import { Simulation } from '../core/simulate/simulation';
import { simulationResult } from '../core/simulate/simulationResult';
import { ENGINE } from '../core/simulate/simulation';
import { checkTable } from './parameters';
import { shippedGraph, shippedKinds } from './shippedData';
import { firstThirty, libraryPrecision, librarySeed, shippedLibrary, shippedProfile } from './shippedLibrary';

const all = shippedLibrary.flatMap((game) => game.variants.map((variant) => ({ game, variant, name: `${game.id}/${variant.id}` })));

/** Versions whose first seat is known to be the better one: lines, takings and cards that run out cannot be played out to the round. */
const unevenSeats = [
  'any-spare-wire/fourteens',
  'matching-shades/pairs-of-forms',
  'all-hands-to-the-lamps/tallies-in-turn',
  'both-sides-of-the-line/with-wild-cards',
  'coal-and-water/plus-and-minus',
  'lonely-numbers/no-lonely-ones',
  'four-lamps-in-a-row/to-six',
  'two-switches/sums-to-twelve',
];

describe('the shipped library', () => {
  it('holds sixty games and a hundred and fifty versions, two games at least of every family', () => {
    expect(shippedLibrary.length).toBeGreaterThanOrEqual(123);
    expect(all.length).toBeGreaterThanOrEqual(338);
    for (const m of mechanisms) expect([m.id, shippedLibrary.filter((g) => g.mechanism === m.id).length >= 2]).toEqual([m.id, true]);
    expect(new Set(shippedLibrary.map((g) => g.id)).size).toBe(shippedLibrary.length);
  });

  it('has sixty versions and more that practise what grades four to six ask, forty for shapes, measures and data', () => {
    const graph = shippedGraph();
    const ofGrades = all.filter(({ game, variant }) =>
      (shippedProfile(game.id, variant.id)?.doses ?? []).some(
        ([skill, dose]) => dose >= doseOfIdeas && gradesOfSkill(graph.skills[graph.indexOf.get(skill)!]!).some((grade) => grade >= 4),
      ),
    );
    expect(ofGrades.length).toBeGreaterThanOrEqual(60);
    const shapesAndMeasures = ['Shapes and patterns', 'Measuring, time and money'];
    expect(all.filter(({ game }) => shapesAndMeasures.includes(game.bin)).length).toBeGreaterThanOrEqual(40);
  });

  it('is for the ages of what it practises: nobody is sent to what was wanted more than three years before', () => {
    // What is thought out in these is far ahead of the numbers in them.
    const thoughtOut = ['deal-order-puzzle', 'take-away-piles'];
    const graph = shippedGraph();
    for (const { game, variant, name } of all) {
      const wanted = (shippedProfile(game.id, variant.id)?.doses ?? [])
        .filter(([, dose]) => dose >= 0.5)
        .map(([skill]) => graph.skills[graph.indexOf.get(skill)!]!.wantedAt.us);
      if (wanted.length === 0 || thoughtOut.includes(game.mechanism)) continue;
      expect([name, variant.ages[1] <= Math.max(...wanted) + 3.01]).toEqual([name, true]);
    }
  });

  it('has two versions at least for every step that a game can aim at', () => {
    const graph = shippedGraph();
    const met = new Map<string, number>();
    for (const { game, variant } of all)
      for (const [skill, dose] of shippedProfile(game.id, variant.id)?.doses ?? []) {
        const nature = graph.skills[graph.indexOf.get(skill)!]!.nature;
        if (dose >= (nature === 'by-heart' || nature === 'method' ? doseOfFacts : doseOfIdeas)) met.set(skill, (met.get(skill) ?? 0) + 1);
      }
    const aims = graph.skills.filter((s, k) => gameCanAimAt(s) && isAim(graph, k));
    expect(aims.filter((s) => (met.get(s.id) ?? 0) === 0).map((s) => s.id)).toEqual([]);
    expect(aims.filter((s) => met.get(s.id) === 1).map((s) => s.id)).toEqual([]);
    // What no item can show says why; at most twelve steps.
    const without = graph.skills.filter((s) => s.predicate === null);
    expect(without.length).toBeLessThanOrEqual(12);
    for (const s of without) expect(s.whyNoItems!.length).toBeGreaterThan(20);
  });

  it.each(all.map((v) => [v.name, v] as const))(
    '%s ends in its stated minutes, nine times of ten, and wastes few turns',
    (_, { game, variant }) => {
      const profile = shippedProfile(game.id, variant.id)!;
      expect(profile.minutes[2]).toBeLessThanOrEqual(variant.minutes);
      expect(variant.minutes).toBeLessThanOrEqual(variant.ages[1] <= 8 ? longestForYoung : longest);
      expect(profile.idleTurns).toBeLessThanOrEqual(mostIdle);
    },
  );

  const contested = all.flatMap(({ game, variant, name }) => {
    const profile = shippedProfile(game.id, variant.id)!;
    return profile.course ? [{ name, mechanism: game.mechanism, waiting: profile.waiting, ...profile.course }] : [];
  });
  it.each(contested.map((c) => [c.name, c] as const))('%s stays open, for every seat', (name, { known, level, weakest, waiting }) => {
    // The winner is not known before 60 of 100 turns in half of the games; waiting stays under 70 of 100.
    expect(known).toBeGreaterThanOrEqual(0.6);
    expect(waiting).toBeLessThanOrEqual(0.7);
    // Somebody wins now and then, or it is no contest.
    expect(level).toBeLessThan(0.95);
    // Seven tenths of an even share for the weakest seat, as far as the games can tell.
    if (!unevenSeats.includes(name)) expect(weakest[0] + 2 * weakest[1]).toBeGreaterThanOrEqual(0.7);
  });
  it('knows who stands where after every turn', () => {
    expect(contested.length).toBeGreaterThan(300);
    expect(unevenSeats.length).toBeLessThanOrEqual(10);
    for (const name of unevenSeats) expect(contested.find((c) => c.name === name)!.weakest[0], name).toBeLessThan(0.75);
    const still = [...new Set(contested.map((c) => c.mechanism))].filter((id) =>
      contested.every((c) => c.mechanism !== id || c.leadChanges === 0),
    );
    // Piles that are taken away have no score: whoever takes the last has won.
    expect(still).toEqual(['take-away-piles']);
  });

  it('has no two versions with the same numbers and rules', () => {
    const keys = all.map(({ game, variant }) => {
      const full = { ...mechanismById(game.mechanism)!.defaults, ...variant.parameters };
      return `${game.mechanism} ${JSON.stringify(Object.entries(full).sort(([x], [y]) => (x < y ? -1 : 1)))}`;
    });
    const twice = keys.filter((k, i) => keys.indexOf(k) !== i);
    expect(twice).toEqual([]);
  });

  it.each(all.map((v) => [v.name, v] as const))('%s can be played, has rules, things and a profile', (name, { game, variant }) => {
    const table = checkTable(game.mechanism, variant.parameters, usualSeats(variant.players));
    expect(table.ok ? null : table.problem).toBeNull();
    expect(variant.ages[0]).toBeLessThanOrEqual(variant.ages[1]);
    if (!table.ok) return;
    const { mechanism } = table.value;
    const things = materialsOf(mechanism, variant.parameters, usualSeats(variant.players));
    for (const thing of things) expect(shippedKinds.map((k) => k.id)).toContain(thing.kind);
    const profile = shippedProfile(game.id, variant.id)!;
    expect(profile, name).toBeDefined();
    expect(profile.engine, 'run npm run profiles').toBe(ENGINE);
    expect(profile.seed).toBe(librarySeed);
    expect(profile.turns.standardError).toBeLessThanOrEqual(0.021 * profile.turns.mean);
    // Fits the slot it names: most games end within half as much again.
    expect(profile.minutes[1], `${name} takes ${profile.minutes[1]} minutes`).toBeLessThan(variant.minutes * 2);
  });

  it.each(all.filter((_, i) => i % 17 === 3).map((v) => [v.name, v] as const))(
    '%s is profiled anew to the same numbers',
    (_name, { game, variant }) => {
      const table = checkTable(game.mechanism, variant.parameters, usualSeats(variant.players));
      if (!table.ok) throw new Error(table.problem.message);
      const sim = new Simulation(table.value.mechanism, table.value.seats, shippedGraph(), {
        seed: librarySeed,
        precision: libraryPrecision,
      });
      while (!sim.advance());
      const course = courseOf(table.value.mechanism, table.value.seats, librarySeed, courseGames);
      expect(profileSummary(simulationResult(sim), course)).toEqual(shippedProfile(game.id, variant.id));
    },
  );

  it.each(all.filter(({ game, variant }) => named(variant.title, game.id).length > 0).map((v) => [v.name, v] as const))(
    '%s practises what its name says, or waits by name',
    (name, { game, variant }) => {
      const doses = new Map((shippedProfile(game.id, variant.id)?.doses ?? []).map(([skill, mean]) => [skill, mean] as const));
      const met = named(variant.title, game.id).every(
        (begins) => [...doses].reduce((sum, [skill, mean]) => sum + (begins.test(skill) ? mean : 0), 0) >= leastOfName,
      );
      expect([name, met]).toEqual([name, !waiting.includes(name)]);
    },
  );
  it('practises something in every version, but for those that wait', () => {
    const without = all
      .filter(({ game, variant }) => !(shippedProfile(game.id, variant.id)?.doses ?? []).some(([, mean]) => mean >= leastPractice))
      .map((v) => v.name);
    for (const name of without) expect(waiting).toContain(name);
  });
  it('has thirty to begin with: of dice, cards and paper, for kindergarten to grade four, of few rule sets', () => {
    const first = all.filter((v) => firstThirty.includes(v.name));
    expect([firstThirty.length, first.length]).toEqual([30, 30]);
    const simple = /die|deck|cards|paper|pencils|counters|column-sheet|recording-sheet|cup|tray|stand|chart|line|pegs/;
    for (const { game, variant, name } of first) {
      const m = mechanismById(game.mechanism)!;
      for (const need of materialsOf(m, variant.parameters, 3))
        expect([name, need.kind, simple.test(need.kind)]).toEqual([name, need.kind, true]);
      expect([name, variant.ages[0] <= 9]).toEqual([name, true]);
      // A page to write on at most: nothing to cut out before the first evening.
      const work = preparationOf(m, variant.parameters, 3, asWritten).map((step) => step.sort);
      expect([name, work.filter((sort) => sort !== 'print')]).toEqual([name, []]);
      expect(sortOf(game.mechanism)).toBe('game');
    }
    expect(new Set(first.map((v) => v.game.mechanism)).size).toBeLessThanOrEqual(18);
  });
  it('lists nothing as waiting that is not there', () => {
    for (const name of waiting) expect(all.map((v) => v.name)).toContain(name);
  });
});

/** Chances in ten minutes that make a game one for a fact or a method, and for an idea, a story or a figure. */
const [doseOfFacts, doseOfIdeas] = [3, 1];
/** Minutes of the longest version, for those up to eight years too, and share of turns in which nothing can be done. */
const [longest, longestForYoung, mostIdle] = [20, 15, 0.35];

/** Chances in ten minutes below which nothing is practised. */
const leastPractice = 1;
/** What a name promises is more than met in passing. */
const leastOfName = 1.5;

/** Skills, by how their ids begin, that words in a version's name promise. */
const promises: readonly (readonly [RegExp, RegExp])[] = [
  [/half hours later/, /^elapsed-/],
  [/^half hours$/, /^clock-half/],
  [/five minutes/, /^clock-five/],
  [/\b(in|by) twos\b/, /^skip-2/],
  [/\b(in|by) fives\b/, /^skip-5/],
  [/back by tens/, /^skip-10/],
  [/twenty-fives|by thousands/, /^(skip|count|add)-/],
  [
    /^halves$|eighths|twelfths|three of a kind|fractions/,
    /^(fraction-|percent|simplify|halves|unit-fractions|name-fractions|equal-fractions|equal-easy|compare-like|compare-unlike|add-like|wholes)/,
  ],
  [/row by row|sides times/, /^(area|rows)/],
  [/rounding|nearest|rounded/, /^(round-|decimal-round)/],
  [/differences$/, /^take-/],
  [/^sums|cards, sums/, /^add-/],
  [/products/, /^times-/],
  [/quarter turns/, /^turns/],
  [/below zero|colder/, /^(negative|temperature)/],
];
const named = (title: string, game: string): RegExp[] =>
  // A game that lays edges or beams side by side is named by its numbers, not by its steps.
  promises.flatMap(([word, begins]) =>
    word.test(title) && !['hedgerow-tiles', 'points-and-crossings', 'mill-wheel'].includes(game) ? [begins] : [],
  );

/** Versions whose step does not exist yet, or whose items meet none; each must leave this list when it does. */
const waiting: readonly string[] = [
  'lamp-oil-ten/halves',
  'the-conductors-packet/falling-by-fives',
  'countdown-to-departure/back-by-tens',
  'paving-the-platform/row-by-row',
];
