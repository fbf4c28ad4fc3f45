import { shippedGraph } from '../../contract/shippedData';
import type { Offer } from './offer';

const graph = shippedGraph();

/** Chances in ten minutes by the names of the skills, all others none. */
export const dosesOf = (of: Readonly<Record<string, number>>): Float64Array => Float64Array.from(graph.skills, (s) => of[s.id] ?? 0);

/** A quiet game for two to four that anybody may play and that needs nothing; `game/version` names both. */
export const offerOf = (variant: string, doses: Readonly<Record<string, number>>, more: Partial<Offer> = {}): Offer => ({
  variant,
  game: variant.split('/')[0]!,
  title: variant,
  gameTitle: variant,
  mixClass: 'one',
  mechanism: null,
  parameters: {},
  players: [2, 4],
  ages: [4, 12],
  minutes: 12,
  helper: 'nearby',
  preparationMinutes: 0,
  materials: [],
  doses: dosesOf(doses),
  source: 'calculated',
  ...more,
});
