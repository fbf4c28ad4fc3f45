import { writeCsv } from '../../adapters/csv/writeCsv';
import { type FileGame, standInsText, writeGameFile } from '../../core/content/gameFile';
import { materialsText } from '../../core/content/materialsText';
import { stepsText, usesText } from '../../core/content/prepText';
import { parametersText } from '../../core/content/parametersText';
import { practised } from '../../core/recommend/practised';
import { groupBy } from '../../core/recommend/recommend';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { bins, games, kinds, variants } from '../db/schema';
import { laidOut, offersNow, thingsOnHand } from './offers';
import { gameById, type GameRow, type VariantRow } from './shelfRows';
import { materialsByVariant } from './wireShelf';

/** Steps that a file tells of a version; below so many chances it is no practice. */
const mostTold = 12;
const leastTold = 1;

/** Ranges stand in two columns or in words, so that a spreadsheet does not make days of them. */
const header = [
  'Game',
  'Version',
  'Bin',
  'Ages',
  'Players min',
  'Players max',
  'Minutes',
  'Helper',
  'Room',
  'Preparation',
  'Steps of getting ready',
  'Used up',
  'Materials',
  'Stand-ins',
  'Source',
  'Condition',
  'Notes',
  'Tags',
  'Rules line by line',
  'Mechanism',
  'Parameters',
  'Practises',
];

/** The whole shelf as a list that comes back in. */
export function shelfCsv(db: Db, retired: boolean): string {
  const binTitles = titles(db.select().from(bins).all());
  const things = materialsByVariant(db);
  const unitOf = units(db);
  const here = thingsOnHand(db);
  const own = groupBy(db.select().from(variants).all(), (v) => v.gameId);
  const rows = db
    .select()
    .from(games)
    .all()
    .filter((g) => retired || g.retiredAt === null)
    .sort((x, y) => x.title.localeCompare(y.title, 'en'))
    .flatMap((g) =>
      (own.get(g.id) ?? [])
        .filter((v) => retired || v.retiredAt === null)
        .map((v) => [
          g.title,
          v.title,
          binTitles.get(g.binId ?? '') ?? '',
          `${v.agesMin} to ${v.agesMax}`,
          v.playersMin,
          v.playersMax,
          v.minutes,
          v.helper,
          v.room,
          v.preparationMinutes,
          stepsText(v.steps),
          usesText(v.uses),
          materialsText(withUnits(things.get(v.id) ?? [], unitOf)),
          standInsText(laidOut(here, things.get(v.id) ?? [], v.mechanism).standIns ?? []),
          g.source,
          g.condition,
          g.notes,
          g.tags.join('; '),
          g.rules.join('\n'),
          v.mechanism ?? '',
          v.mechanism ? parametersText(v.parameters) : '',
          // What words were read for is read anew; the owner's word goes along.
          v.said === 'words' ? '' : v.declared.map((d) => `${d.skill} ${Math.max(1, Math.round(d.perTenMinutes))}`).join('; '),
        ]),
    );
  return writeCsv([header, ...rows]);
}

const units = (db: Db): ReadonlyMap<string, string> =>
  new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((k) => [k.id, k.unit]),
  );
const withUnits = <T extends { readonly kind: string }>(things: readonly T[], unitOf: ReadonlyMap<string, string>) =>
  things.map((m) => ({ ...m, unit: unitOf.get(m.kind) ?? 'piece' }));

const titles = (rows: readonly { readonly id: string; readonly title: string }[]): ReadonlyMap<string, string> =>
  new Map(rows.map((r) => [r.id, r.title]));

/** One game as JSON-LD. @throws not-found */
export function gameFile(db: Db, id: string): string {
  const game = gameById(db, id);
  const own = db
    .select()
    .from(variants)
    .all()
    .filter((v) => v.gameId === id && v.retiredAt === null);
  return JSON.stringify(writeGameFile(fileGame(db, game, own)), null, 2);
}

function fileGame(db: Db, game: GameRow, own: readonly VariantRow[]): FileGame {
  const graph = graphOf(db);
  const kindTitles = titles(db.select().from(kinds).all());
  const things = materialsByVariant(db);
  const unitOf = units(db);
  const here = thingsOnHand(db);
  const offers = new Map(offersNow(db).map((o) => [o.variant, o]));
  return {
    id: game.id,
    title: game.title,
    bin: titles(db.select().from(bins).all()).get(game.binId ?? '') ?? '',
    source: game.source,
    condition: game.condition,
    notes: game.notes,
    tags: game.tags,
    rules: game.rules,
    versions: own.map((v) => {
      // What words were read for is nobody's word yet, and is read anew elsewhere.
      const doses = v.said === 'words' ? undefined : offers.get(v.id)?.doses;
      const told = doses ? [...practised(doses)].filter((k) => doses[k]! >= leastTold).sort((x, y) => doses[y]! - doses[x]!) : [];
      return {
        id: v.id,
        title: v.title,
        ages: [v.agesMin, v.agesMax],
        players: { min: v.playersMin, max: v.playersMax },
        minutes: v.minutes,
        helper: v.helper,
        room: v.room,
        preparationMinutes: v.preparationMinutes,
        steps: v.steps,
        uses: v.uses,
        materials: withUnits(things.get(v.id) ?? [], unitOf).map((m) => ({ ...m, title: kindTitles.get(m.kind) ?? m.kind })),
        standIns: laidOut(here, things.get(v.id) ?? [], v.mechanism).standIns ?? [],
        mechanism: v.mechanism,
        parameters: v.parameters,
        practises: told.slice(0, mostTold).map((k) => {
          const { id, title, codes } = graph.skills[k]!;
          return { skill: id, title, codes, perTenMinutes: doses![k]! };
        }),
        how: v.mechanism ? 'calculated' : 'declared',
      };
    }),
  };
}
