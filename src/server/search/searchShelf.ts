import type { Answer } from '../../contract/wire/route';
import type { searchWire } from '../../contract/wire/search';
import { skillsIn, wordsForSkills } from '../../contract/recognise';
import { stepsMeant } from '../../core/recognise/stepsMeant';
import { practised } from '../../core/recommend/practised';
import { groupBy } from '../../core/recommend/recommend';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { bins, games, kinds, variantMaterials, variants } from '../db/schema';
import { shelfStamp } from '../db/stamps';
import { offersNow } from '../shelf/offers';

type Found = Answer<(typeof searchWire)['GET /search']>;

/** Chances in ten minutes from which a version is found by a step. */
const leastDose = 1;
/** Weights of the columns: a name tells most, then things and bins, then words of the notes, then what it practises. */
const weights = '10.0, 4.0, 2.0, 1.0';

const stamps = new WeakMap<object, { readonly stamp: number; readonly graph: SkillGraph }>();

/**
 * Finds versions by meaning. Words are looked up in a full-text index (SQLite FTS5, Porter stems, the last word as it is
 * begun), steps by any of their names or codes; a name comes first, then the step asked for by its chances, then the rest.
 */
export function searchShelf(db: Db, text: string, limit: number): Found {
  const graph = graphOf(db);
  refresh(db, graph);
  const named = skillsIn(graph, { title: text, notes: [], things: '' }, null).map((s) => s.skill);
  const steps = stepsMeant(graph, text, named);
  const offers = offersNow(db);
  const byStep = new Map<string, { readonly skill: string; readonly dose: number; readonly step: number }>();
  for (const o of offers)
    for (const [step, skill] of steps.entries()) {
      const dose = o.doses[graph.indexOf.get(skill)!]!;
      if (dose >= leastDose && !byStep.has(o.variant)) byStep.set(o.variant, { skill, dose, step });
    }
  const words = wordsFound(db, text);
  const gameOf = new Map(words.map((w) => [w.id, w.game]));
  for (const o of offers) gameOf.set(o.variant, o.game);
  const inName = new Map(words.filter((w) => w.inName === 1).map((w, i) => [w.id, i]));
  const elsewhere = new Map(words.map((w, i) => [w.id, i]));
  const rank = (id: string): [number, number] => {
    const step = byStep.get(id);
    if (inName.has(id)) return [0, inName.get(id)!];
    if (step) return [1 + step.step, -step.dose];
    return [100, elsewhere.get(id)!];
  };
  const ids = [...new Set([...words.map((w) => w.id), ...byStep.keys()])]
    .map((id) => ({ id, rank: rank(id) }))
    .sort((x, y) => x.rank[0] - y.rank[0] || x.rank[1] - y.rank[1] || (x.id < y.id ? -1 : 1))
    .slice(0, limit);
  return {
    steps: steps.map((skill) => ({ skill, title: graph.skills[graph.indexOf.get(skill)!]!.title })),
    items: ids.map(({ id }) => {
      const step = byStep.get(id);
      const game = gameOf.get(id)!;
      return {
        game,
        variant: id === noVersion(game) ? null : id,
        ...(step ? { skill: step.skill, perTenMinutes: Math.round(step.dose * 10) / 10 } : {}),
      };
    }),
  };
}

/** How a game without a version stands in the index. */
const noVersion = (game: string): string => `game:${game}`;

interface WordsFound {
  readonly id: string;
  readonly game: string;
  readonly inName: 0 | 1;
}

function wordsFound(db: Db, text: string): WordsFound[] {
  const words = text
    .toLowerCase()
    .split(/[^\p{L}\p{M}\p{N}]+/u)
    .filter(Boolean);
  if (words.length === 0) return [];
  const asked = words.map((w, i) => (i === words.length - 1 ? `"${w}"*` : `"${w}"`)).join(' ');
  const found = db.$client
    .prepare<[string], { id: string; game: string }>(
      `SELECT id, game FROM temp.shelf_words WHERE shelf_words MATCH ? ORDER BY bm25(shelf_words, 0, 0, ${weights})`,
    )
    .all(asked);
  const named = new Set(
    db.$client.prepare<[string], string>('SELECT id FROM temp.shelf_words WHERE shelf_words MATCH ?').pluck().all(`name : (${asked})`),
  );
  return found.map((f) => ({ ...f, inName: named.has(f.id) ? 1 : 0 }));
}

/** Writes the index anew when the shelf or what is known of it has changed. */
function refresh(db: Db, graph: SkillGraph): void {
  const stamp = shelfStamp(db);
  const last = stamps.get(db.$client);
  if (last?.stamp === stamp && last.graph === graph) return;
  const client = db.$client;
  client.exec(
    `CREATE VIRTUAL TABLE IF NOT EXISTS temp.shelf_words USING fts5(id UNINDEXED, game UNINDEXED, name, things, words, steps, tokenize = 'porter unicode61 remove_diacritics 2')`,
  );
  client.exec('DELETE FROM temp.shelf_words');
  const titleOf = new Map([...db.select().from(kinds).all(), ...db.select().from(bins).all()].map((x) => [x.id, x.title]));
  const also = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((k) => [k.id, [k.title, ...k.alsoCalled].join(' ')]),
  );
  const materials = groupBy(db.select().from(variantMaterials).all(), (m) => m.variantId);
  const byGame = groupBy(db.select().from(variants).all(), (v) => v.gameId);
  const offers = new Map(offersNow(db).map((o) => [o.variant, o]));
  const put = client.prepare('INSERT INTO temp.shelf_words (id, game, name, things, words, steps) VALUES (?, ?, ?, ?, ?, ?)');
  client.transaction(() => {
    for (const g of db.select().from(games).all()) {
      const words = [g.notes, g.condition, ...g.tags, ...g.rules].join(' ');
      const bin = titleOf.get(g.binId ?? '') ?? '';
      const own = byGame.get(g.id) ?? [];
      if (own.length === 0) put.run(noVersion(g.id), g.id, g.title, bin, words, '');
      for (const v of own) {
        const things = (materials.get(v.id) ?? []).map((m) => also.get(m.kindId) ?? '').join(' ');
        const offer = offers.get(v.id);
        const steps = offer ? [...practised(offer.doses)].flatMap((k) => (offer.doses[k]! >= leastDose ? [stepWords(graph, k)] : [])) : [];
        put.run(v.id, g.id, `${g.title} ${v.title}`, `${bin} ${things}`, words, steps.join(' '));
      }
    }
  })();
  stamps.set(client, { stamp, graph });
}

const wordsKept = new WeakMap<SkillGraph, Map<number, string>>();

/** Everything a step is called. */
function stepWords(graph: SkillGraph, index: number): string {
  let kept = wordsKept.get(graph);
  if (!kept) wordsKept.set(graph, (kept = new Map()));
  const before = kept.get(index);
  if (before !== undefined) return before;
  const s = graph.skills[index]!;
  const text = [s.title, ...s.codes, ...(wordsForSkills[s.id] ?? []).map((p) => p.replace(/[|@~#&]/g, ' '))].join(' ');
  kept.set(index, text);
  return text;
}
