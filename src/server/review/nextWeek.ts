import type { SkillEstimate } from '../../core/mastery/estimateMastery';
import { rightAt } from '../../core/mastery/field';
import { ladderOf, nextSupport } from '../../core/mastery/nextSupport';
import { FORECAST, heldAt } from '../../core/mastery/parameters';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { helpWords } from '../../text/sentences';
import { and, asc, gt, isNull } from 'drizzle-orm';
import type { Db } from '../db/db';
import { plans } from '../db/schema';
import type { EvidenceRow } from '../evidence/evidenceRow';
import type { LearnerRow } from '../learners/learnerStore';
import type { PlanRow } from '../planning/planById';
import { gatherList } from '../prep/gatherList';
import type { titles } from '../shared/titles';

/** One thing to do next time because of a session. */
export interface NextLine {
  readonly what: 'again' | 'on' | 'make';
  readonly learner: string | null;
  readonly text: string;
}

/** What one child's notes of the day and the map after them say. */
export interface AfterToday {
  readonly learner: LearnerRow;
  readonly after: readonly SkillEstimate[];
  /** Notes of this session that stand. */
  readonly notes: readonly EvidenceRow[];
  /** All notes that stand, for what was tried before. */
  readonly all: readonly EvidenceRow[];
}

const mostLines = 7;

/** Three to seven lines: what to take up again and with which tool, where to go on, and what to make by then. */
export function nextWeek(
  db: Db,
  graph: SkillGraph,
  plan: PlanRow,
  children: readonly AfterToday[],
  title: ReturnType<typeof titles>,
): NextLine[] {
  const found = children.flatMap((c) => lineOf(graph, c, title));
  const make = toMake(db, plan);
  const room = mostLines - make.length;
  // Who was stuck comes first, then who can go on.
  return [...found.sort((x, y) => x.rank - y.rank).slice(0, room), ...make].map(({ what, learner, text }) => ({ what, learner, text }));
}

/** The line that matters most for one child: the note furthest from being held first. */
function lineOf(graph: SkillGraph, c: AfterToday, title: ReturnType<typeof titles>): (NextLine & { readonly rank: number })[] {
  const ranks = { stuck: 0, support: 2, alone: 1 } as const;
  const notes = c.notes.flatMap((n) => (n.result === null || !graph.indexOf.has(n.skill) ? [] : [{ ...n, result: n.result }]));
  const [first] = notes.sort((x, y) => ranks[x.result] - ranks[y.result]);
  if (!first) return [];
  const k = graph.indexOf.get(first.skill)!;
  const step = `“${title.skill(first.skill)}”`;
  const e = c.after[k]!;
  if (first.result === 'alone' && e.asSeen >= heldAt) {
    const on = graph.neededBy[k]!.map((i) => c.after[i]!)
      .filter((x) => x.frontier && x.asSeen < heldAt)
      .sort((x, y) => y.asSeen - x.asSeen)[0];
    const text = on
      ? `${c.learner.nickname} goes on to “${title.skill(on.skill)}”.`
      : `${c.learner.nickname} holds ${step}; something new is due.`;
    return [{ what: 'on', learner: c.learner.id, text, rank: ranks.alone }];
  }
  const s = graph.skills[k]!;
  const before = c.all.filter((n) => n.skill === first.skill && n.result !== null).sort((x, y) => (x.at < y.at ? 1 : -1));
  const ladder = ladderOf(
    s,
    graph.strands.find((x) => x.id === s.strand)!,
  );
  const { support } = nextSupport(ladder, rightAt(e.theta, 0, FORECAST), before, c.learner.permanentSupports);
  const tool = support === null ? 'with no tool' : `with ${helpWords[support] ?? title.kind(support).toLowerCase()}`;
  return [{ what: 'again', learner: c.learner.id, text: `${c.learner.nickname}: ${step} again, ${tool}.`, rank: ranks[first.result] }];
}

/** What the next planned session wants and the cupboard does not have. */
function toMake(db: Db, plan: PlanRow): (NextLine & { readonly rank: number })[] {
  const next = db
    .select()
    .from(plans)
    .where(and(gt(plans.date, plan.date), isNull(plans.playedAt)))
    .orderBy(asc(plans.date))
    .get();
  if (!next) return [];
  const missing = gatherList(db, next)
    .bins.flatMap((b) => b.items)
    .filter((i) => i.state !== 'there')
    .map((i) => `${i.quantity - (i.have ?? 0)} × ${i.title.toLowerCase()}`);
  if (missing.length === 0) return [];
  const some = missing.slice(0, 3).join(', ');
  return [{ what: 'make', learner: null, text: `Make or find by ${next.date}: ${some}${missing.length > 3 ? ' and more' : ''}.`, rank: 9 }];
}
