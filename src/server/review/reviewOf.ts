import { isShared, playersAt } from '../../core/planning/seatsAt';
import type { ReviewWire } from '../../contract/wire/review';
import type { Kept } from '../../contract/wire/route';
import { graphOf } from '../db/graphOf';
import type { SkillEstimate } from '../../core/mastery/estimateMastery';
import { helpWords, howWords, resultWords } from '../../text/sentences';
import type { Db } from '../db/db';
import { dayOf, type EvidenceRow } from '../evidence/evidenceRow';
import { evidenceOf, explainedMastery } from '../evidence/evidenceStore';
import { allLearners } from '../learners/learnerStore';
import type { PlanRow } from '../planning/planById';
import { titles } from '../shared/titles';
import { dosesAt } from '../planning/wirePlan';
import { variants } from '../db/schema';
import { type AfterToday, nextWeek } from './nextWeek';

/** A move smaller than this is noise on the screen; where nothing was noted of a step itself, it must be plain to see. */
const leastMove = 0.03;
const leastNeighbour = 0.1;

/** What this session moved on each child's map, and why: the map with and without its notes. */
export async function reviewOf(db: Db, plan: PlanRow): Promise<Kept<ReviewWire>> {
  const graph = graphOf(db);
  const title = titles(db);
  const request = plan.request;
  const byId = new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((v) => [v.id, v]),
  );
  const fromThis = (r: EvidenceRow): boolean => r.planId === plan.id;
  const rows = allLearners(db).filter((l) => request.present.includes(l.id));
  const met = new Map<string, number>();
  for (const round of plan.rounds)
    for (const t of round.tables)
      for (const s of t.seats)
        for (const d of await dosesAt(db, byId.get(s.variant), playersAt(t), request.minutes))
          met.set(d.skill, (met.get(d.skill) ?? 0) + (isShared(t, s.learner) ? Math.round(d.items / 2) : d.items));
  const children: AfterToday[] = [];
  const learners = rows.map((l) => {
    const before = explainedMastery(db, l, plan.date, (r) => fromThis(r) || dayOf(r) > plan.date);
    const after = explainedMastery(db, l, plan.date, (r) => !fromThis(r) && dayOf(r) > plan.date);
    const notes = evidenceOf(db, l.id).filter((r) => fromThis(r) && r.retractedAt === null);
    children.push({ learner: l, after, notes, all: evidenceOf(db, l.id).filter((r) => r.retractedAt === null && dayOf(r) <= plan.date) });
    return {
      learner: l.id,
      nickname: l.nickname,
      notes: notes.length,
      moved: graph.skills.flatMap((s, k) => movedSkill(s.id, s.title, before[k]!, after[k]!, notes, title)),
    };
  });
  return {
    plan: plan.id,
    date: plan.date,
    playedAt: plan.playedAt,
    planned: plan.rounds.reduce((sum, r) => sum + r.tables.reduce((n, t) => n + t.seats.length, 0), 0),
    noted: learners.reduce((sum, l) => sum + l.notes, 0),
    learners,
    next: nextWeek(db, graph, plan, children, title),
    practice: [...met].map(([skill, items]) => ({ skill, title: title.skill(skill), items })).sort((x, y) => y.items - x.items),
  };
}

function movedSkill(
  skill: string,
  title: string,
  before: SkillEstimate,
  after: SkillEstimate,
  notes: readonly EvidenceRow[],
  names: ReturnType<typeof titles>,
): Kept<ReviewWire['learners'][number]['moved'][number]>[] {
  const own = notes.filter((n) => n.skill === skill);
  const touched = after.steps.some(
    (s) => (s.because === 'missed-fact' || s.because === 'right-facts') && notes.some((n) => n.id === s.evidence),
  );
  if (own.length === 0 && Math.abs(after.mastery - before.mastery) < (touched ? leastMove : leastNeighbour)) return [];
  const neighbour = [...after.steps].reverse().find((s) => s.because === 'later-skill' || s.because === 'neighbour');
  const missed = after.steps.filter((s) => s.because === 'missed-fact' && notes.some((n) => n.id === s.evidence));
  const because = [
    ...own.map((n) => noteSentence(n, names)),
    ...missed.map(() => 'A fact that belongs to it was missed.'),
    ...(own.length === 0 && missed.length === 0 && neighbour
      ? [
          neighbour.because === 'later-skill'
            ? `It is part of “${names.skill(neighbour.what)}”, which went well.`
            : `What was noted about “${names.skill(neighbour.what)}” tells of it too.`,
        ]
      : []),
  ];
  return [{ skill, title, before: before.mastery, after: after.mastery, statusBefore: before.status, statusAfter: after.status, because }];
}

function noteSentence(n: EvidenceRow, names: ReturnType<typeof titles>): string {
  const where = n.variantId ? ` at ${names.variant(n.variantId)}` : '';
  const tool = n.support ? ` (${helpWords[n.support] ?? names.kind(n.support).toLowerCase()})` : '';
  const how = n.how ? `, ${howWords[n.how]}` : '';
  const missed = n.items.filter((i) => !i.correct).map((i) => `${i.a} ${signs[i.op] ?? i.op} ${i.b}`);
  const result = n.result ? resultWords[n.result] : `${n.correct} of ${n.total}`;
  return `Noted by ${/^[aeiou]/.test(n.byRole) ? 'an' : 'a'} ${n.byRole}${n.byOwnChild ? ', own child' : ''}: ${result}${tool}${how}${where}${missed.length > 0 ? `; missed ${missed.join(', ')}` : ''}.`;
}

const signs: Readonly<Record<string, string>> = { add: '+', subtract: '−', multiply: '×', divide: '÷' };
