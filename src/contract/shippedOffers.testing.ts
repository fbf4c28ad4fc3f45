import type { Offer } from '../core/recommend/offer';
import { shippedGraph } from './shippedData';
import { shippedLibrary, shippedProfile } from './shippedLibrary';

/** The whole library as it ships, every version with its committed profile; things are no matter. */
export function shippedOffers(): Offer[] {
  const graph = shippedGraph();
  return shippedLibrary.flatMap((game) =>
    game.variants.map((v): Offer => {
      const doses = new Float64Array(graph.skills.length);
      const profile = shippedProfile(game.id, v.id);
      for (const [skill, mean] of profile?.doses ?? []) doses[graph.indexOf.get(skill)!] = mean;
      return {
        variant: `${game.id}/${v.id}`,
        game: game.id,
        title: v.title,
        gameTitle: game.title,
        mixClass: game.id,
        mechanism: game.mechanism,
        parameters: v.parameters,
        players: [v.players.min, v.players.max],
        ages: v.ages,
        minutes: profile?.minutes[1] ?? v.minutes,
        helper: v.helper,
        room: game.room ?? 'calm',
        preparationMinutes: v.preparationMinutes,
        materials: [],
        doses,
        ...(profile ? { counted: { seats: profile.seats, waiting: profile.waiting } } : {}),
        source: 'calculated',
      };
    }),
  );
}
