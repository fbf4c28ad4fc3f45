import { shippedGraph } from '../src/contract/shippedData';
import { estimateMastery } from '../src/core/mastery/estimateMastery';
import { knownOf } from '../src/core/mastery/standing';
import { learnerNeeds } from '../src/core/recommend/learnerNeeds';
import type { Offer } from '../src/core/recommend/offer';
import { recommend } from '../src/core/recommend/recommend';
import { below, createRng, uniform } from '../src/core/shared/rng';

const budgetMs = 100;

const tableBudgetMs = 60;

/** Recommend for each of 12 learners over 500 invented variants, and for a table of five over 600. */
export function benchRecommend(): void {
  const graph = shippedGraph();
  const rng = createRng(5);
  const offers = Array.from({ length: 600 }, (_, i): Offer => {
    const doses = new Float64Array(graph.skills.length);
    for (let k = 0; k < 8; k++) doses[below(rng, doses.length)] = uniform(rng) * 30;
    return {
      variant: `v${i}`,
      game: `g${i >> 1}`,
      title: '',
      gameTitle: '',
      mixClass: `${i & 1}`,
      mechanism: null,
      parameters: {},
      players: [1, 5],
      ages: [4, 12],
      minutes: 12,
      helper: 'nearby',
      preparationMinutes: 0,
      materials: [],
      doses,
      source: 'calculated',
    };
  });
  const table = Array.from({ length: 12 }, (_, i) => {
    const born = `${2015 + (i % 6)}-0${1 + (i % 9)}`;
    const estimates = estimateMastery(graph, { born, framework: 'us', permanentSupports: [], supportsInUse: [] }, [], '2026-11-10');
    return learnerNeeds(
      graph,
      { id: `l${i}`, nickname: '', age: 2026 - Number(born.slice(0, 4)), framework: 'us', supported: false },
      knownOf(estimates),
    );
  });
  const options = { minutes: 15, limit: 10, stock: null, daysSincePlayed: new Map<string, number>() };
  for (const l of table) recommend(graph, offers.slice(0, 500), [l], options);
  const start = performance.now();
  for (const l of table) recommend(graph, offers.slice(0, 500), [l], options);
  const took = performance.now() - start;
  console.log(
    `\nRecommend over 500 variants for 12 learners, budget ${budgetMs} ms\n  ${took.toFixed(0)} ms  ${(took / budgetMs).toFixed(2)} of budget`,
  );
  const five = table.slice(0, 5);
  recommend(graph, offers, five, options);
  const began = performance.now();
  recommend(graph, offers, five, options);
  const tableTook = performance.now() - began;
  console.log(
    `  a table of five over 600 variants: ${tableTook.toFixed(0)} ms  ${(tableTook / tableBudgetMs).toFixed(2)} of ${tableBudgetMs} ms`,
  );
}
