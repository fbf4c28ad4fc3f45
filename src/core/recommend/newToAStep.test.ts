import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { shippedOffers } from '../../contract/shippedOffers.testing';
import { estimateMastery } from '../mastery/estimateMastery';
import { knownOf } from '../mastery/standing';
import { isAim } from '../skills/narrower';
import { wantedBy } from '../skills/skill';
import { prerequisitesOf } from '../skills/skillGraph';
import { knownFrom } from './knownFrom.testing';
import { learnerNeeds, type LearnerNeeds } from './learnerNeeds';
import { recommend } from './recommend';
import { gateOf } from './valueOf';

const graph = shippedGraph();
const offers = shippedOffers();
/** Steps whose only games here are for much older children; each must leave this list when one comes. */
const noGameAtThatAge: readonly string[] = [];

const today = '2026-11-20';
const bornFor = (age: number): string => `${2026 - age}-11`;

/** Chances in ten minutes from which a version practises a step. */
const practises = 2;

/** A child of the age a step is wanted at, who holds all before it, and what is wanted by then, and not the step. */
function newTo(k: number, known = 0.3): LearnerNeeds {
  const skill = graph.skills[k]!;
  const age = wantedBy(skill, 'us');
  const before = prerequisitesOf(graph, k);
  const all = Float64Array.from(graph.skills, (s, i) => (before.has(i) ? 0.95 : i !== k && wantedBy(s, 'us') <= age ? 0.9 : 0.3));
  all[k] = known;
  return learnerNeeds(graph, { id: 'x', nickname: 'X', age, framework: 'us', supported: false }, knownFrom(all));
}

describe('a child new to a step', () => {
  const aims = graph.skills.flatMap((s, k) =>
    s.predicate !== null && isAim(graph, k) && offers.some((o) => o.doses[k]! >= practises) ? [[s.id, k] as const] : [],
  );
  it.each(aims)('%s: is offered a game that teaches it', (id, k) => {
    const child = newTo(k);
    const teach = offers.filter((o) => o.doses[k]! >= practises);
    const open = teach.filter((o) => gateOf(graph, o, child) === null);
    expect([id, open.length > 0, teach.map((o) => o.variant)]).toEqual([id, !noGameAtThatAge.includes(id), teach.map((o) => o.variant)]);
  });
});

describe('a typical child of an age, nothing noted', () => {
  it.each([5, 6, 7, 8, 9, 10, 11])('%i years old, is offered games for that age, and not what was wanted years ago', (age) => {
    const all = estimateMastery(graph, { born: bornFor(age), framework: 'us', permanentSupports: [], supportsInUse: [] }, [], today);
    const child = learnerNeeds(graph, { id: 'x', nickname: 'X', age, framework: 'us', supported: false }, knownOf(all));
    const { items } = recommend(graph, offers, [child], { minutes: 15, limit: 8, stock: null, daysSincePlayed: new Map() });
    expect(items.length).toBe(8);
    for (const { seats } of items) expect(wantedBy(graph.skills[seats[0]!.skill]!, 'us')).toBeGreaterThan(age - 1.6);
  });
});
