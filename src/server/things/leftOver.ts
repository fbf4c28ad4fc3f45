import type { LeftWire } from '../../contract/wire/thingsOwned';
import type { Kept } from '../../contract/wire/route';
import { leastDose } from '../../core/frameworks/standardsCovered';
import { practised } from '../../core/recommend/practised';
import type { LaidOut } from '../../core/recommend/playable';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { kindById } from './thingStore';
import { versionsLaidOut } from './playableNow';

const gamesTold = 6;
const becomesTold = 3;
const stepsTold = 3;

/**
 * What so many of a thing are still good for: games here that can still be laid out with them, those that no longer can
 * and the steps that lose their last game by it, and games of the library that they are enough for. All of it follows from
 * what versions need and what the machine counted or the owner said that they practise.
 */
export async function leftOver(db: Db, kind: string, quantity: number): Promise<Kept<LeftWire>> {
  kindById(db, kind);
  const graph = graphOf(db);
  const whole = await versionsLaidOut(db, null, { kind, quantity: Number.MAX_SAFE_INTEGER });
  const left = await versionsLaidOut(db, null, { kind, quantity });
  const uses = (v: LaidOut): boolean => v.offer.materials.some((m) => m.kind === kind);
  const plays = (v: LaidOut): boolean => v.missing.length === 0;
  const before = whole.shelf.filter(plays);
  const after = left.shelf.filter(plays);
  const concerned = new Set(before.filter(uses).map((v) => v.offer.game));
  const still = new Set(after.map((v) => v.offer.game));
  const stepsOf = (list: readonly LaidOut[]): Set<number> =>
    new Set(list.flatMap((v) => [...practised(v.offer.doses)].filter((k) => v.offer.doses[k]! >= leastDose)));
  const stepsAfter = stepsOf(after);
  const titleOf = new Map(left.shelf.map((v) => [v.offer.game, v.offer.gameTitle]));
  const bestSteps = (list: readonly LaidOut[]): string[] => {
    const best = new Map<number, number>();
    for (const { offer } of list) for (const k of practised(offer.doses)) best.set(k, Math.max(best.get(k) ?? 0, offer.doses[k]!));
    return [...best]
      .filter(([, dose]) => dose >= leastDose)
      .sort((x, y) => y[1] - x[1] || x[0] - y[0])
      .slice(0, stepsTold)
      .map(([k]) => graph.skills[k]!.title);
  };
  const told = (games: readonly string[], list: readonly LaidOut[]): Kept<LeftWire>['still'] =>
    games.map((game) => {
      const own = list.filter((v) => v.offer.game === game);
      return { game, title: titleOf.get(game) ?? own[0]!.offer.gameTitle, steps: bestSteps(own) };
    });
  const others = left.library.filter((v) => plays(v) && uses(v));
  // What opens most steps that nothing here plays comes first.
  const opens = (game: string): number =>
    [...stepsOf(others.filter((v) => v.offer.game === game))].filter((k) => !stepsAfter.has(k)).length;
  return {
    still: told([...concerned].filter((g) => still.has(g)).slice(0, gamesTold), after),
    lost: told([...concerned].filter((g) => !still.has(g)).slice(0, gamesTold), before),
    lostSteps: [...stepsOf(before.filter((v) => !still.has(v.offer.game)))]
      .filter((k) => !stepsAfter.has(k))
      .map((k) => graph.skills[k]!.title),
    becomes: told(
      [...new Set(others.map((v) => v.offer.game))].sort((x, y) => opens(y) - opens(x) || (x < y ? -1 : 1)).slice(0, becomesTold),
      others,
    ),
  };
}
