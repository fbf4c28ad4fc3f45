import { type GroupMapWire, groupWire } from '../../contract/wire/group';
import type { Kept, Query } from '../../contract/wire/route';
import { and, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { groupPdf } from '../../adapters/pdf/groupPdf';
import { writeCsv } from '../../adapters/csv/writeCsv';
import { graphOf } from '../db/graphOf';
import { groupMap, type GroupMap, type GroupNote } from '../../core/group/groupMap';
import { togetherAt } from '../../core/group/togetherAt';
import type { SkillEstimate } from '../../core/mastery/estimateMastery';
import { statusWords } from '../../text/sentences';
import type { Db } from '../db/db';
import { needsOf } from '../evidence/evidenceStore';
import { offersNow } from '../shelf/offers';
import { allEstimates } from '../evidence/learnerState';
import { evidence, groups } from '../db/schema';
import { keptWhile, notesStamp } from '../db/stamps';
import { notFound, refuse } from '../http/problemError';
import { projectPath } from '../shared/projectPath';
import { type Occasion, Reply, serve } from '../http/route';
import { allLearners, groupOf } from '../learners/learnerStore';

/** Nobody seats more than these at once; of more, the page asks for a group first. */
const mostInGroup = 60;
/** Games named for sitting together. */
const mostTogether = 8;

type GroupQuery = Query<(typeof groupWire)['GET /group-map']>;

interface Asked {
  readonly map: GroupMap;
  readonly together: () => Kept<GroupMapWire['together']>;
  readonly nickname: (id: string) => string;
  readonly title: (skill: string) => string;
  readonly what: string;
  readonly estimates: ReadonlyMap<string, readonly SkillEstimate[]>;
}

function asked({ db, query: q, today }: Pick<Occasion, 'db' | 'today'> & { readonly query: GroupQuery }): Asked {
  const graph = graphOf(db);
  const strands = q.strands ? q.strands.split(',') : null;
  const wrong = strands?.find((s) => !graph.strands.some((x) => x.id === s));
  if (wrong !== undefined) throw refuse('unknown-value', `There is no line "${wrong}".`, 'strands');
  const known = new Set(
    db
      .select()
      .from(groups)
      .all()
      .map((g) => g.title),
  );
  if (q.group && !known.has(q.group)) throw notFound('group', q.group);
  const people = allLearners(db).filter((l) => !q.group || groupOf(db, l.id, today) === q.group);
  const notes = notesByLearner(db);
  const maps = allEstimates(db, people, today);
  const members = people.map((l) => ({
    id: l.id,
    estimates: maps.get(l.id)!,
    evidence: notes.get(l.id) ?? [],
  }));
  const names = new Map(people.map((l) => [l.id, l.nickname]));
  const lines = strands
    ? graph.strands
        .filter((s) => strands.includes(s.id))
        .map((s) => s.title)
        .join(', ')
    : 'all lines';
  return {
    map: groupMap(graph, members, strands, q.edge !== 'false'),
    together: () => {
      if (people.length > mostInGroup) return [];
      const offers = offersNow(db);
      const versions = new Map(offers.map((o) => [o.variant, o]));
      const needs = people.map((l) => needsOf(graph, l, maps.get(l.id)!, today));
      return togetherAt(graph, offers, needs, mostTogether).map((t) => ({
        game: t.game,
        title: versions.get(t.seats[0]!.variant)!.gameTitle,
        seats: t.seats.map((s) => ({ ...s, variantTitle: versions.get(s.variant)!.title })),
      }));
    },
    nickname: (id) => names.get(id) ?? id,
    title: (skill) => graph.skills[graph.indexOf.get(skill)!]!.title,
    what: `${q.group || 'Everybody'}, ${lines}`,
    estimates: new Map(members.map((m) => [m.id, m.estimates])),
  };
}

/** What the map reads of the notes that stand: of skills a child was stuck on last. At some size all of them cost more than the map. */
const notesByLearner = keptWhile(notesStamp, (db): ReadonlyMap<string, readonly GroupNote[]> => {
  const read = and(isNull(evidence.retractedAt), isNotNull(evidence.result));
  const stuckLast = db
    .select({ learner: evidence.learnerId, skill: evidence.skill })
    .from(evidence)
    .where(read)
    .groupBy(evidence.learnerId, evidence.skill)
    .having(sql`max(case when ${evidence.result} = 'stuck' then ${evidence.at} end) = max(${evidence.at})`)
    .as('stuck_last');
  const rows = db
    .select({ learner: evidence.learnerId, skill: evidence.skill, result: evidence.result, at: evidence.at })
    .from(evidence)
    .innerJoin(stuckLast, and(eq(stuckLast.learner, evidence.learnerId), eq(stuckLast.skill, evidence.skill)))
    .where(read)
    .all();
  const notes = new Map<string, GroupNote[]>();
  for (const { learner, ...note } of rows) {
    const own = notes.get(learner);
    if (own) own.push(note);
    else notes.set(learner, [note]);
  }
  return notes;
});

/** One row a learner and skill, for a spreadsheet. */
function csv(db: Db, context: Pick<Occasion, 'today'> & { readonly query: GroupQuery }): string {
  const { map, nickname, title, estimates } = asked({ db, ...context });
  const graph = graphOf(db);
  const rows = map.learners.flatMap((id) =>
    map.skills.map((skill) => {
      const e = estimates.get(id)![graph.indexOf.get(skill)!]!;
      return [
        nickname(id),
        title(skill),
        skill,
        statusWords[e.status],
        e.mastery.toFixed(3),
        e.interval[0].toFixed(3),
        e.interval[1].toFixed(3),
        e.notes.toFixed(2),
        e.seen ? 'seen' : 'assumed',
        e.lastSeen?.slice(0, 10) ?? '',
      ];
    }),
  );
  return writeCsv([
    ['learner', 'skill', 'skill id', 'how it stands', 'estimate', 'low', 'high', 'notes', 'seen or assumed', 'last seen'],
    ...rows,
  ]);
}

export const groupRoutes = serve(groupWire, {
  'GET /group-map': (context) => {
    const { map, together } = asked(context);
    return { ...map, together: together() };
  },
  'GET /group-map.csv': ({ db, query: q, today }) =>
    new Reply(200, csv(db, { query: q, today }), { 'content-disposition': 'attachment; filename="group.csv"' }),
  'GET /group-map.pdf': async (context) => {
    const a = asked(context);
    return new Reply(
      200,
      await groupPdf(
        {
          title: a.what,
          paper: context.query.paper === 'letter' ? 'letter' : 'a4',
          day: context.today,
          learners: a.map.learners.map(a.nickname),
          skills: a.map.skills.map(a.title),
          cells: a.map.cells,
          together: a.together().map((t) => ({
            game: t.title,
            seats: t.seats.map((x) => `${a.nickname(x.learner)} for “${a.title(x.skill)}”`),
          })),
        },
        projectPath(null, '.'),
      ),
      { 'content-disposition': 'attachment; filename="group.pdf"' },
    );
  },
});
