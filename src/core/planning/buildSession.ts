import { sortOf } from '../mechanisms/character';
import { atTable, likelyPlayers } from '../recommend/atTable';
import type { LearnerNeeds } from '../recommend/learnerNeeds';
import { isKnown, type Offer } from '../recommend/offer';
import { practised } from '../recommend/practised';
import { groupBy } from '../recommend/recommend';
import { expectedSuccess, gainOf, gateOf, lengthSlack, likingOf, tooHardAlone, valueOf } from '../recommend/valueOf';
import type { SkillGraph } from '../skills/skillGraph';
import type { PlanInstance, PlanLock } from './instance';
import { mostForWait, type WishContext, type Wishes, withWishes } from './wishes';

/** A game as one way of sharing a table: variants whose players can sit together. */
export interface TableOption {
  readonly game: string;
  readonly offers: readonly Offer[];
  /** Somebody sits beside: open to those for whom the game alone would be too hard, and it binds a helper. */
  readonly beside: boolean;
  /** A grown-up takes one of the seats, and is bound by it. */
  readonly grownUp?: boolean;
}

export interface SessionSettings {
  readonly rounds: number;
  readonly minutes: number;
  readonly tables: number;
  readonly helpers: number;
  /** Who sits beside where a game is hard is left to the organiser; it is when there are no helpers. */
  readonly besideFree?: boolean;
  /** A grown-up may take a seat where a game wants one player more; always so where a child is alone. */
  readonly grownUp?: boolean;
  readonly preparationMinutes: number;
  /** How often a child may play the same game; once where nothing is said. */
  readonly timesEach?: number;
  /** Nothing on the shelf is left out, however large it is: what was chosen by hand has to be found. */
  readonly everyGame?: boolean;
  readonly stock: ReadonlyMap<string, number>;
  readonly plentiful: ReadonlySet<string>;
  /** Days since each time a learner played a game, by `learner|game`. */
  readonly daysSincePlayed: ReadonlyMap<string, readonly number[]>;
  readonly wishes?: Wishes;
  readonly rested?: WishContext['rested'];
  readonly satTogether?: WishContext['satTogether'];
  readonly keep?: WishContext['keep'];
  readonly keepShare?: WishContext['keepShare'];
  readonly locks: readonly { readonly learner: string; readonly round: number; readonly game: string }[];
  readonly resting: readonly { readonly learner: string; readonly round: number }[];
}

export interface BuiltSession {
  readonly instance: PlanInstance;
  readonly options: readonly TableOption[];
  /** Offer that learner l would play at option g; null where barred. */
  readonly chosen: readonly (readonly (Offer | null)[])[];
  /** Skill index behind each gap of a learner. */
  readonly gapSkills: readonly (readonly number[])[];
  /** Seats at which somebody has to sit beside: the game is hard for this child, and nothing easier is to be had of it. */
  readonly stretched: readonly (readonly boolean[])[];
  readonly kinds: readonly string[];
  /** Ways to share a game that a session on a large shelf does not look at closely. */
  readonly passedOver: number;
}

/** Steps of a learner that the model holds at most: those that games here could do most for. */
const gapsPerLearner = 48;
/** The gain of chances, 12·ln(1 + chances/12), as pieces of so many chances each; what lies beyond counts nothing. */
const chancesPerUnit = 8;
const pieces = 4;
const unitGain = gainOf(chancesPerUnit);
const slopes = Array.from({ length: pieces }, (_, i) => (gainOf((i + 1) * chancesPerUnit) - gainOf(i * chancesPerUnit)) / unitGain);
/** Worth of a game for its own sake, in chances that fit at a step of full need: something fresh. */
const freshWorth = 0.05;
const freshDays = 14;
/** Each time a game was played takes this part of its worth, less the longer ago, and no more than `mostStale` in all. */
const perPlay = 0.1;
const staleDays = 21;
const mostStale = 0.6;
const plenty = 9999;
const leastTogether = 2;

/** Turns shelf and learners into the instance that the planner solves. */
export function buildSession(
  graph: SkillGraph,
  offers: readonly Offer[],
  learners: readonly LearnerNeeds[],
  settings: SessionSettings,
): BuiltSession {
  const players = likelyPlayers(learners.length, settings.tables);
  const playable = offers
    .filter((o) => isKnown(o) && o.minutes <= settings.minutes * lengthSlack)
    .map((o) => atTable(o, players, settings.minutes));
  const alone: TableOption[] = [...groupBy(playable, (o) => `${o.game}|${o.mixClass}`).values()].map((group) => ({
    game: group[0]!.game,
    offers: group,
    beside: false,
  }));
  const everything = learners.map((l) => alone.map((o) => bestOffer(graph, o, l, settings.minutes)));
  const keepers = worthConsidering(alone, everything, learners, settings);
  const found = everything.map((row) => keepers.map((i) => row[i]!));
  const places = withGrownUp(
    withBeside(
      keepers.map((i) => alone[i]!),
      found,
      learners,
      settings,
    ),
    found,
    learners,
    settings,
  );
  const options = places.map(({ option }) => option);
  const kinds = [...new Set(playable.flatMap((o) => o.materials.map((m) => m.kind)))].sort();
  const kindIndex = new Map(kinds.map((k, i) => [k, i]));
  const families = new Map<string, number>();
  for (const o of options) if (!families.has(o.game)) families.set(o.game, families.size);
  const helped = bindsBeside(settings);
  const best = found.map((row) =>
    places.map(({ option, of }) => (row[of]!.beside && helped && !option.beside && !option.grownUp ? nothing : row[of]!)),
  );
  const chosen = best.map((row) => row.map((c) => c.offer));
  const stretched = best.map((row) => row.map((c) => c.beside));
  const gapSkills = learners.map((l, i) => servedNeeds(l, chosen[i]!, settings.minutes));
  const locks = locksOf(settings.locks, learners, options, chosen);
  const plain: PlanInstance = {
    learners: learners.length,
    rounds: settings.rounds,
    tables: settings.tables,
    helpers: settings.helpers,
    preparationMinutes: settings.preparationMinutes,
    ...(settings.timesEach ? { timesEach: settings.timesEach } : {}),
    stock: kinds.map((k) => (settings.plentiful.has(k) ? plenty : (settings.stock.get(k) ?? 0))),
    slopes,
    games: options.map((o) => ({
      ...sizesOf(o, learners.length, settings),
      materials: materialsOf(o.offers).map(([k, q]): [number, number] => [kindIndex.get(k)!, q]),
      helper: o.beside || o.grownUp || o.offers.some((v) => v.helper === 'needed') ? 1 : 0,
      preparation: Math.max(...o.offers.map((v) => v.preparationMinutes)),
      family: families.get(o.game)!,
      ...(o.offers.some((v) => (v.room ?? 'calm') !== 'calm') ? { loud: true } : {}),
    })),
    gaps: gapSkills.map((list, l) => list.map((k) => learners[l]!.need[k]! * unitGain)),
    value: learners.map((l, i) =>
      options.map((o, g) => {
        const offer = chosen[i]![g];
        if (!offer) return -1;
        // New is a treat where it is a game.
        return sortOf(offer.mechanism) === 'practice' ? 0 : freshWorth * freshness(settings.daysSincePlayed.get(`${l.learner}|${o.game}`));
      }),
    ),
    dose: learners.map((l, i) =>
      options.map((o, g) => {
        const offer = chosen[i]![g];
        if (!offer) return null;
        const worth = likingOf(offer, l.likings) * notStale(settings.daysSincePlayed.get(`${l.learner}|${o.game}`));
        return dosesFor(offer, l, gapSkills[i]!, settings.minutes, worth);
      }),
    ),
    locks,
    resting: settings.resting.flatMap(({ learner, round }): [number, number][] => {
      const l = learners.findIndex((x) => x.learner === learner);
      return l < 0 ? [] : [[l, round]];
    }),
  };
  const gameIds = options.map((o) => o.game);
  const instance = withWishes(plain, gameIds, { ...settings, learners: learners.map((l) => l.learner) });
  return { instance, options, chosen, gapSkills, stretched, kinds, passedOver: alone.length - keepers.length };
}

/** On a shelf with more ways of sharing a game than this, a session considers those that could do most for somebody. */
const considered = 240;
/** Games kept for each child, the best for that child alone; and games that most can share, so that all find a table. */
const bestForEach = 30;
const sharedByMost = 40;

/** Which ways of sharing a game a session considers, by index: all of them on a usual shelf. */
function worthConsidering(
  alone: readonly TableOption[],
  found: readonly (readonly Chosen[])[],
  learners: readonly LearnerNeeds[],
  settings: SessionSettings,
): number[] {
  const all = alone.map((_, i) => i);
  if (settings.everyGame || alone.length <= considered) return all;
  const locked = new Set([...settings.locks.map((k) => k.game), ...(settings.keep ?? []).flatMap((round) => [...round.values()])]);
  const keep = new Set(all.filter((i) => locked.has(alone[i]!.game)));
  const first = (worth: (i: number) => number, count: number): void => {
    const listed = all.map((i) => ({ i, worth: worth(i) })).filter((x) => x.worth > 0);
    for (const { i } of listed.sort((x, y) => y.worth - x.worth || x.i - y.i).slice(0, count)) keep.add(i);
  };
  const worths = learners.map((l, n) =>
    found[n]!.map(({ offer, beside }, i) => {
      if (!offer || (beside && bindsBeside(settings))) return 0;
      const days = settings.daysSincePlayed.get(`${l.learner}|${alone[i]!.game}`);
      return freshWorth * freshness(days) + valueOf(offer, l, settings.minutes) * notStale(days);
    }),
  );
  for (const row of worths) first((i) => row[i]!, bestForEach);
  first((i) => worths.reduce((sum, row) => sum + (row[i]! > 0 ? 1 + row[i]! / 1000 : 0), 0), sharedByMost);
  // What a child could play only with somebody beside stays too, where it is the best there is.
  first(
    (i) => learners.reduce((sum, l, n) => (found[n]![i]!.beside ? sum + valueOf(found[n]![i]!.offer!, l, settings.minutes) : sum), 0),
    mostBeside,
  );
  return [...keep].sort((x, y) => x - y);
}

/** The steps that the games open to a learner could do most for, the most first. */
function servedNeeds(l: LearnerNeeds, chosen: readonly (Offer | null)[], minutes: number): number[] {
  const best = new Map<number, number>();
  for (const offer of chosen) {
    if (!offer) continue;
    for (const k of practised(offer.doses)) {
      const gain = l.need[k]! * gainOf((l.fit[k]! * offer.doses[k]! * minutes) / 10);
      if (gain > (best.get(k) ?? leastGain)) best.set(k, gain);
    }
  }
  return [...best]
    .sort((x, y) => y[1] - x[1] || x[0] - y[0])
    .slice(0, gapsPerLearner)
    .map(([k]) => k);
}
/** What a game does for a step counts from here on. */
const leastGain = 0.02;

/** A version for one learner at one game, and whether it is so hard that somebody has to sit beside. */
interface Chosen {
  readonly offer: Offer | null;
  readonly beside: boolean;
}

const bindsBeside = ({ helpers, besideFree = false }: SessionSettings): boolean => helpers > 0 && !besideFree;
const nothing: Chosen = { offer: null, beside: false };
/** Ways with somebody beside that a session considers: those that could do most. */
const mostBeside = 24;

/**
 * Every way of sharing a game, and again with a helper bound to it where it would be too hard for some alone, for
 * those that could do most. Where there are no helpers it is left to the organiser who sits beside.
 */
function withBeside(
  alone: readonly TableOption[],
  found: readonly (readonly Chosen[])[],
  learners: readonly LearnerNeeds[],
  settings: SessionSettings,
): { readonly option: TableOption; readonly of: number }[] {
  const places = alone.map((option, of) => ({ option, of }));
  if (!bindsBeside(settings)) return places;
  const hard = places
    .filter(({ of }) => found.some((row) => row[of]!.beside))
    .map((place) => ({ option: { ...place.option, beside: true }, of: place.of, worth: worthToAll(place, found, learners, settings) }))
    .sort((x, y) => y.worth - x.worth || x.of - y.of)
    .slice(0, mostBeside);
  return [...places, ...hard];
}

/** Fewest and most children at a table. Nobody sits alone while others play, even where a game could be played alone. */
function sizesOf(o: TableOption, children: number, { wishes }: SessionSettings): { min: number; max: number } {
  const fewest = Math.max(...o.offers.map((v) => v.players[0]));
  const most = mostForWait(o.offers, Math.min(...o.offers.map((v) => v.players[1])), wishes?.longestWait);
  // With a grown-up as one of them nobody is alone, and one seat fewer is for children.
  if (o.grownUp) return { min: Math.max(1, fewest - 1), max: Math.max(1, most - 1) };
  return { min: Math.max(Math.min(leastTogether, children), fewest), max: most };
}

/** Ways with a grown-up in a seat that a session considers: those that could do most. */
const mostGrownUp = 60;

/** Where a grown-up may play along: every way of sharing a game that wants two players or more, again with one seat taken. */
function withGrownUp(
  places: { readonly option: TableOption; readonly of: number }[],
  found: readonly (readonly Chosen[])[],
  learners: readonly LearnerNeeds[],
  settings: SessionSettings,
): { readonly option: TableOption; readonly of: number }[] {
  // Where there is no helper this does not seat a child who is alone, but then it is known that one would.
  if (learners.length > 1 && (settings.helpers === 0 || !settings.grownUp)) return places;
  const more = places
    .filter(({ option }) => !option.beside && option.offers.every((o) => o.players[1] >= leastTogether))
    .map((place) => ({ ...place, worth: worthToAll(place, found, learners, settings) }))
    .filter(({ worth }) => worth > 0)
    .sort((x, y) => y.worth - x.worth || x.of - y.of)
    .slice(0, settings.everyGame ? Infinity : mostGrownUp);
  return [...places, ...more.map(({ option, of }) => ({ option: { ...option, grownUp: true }, of }))];
}

function worthToAll(
  { option, of }: { readonly option: TableOption; readonly of: number },
  found: readonly (readonly Chosen[])[],
  learners: readonly LearnerNeeds[],
  settings: SessionSettings,
): number {
  return learners.reduce((sum, l, i) => {
    const offer = found[i]![of]!.offer;
    return offer ? sum + valueOf(offer, l, settings.minutes) * notStale(settings.daysSincePlayed.get(`${l.learner}|${option.game}`)) : sum;
  }, 0);
}

/** The best version that is open to a learner; where only harder ones are, the easiest of those, with somebody beside. */
function bestOffer(graph: SkillGraph, option: TableOption, l: LearnerNeeds, minutes: number): Chosen {
  let best: Offer | null = null;
  let bestValue = -1;
  let hard: Offer | null = null;
  for (const offer of option.offers) {
    const gate = gateOf(graph, offer, l);
    if (gate && !tooHardAlone(gate)) continue;
    if (gate) {
      if (!hard || expectedSuccess(offer, l) > expectedSuccess(hard, l)) hard = offer;
      continue;
    }
    const value = valueOf(offer, l, minutes);
    if (value > bestValue) {
      best = offer;
      bestValue = value;
    }
  }
  return best ? { offer: best, beside: false } : { offer: hard, beside: hard !== null };
}

function materialsOf(offers: readonly Offer[]): [string, number][] {
  const wanted = new Map<string, number>();
  for (const o of offers) for (const m of o.materials) wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
  return [...wanted];
}

function freshness(days: readonly number[] | undefined): number {
  return days === undefined ? 1 : Math.min(1, Math.max(0, Math.min(...days) / freshDays));
}

/** What is left of a game's worth to somebody who played it so many days ago, time by time. */
function notStale(days: readonly number[] | undefined): number {
  const plays = (days ?? []).reduce((sum, d) => sum + Math.exp(-Math.max(0, d) / staleDays), 0);
  return 1 - Math.min(mostStale, perPlay * plays);
}

function dosesFor(offer: Offer, l: LearnerNeeds, gaps: readonly number[], minutes: number, worth: number): [number, number][] {
  return gaps.flatMap((k, i): [number, number][] => {
    const units = (worth * l.fit[k]! * offer.doses[k]! * minutes) / 10 / chancesPerUnit;
    return units > 0.02 ? [[i, Math.round(units * 1000) / 1000]] : [];
  });
}

/** What is fixed, by option: those of one round and game stay at one table, with somebody beside where one of them needs it. */
function locksOf(
  wanted: SessionSettings['locks'],
  learners: readonly LearnerNeeds[],
  options: readonly TableOption[],
  chosen: (Offer | null)[][],
): PlanLock[] {
  const here = wanted.flatMap((k) => {
    const learner = learners.findIndex((l) => l.learner === k.learner);
    return learner < 0 ? [] : [{ learner, round: k.round, game: k.game }];
  });
  return [...groupBy(here, (k) => `${k.round}|${k.game}`).values()].flatMap((group) => {
    const open = (g: number, l: number): boolean => options[g]!.game === group[0]!.game && chosen[l]![g] !== null;
    const all = options.findIndex((_, g) => group.every(({ learner }) => open(g, learner)));
    return group.flatMap(({ learner, round, game }): PlanLock[] => {
      let g = all >= 0 ? all : options.findIndex((_, i) => open(i, learner));
      if (g < 0) {
        // The organiser's word stands even where the app would not have suggested it.
        g = options.findIndex((o) => o.game === game);
        if (g < 0) return [];
        chosen[learner]![g] = options[g]!.offers[0]!;
      }
      return [{ learner, round, game: g }];
    });
  });
}
