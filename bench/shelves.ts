import { materialsOf } from '../src/core/mechanisms/versionFacts';
import { shippedGraph } from '../src/contract/shippedData';
import { shippedOffers } from '../src/contract/shippedOffers.testing';
import { buildSession, type BuiltSession } from '../src/core/planning/buildSession';
import { mechanismById } from '../src/core/mechanisms/registry';
import { learnerNeeds, type LearnerNeeds } from '../src/core/recommend/learnerNeeds';
import type { Offer } from '../src/core/recommend/offer';
import { knownFrom } from '../src/core/recommend/knownFrom.testing';
import { createRng, uniform } from '../src/core/shared/rng';
import { usualSeats } from '../src/core/simulate/usualSeats';

const graph = shippedGraph();
const children = 24;
const youngest = 5;
const oldest = 11;
/** Logits a step is nearer for each year that a child is beyond the age it is wanted at. */
const perYear = 1.6;
const piecesEach = 40;

/** Twenty-four invented children of five to eleven, each with ups and downs of their own. */
export function inventedChildren(seed: number): LearnerNeeds[] {
  const rng = createRng(seed, 1);
  return Array.from({ length: children }, (_, i) => {
    const age = youngest + ((oldest - youngest) * i) / (children - 1);
    const ahead = 1.5 * (uniform(rng) - 0.5);
    const held = graph.skills.map((s) => {
      const logit = perYear * (age + ahead - s.wantedAt.us) + 2 * (uniform(rng) - 0.5);
      return 1 / (1 + Math.exp(-logit));
    });
    return learnerNeeds(graph, { id: `l${i}`, nickname: `l${i}`, age, framework: 'us', supported: false }, knownFrom(held));
  });
}

/** What a version needs on the table, as its rules say. */
function thingsOf({ mechanism, parameters, players }: Offer): Offer['materials'] {
  const rules = mechanism === null ? null : mechanismById(mechanism)!;
  return rules ? materialsOf(rules, parameters, usualSeats({ min: players[0], max: players[1] })) : [];
}

/** The whole library, with the things it needs; beyond it, as many games more that resemble those. */
export function shelf(more: number, seed: number): Offer[] {
  const rng = createRng(seed, 2);
  const library = shippedOffers().map((o) => ({ ...o, materials: thingsOf(o) }));
  const others = Array.from({ length: more }, (_, i): Offer => {
    const like = library[Math.floor(uniform(rng) * library.length)]!;
    const turn = 0.4 + 0.9 * uniform(rng);
    return { ...like, variant: `more-${i}`, game: `more-${i}`, mixClass: `more-${i}`, doses: like.doses.map((d) => d * turn) };
  });
  return [...library, ...others];
}

/** A meeting of all of them: four rounds, six tables, three helpers, of every thing forty. */
export function shelfSession(more: number, seed = 1, everyGame = false): BuiltSession {
  const offers = shelf(more, seed);
  const kinds = new Set(offers.flatMap((o) => o.materials.map((m) => m.kind)));
  return buildSession(graph, offers, inventedChildren(seed), {
    rounds: 4,
    everyGame,
    minutes: 15,
    tables: 6,
    helpers: 3,
    preparationMinutes: 60,
    stock: new Map([...kinds].map((k) => [k, piecesEach])),
    plentiful: new Set(),
    daysSincePlayed: new Map(),
    locks: [],
    resting: [],
  });
}
