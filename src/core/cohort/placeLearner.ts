import { readMap } from '../mastery/estimateMastery';
import type { Evidence, LearnerFacts } from '../mastery/evidence';
import { emptyMap, seeEvidence } from '../mastery/mapState';
import { nextQuestion, type PlacementReply } from '../mastery/nextQuestion';
import type { SkillGraph } from '../skills/skillGraph';
import { createRng } from '../shared/rng';
import type { Assumptions } from './assumptions';
import type { Forecast } from './evaluate';
import { inventLearner, trulyHolds } from './simulateLearner';
import { answerOf, bornAt, HALF_TERM } from './simulateTerm';

/** Lines about number, which placement asks about unless told otherwise. */
export const numberStrands: readonly string[] = ['counting', 'bonds', 'add', 'subtract', 'place-value', 'multiply'];

export interface Placed {
  readonly questions: number;
  /** Every step of the lines asked about, after the last question. */
  readonly forecasts: readonly Forecast[];
  /** The same with nothing asked. */
  readonly before: readonly Forecast[];
}

/** Places one invented learner as the table would: answers seen on a few tries, till no question is worth asking. */
export function placeLearner(graph: SkillGraph, age: number, a: Assumptions, seed: number, stream: number, mostQuestions = 40): Placed {
  const rng = createRng(seed, stream);
  const l = inventLearner(graph, age, a, rng);
  const day = HALF_TERM.from;
  const facts: LearnerFacts = { born: bornAt(day, age), framework: 'us', permanentSupports: [], supportsInUse: [] };
  const map = emptyMap(graph);
  const asked = graph.skills.flatMap((s, k) => (numberStrands.includes(s.strand) ? [k] : []));
  const forecasts = (): Forecast[] => {
    const estimates = readMap(graph, facts, map, day);
    return asked.map((k) => ({ p: estimates[k]!.mastery, held: trulyHolds(l, k, 0, a) }));
  };
  const before = forecasts();
  let questions = 0;
  const replies: PlacementReply[] = [];
  for (; questions < mostQuestions; questions++) {
    const next = nextQuestion(graph, facts, map, day, numberStrands, replies);
    if (!next) break;
    const e: Evidence = {
      id: `${questions}`,
      at: `${day}T10:00:${String(questions).padStart(2, '0')}Z`,
      kind: 'placement',
      skill: graph.skills[next.skill]!.id,
      correct: null,
      total: null,
      items: [],
      by: { role: 'organiser', ownChild: false },
      ...answerOf(l, next.skill, 0, a, 3, rng),
    };
    replies.push({ skill: next.skill, alone: e.result === 'alone' });
    seeEvidence(graph, facts, map, e);
  }
  return { questions, forecasts: forecasts(), before };
}
