import type { Evidence } from '../../mastery/evidence';
import { seeEvidence } from '../../mastery/mapState';
import { nextQuestion, type PlacementReply } from '../../mastery/nextQuestion';
import { questionsOfSheet, whatToCheck } from '../../recommend/whatToCheck';
import { below, type Rng, uniform } from '../../shared/rng';
import type { SkillGraph } from '../../skills/skillGraph';
import { type Child, dayOf, start } from './child';
import { LOOP, type World } from './world';

/** The talk of the first day, question by question as the app asks it. */
export function place(graph: SkillGraph, c: Child, rng: Rng): void {
  const lines = graph.strands.map((s) => s.id);
  const replies: PlacementReply[] = [];
  for (
    let next = nextQuestion(graph, c.facts, c.map, start, lines, replies);
    next;
    next = nextQuestion(graph, c.facts, c.map, start, lines, replies)
  ) {
    const result = seenAt(c.truly.right(next.skill, 0, false), 2, rng);
    const at = `${start}T09:${String(replies.length).padStart(2, '0')}:00Z`;
    seeEvidence(graph, c.facts, c.map, evidence(graph, `p${replies.length}`, at, 'placement', next.skill, result, null));
    replies.push({ skill: next.skill, alone: result === 'alone' });
  }
}

/** A sheet of ten on the step that the app says would tell most. */
export function checkIn(graph: SkillGraph, c: Child, day: number, rng: Rng): void {
  const [best] = whatToCheck(graph, c.facts, c.map, dayOf(day));
  const chance = c.truly.right(best!.skill, day, false);
  let correct = 0;
  for (let i = 0; i < questionsOfSheet; i++) if (uniform(rng) < chance) correct++;
  const e = evidence(graph, `s${day}-${c.id}`, `${dayOf(day)}T09:00:00Z`, 'check-in', best!.skill, null, null);
  seeEvidence(graph, c.facts, c.map, { ...e, correct, total: questionsOfSheet });
}

/** What somebody says who watched so many answers. */
function seenAt(chance: number, answers: number, rng: Rng): 'stuck' | 'support' | 'alone' {
  let right = 0;
  for (let i = 0; i < answers; i++) if (uniform(rng) < chance) right++;
  const share = right / answers;
  return share < 0.5 ? 'stuck' : share < 0.8 ? 'support' : 'alone';
}

/** A tap at the table, about one step; now and then a tool is in hand, and now and then it is misjudged. */
export function noteOf(graph: SkillGraph, world: World, c: Child, k: number, day: number, round: number, rng: Rng): Evidence {
  const tool = uniform(rng) < world.toolUse * (1 - c.truly.right(k, day, false));
  const noise = uniform(rng) < world.noteNoise;
  const seen = noise
    ? (['stuck', 'support', 'alone'] as const)[below(rng, 3)]!
    : seenAt(c.truly.right(k, day, tool), LOOP.answersWatched, rng);
  const result = tool && seen === 'alone' ? 'support' : seen;
  const at = `${dayOf(day)}T10:${String(10 + 20 * round).padStart(2, '0')}:00Z`;
  return evidence(graph, `n${day}-${round}-${c.id}`, at, 'note', k, result, tool ? 'ten-frame' : null);
}

const evidence = (
  graph: SkillGraph,
  id: string,
  at: string,
  kind: Evidence['kind'],
  k: number,
  result: Evidence['result'],
  support: string | null,
): Evidence => ({
  id,
  at,
  kind,
  skill: graph.skills[k]!.id,
  result,
  correct: null,
  total: null,
  how: null,
  support: result === 'support' ? support : null,
  items: [],
  by: { role: 'helper', ownChild: false },
});
