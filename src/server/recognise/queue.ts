import { and, eq, isNull, ne, or } from 'drizzle-orm';
import type { AskedWire } from '../../contract/wire/recognise';
import { numbersIn, recognise, skillsIn, twinOf } from '../../contract/recognise';
import { shippedLibrary, shippedProfile } from '../../contract/shippedLibrary';
import { mechanismById } from '../../core/mechanisms/registry';
import { sureFrom } from '../../core/recognise/recognise';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { bins, games, kinds, variants } from '../db/schema';
import { keptWhile, shelfStamp } from '../db/stamps';
import { materialsByVariant } from '../shelf/wireShelf';
import { asItComes, rowWords, toldAges } from './rowWords';

/** Every version in use of which nobody has said how it is played, sure guesses first, then by title. */
export const queueOf = keptWhile(shelfStamp, (db) => readQueue(db, graphOf(db)));

function readQueue(db: Db, graph: SkillGraph): AskedWire[] {
  const things = materialsByVariant(db);
  const kindTitles = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((k) => [k.id, k.title]),
  );
  const rows = db
    .select({ v: variants, g: games, bin: bins.title })
    .from(variants)
    .innerJoin(games, eq(games.id, variants.gameId))
    .leftJoin(bins, eq(bins.id, games.binId))
    .where(
      and(
        isNull(variants.retiredAt),
        isNull(games.retiredAt),
        isNull(variants.mechanism),
        // The owner's own word on what it practises is an answer.
        or(ne(variants.said, 'owner'), eq(variants.declared, [])),
        ne(variants.said, 'guessed'),
      ),
    )
    .all();
  return rows
    .map(({ v, g, bin }): AskedWire => {
      const row = rowWords({
        game: g.title,
        variant: v.title,
        notes: g.notes,
        rules: g.rules,
        things: (things.get(v.id) ?? []).map((m) => kindTitles.get(m.kind) ?? m.kind),
      });
      const ages = toldAges([v.agesMin, v.agesMax]);
      const guesses = recognise(row).guesses.filter((guess, i) => i === 0 || guess.chance >= leastOffered);
      return {
        variant: v.id,
        game: g.id,
        version: v.version,
        title: g.title,
        versionTitle: v.title === asItComes ? '' : v.title,
        notes: [...row.notes],
        things: row.things,
        bin,
        ages: [v.agesMin, v.agesMax],
        players: { min: v.playersMin, max: v.playersMax },
        minutes: v.minutes,
        said: v.said,
        sure: (guesses[0]?.chance ?? 0) >= sureFrom,
        guesses: guesses.map((guess) => told(guess, row, ages)),
        skills: skillsIn(graph, row, ages).map((s) => ({
          skill: s.skill,
          title: graph.skills[graph.indexOf.get(s.skill)!]!.title,
          decided: [...s.decided],
        })),
      };
    })
    .sort((x, y) => Number(y.sure) - Number(x.sure) || x.title.localeCompare(y.title, 'en') || (x.variant < y.variant ? -1 : 1));
}

/** Less likely than this a family is not worth a look beside another. */
const leastOffered = 0.01;
const mostPractice = 4;
const leastPractice = 1;

function told(
  { mechanism, chance, decided }: ReturnType<typeof recognise>['guesses'][number],
  row: Parameters<typeof recognise>[0],
  ages: readonly [number, number] | null,
): AskedWire['guesses'][number] {
  const read = numbersIn(mechanism, row);
  const twin = twinOf(mechanism, read, ages);
  const game = twin && shippedLibrary.find((g) => g.id === twin.game);
  const version = game?.variants.find((v) => v.id === twin!.version);
  const same = twin !== null && twin.differs.length === 0;
  const profile = same ? shippedProfile(twin.game, twin.version) : undefined;
  return {
    mechanism,
    title: mechanismById(mechanism)!.title,
    chance,
    decided: [...decided],
    parameters: same ? { ...version!.parameters, ...read } : { ...read },
    twin:
      game && version
        ? { game: game.id, title: game.title, version: version.id, versionTitle: version.title, differs: [...twin!.differs] }
        : null,
    practice: [...(profile?.doses ?? [])]
      .sort((x, y) => y[1] - x[1])
      .filter(([, n]) => n >= leastPractice)
      .slice(0, mostPractice)
      .map(([skill, n]) => ({ skill, perTenMinutes: Math.round(n) })),
  };
}
