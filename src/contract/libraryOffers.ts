import { mechanismById } from '../core/mechanisms/registry';
import { versionFacts } from '../core/mechanisms/versionFacts';
import type { Offer } from '../core/recommend/offer';
import { usualSeats } from '../core/simulate/usualSeats';
import type { SkillGraph } from '../core/skills/skillGraph';
import { asWritten } from './countries';
import { type LibraryGame, shippedLibrary, shippedProfile } from './shippedLibrary';

const known = new WeakMap<SkillGraph, readonly Offer[]>();

/** The whole library as it ships, every version with its committed profile and what a table of it needs; made once for a graph. */
export function libraryOffers(graph: SkillGraph): readonly Offer[] {
  let offers = known.get(graph);
  if (!offers) known.set(graph, (offers = shippedLibrary.flatMap((game) => game.variants.map((v) => offerOf(graph, game, v)))));
  return offers;
}

function offerOf(graph: SkillGraph, game: LibraryGame, v: LibraryGame['variants'][number]): Offer {
  const doses = new Float64Array(graph.skills.length);
  const profile = shippedProfile(game.id, v.id);
  for (const [skill, mean] of profile?.doses ?? []) {
    const k = graph.indexOf.get(skill);
    if (k !== undefined) doses[k] = mean;
  }
  const facts = versionFacts(mechanismById(game.mechanism)!, v.parameters, usualSeats(v.players), v.ages, asWritten);
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
    helper: facts.presence.is,
    room: game.room ?? 'calm',
    preparationMinutes: facts.preparationMinutes,
    materials: facts.materials,
    doses,
    ...(profile ? { counted: { seats: profile.seats, waiting: profile.waiting } } : {}),
    source: 'calculated',
  };
}
