import { describe, expect, it } from 'vitest';
import { libraryOffers } from '../../contract/libraryOffers';
import { shippedGraph } from '../../contract/shippedData';
import { mapOf, readMap } from '../mastery/estimateMastery';
import { standingOn } from '../mastery/standing';
import { firstGames } from './firstGames';
import { learnerNeeds, type LearnerNeeds } from './learnerNeeds';
import { gateOf, valueOf } from './valueOf';

const graph = shippedGraph();
const today = '2026-11-10';
/** A child of whom nothing is known but the birth month. */
function child(id: string, born: string, age: number): LearnerNeeds {
  const about = { born, framework: 'us' as const, permanentSupports: [] };
  const estimates = readMap(
    graph,
    { ...about, supportsInUse: [], goals: [], withoutNorms: false } as never,
    mapOf(graph, about as never, [], today, false),
    today,
  );
  return learnerNeeds(
    graph,
    { id, nickname: id, age, framework: 'us', supported: false },
    standingOn(
      graph,
      estimates.map((e) => e.standing),
      today,
    ),
  );
}
const family = [child('five', '2021-10', 5.1), child('seven', '2019-10', 7.1), child('nine', '2017-10', 9.1)];
const offers = libraryOffers(graph);

describe('first games for children of whom only the age is known', () => {
  it('give each something to play, the oldest and the youngest too', () => {
    const chosen = firstGames(graph, offers, family, 15, 6);
    expect(new Set(chosen).size).toBe(6);
    for (const c of family) {
      const open = offers.filter((o) => chosen.includes(o.game) && gateOf(graph, o, c) === null && valueOf(o, c, 15) > 0);
      expect(new Set(open.map((o) => o.game)).size, c.learner).toBeGreaterThanOrEqual(2);
    }
  });
  it('begin with the best for a child who is alone, and stop where nothing helps', () => {
    const [five] = family;
    const best = Math.max(...offers.filter((o) => gateOf(graph, o, five!) === null).map((o) => valueOf(o, five!, 15)));
    const [first] = firstGames(graph, offers, [five!], 15, 1);
    expect(Math.max(...offers.filter((o) => o.game === first && gateOf(graph, o, five!) === null).map((o) => valueOf(o, five!, 15)))).toBe(
      best,
    );
    expect(firstGames(graph, [], family, 15, 6)).toEqual([]);
    expect(firstGames(graph, offers, [], 15, 6)).toEqual([]);
  });
});
