import type { SkillGraph } from '../skills/skillGraph';
import { readMap, type SkillEstimate } from './estimateMastery';
import { daysBetween, type LearnerFacts } from './evidence';
import { emptyMap, type MapState } from './mapState';

/** The next question of a placement, and how far the talk has come. */
export interface NextQuestion {
  /** Index of the skill to ask about. */
  readonly skill: number;
  readonly strand: string;
  /** Something sure to begin with; where the line may end; or a step above or below what was answered. */
  readonly because: 'sure' | 'edge' | 'above' | 'below';
  /** Questions that the whole talk will have, about. */
  readonly about: number;
}

/** What was answered in this sitting, in order. */
export interface PlacementReply {
  /** Index of the skill. */
  readonly skill: number;
  readonly alone: boolean;
}

export interface PlacementOptions {
  /** Ids of steps that nobody could tell about. */
  readonly leaveOut?: ReadonlySet<string>;
  /** Goes on asking between what is there and what is not. */
  readonly thorough?: boolean;
}

/** A talk with a child ends after so many questions, and stays on a line for so many at most. */
export const mostQuestions = 18;
const mostOnLine = 3;
const mostOnLineThorough = 6;
/** What was seen less than so many days ago is not asked again, and a line of which so many were is left alone. */
const askAgainDays = 21;
const enoughSeen = 2;
/** A line is in question where a step is neither surely held nor surely not. */
const inDoubt: readonly [number, number] = [0.1, 0.9];
/** How likely the step asked about is held: a start that is sure, the likely end of a line, a stretch up, a step down. */
const wish = { sure: 0.93, edge: 0.5, above: 0.4, below: 0.8 } as const;
/** Questions that a line which nobody has begun usually takes. */
const usualOnLine = 2.3;

interface Line {
  readonly strand: string;
  /** Indices of its steps that may be asked about, easiest first. */
  readonly open: readonly number[];
  readonly replies: readonly PlacementReply[];
}

/**
 * The next question of a placement: it begins with something sure, then goes line by line and stays on one for two or
 * three questions, until a step that is there lies below one that is not (an interview's usual order, common practice,
 * no source). Null when every line in question was asked about.
 */
export function nextQuestion(
  graph: SkillGraph,
  learner: LearnerFacts,
  map: MapState,
  today: string,
  strands: readonly string[],
  replies: readonly PlacementReply[],
  { leaveOut = new Set(), thorough = false }: PlacementOptions = {},
): NextQuestion | null {
  if (replies.length >= (thorough ? 2 * mostQuestions : mostQuestions)) return null;
  const estimates = readMap(graph, learner, map, today);
  // Of a line nobody has looked at, what is usual at the age counts too: what went well elsewhere proves nothing of it.
  const usual = readMap(graph, learner, emptyMap(graph, false), today);
  const dateOf = (k: number): number => graph.skills[k]!.wantedAt.us;
  const lines = graph.strands
    .filter((s) => strands.includes(s.id))
    .map((s): Line => {
      const members = graph.skills.flatMap((x, k) => (x.strand === s.id ? [k] : [])).sort((x, y) => dateOf(x) - dateOf(y));
      const mine = replies.filter((r) => members.includes(r.skill));
      const settled = (k: number): boolean => estimates[k]!.lastSeen !== null && daysBetween(estimates[k]!.lastSeen!, today) < askAgainDays;
      const open = members.filter((k) => !settled(k) && !leaveOut.has(graph.skills[k]!.id));
      const seenBefore = members.filter((k) => settled(k) && !mine.some((r) => r.skill === k)).length;
      return { strand: s.id, open: mine.length === 0 && seenBefore >= enoughSeen && !thorough ? [] : open, replies: mine };
    });
  const waiting = lines.flatMap((line) => {
    const ask = askOn(line, estimates, usual, dateOf, thorough, replies.length === 0);
    return ask ? [{ line, ask }] : [];
  });
  // A line that was begun is gone through first.
  const now = waiting.find(({ line }) => line.replies.length > 0) ?? waiting[0];
  if (!now) return null;
  const more = waiting.reduce((sum, { line }) => sum + (line.replies.length > 0 ? 1 : usualOnLine), 0);
  return {
    skill: now.ask.skill,
    strand: now.line.strand,
    because: now.ask.because,
    about: Math.min(mostQuestions, Math.round(replies.length + more)),
  };
}

/** The question that comes next on one line; null when it is settled or out of the question. */
function askOn(
  { open, replies }: Line,
  estimates: readonly SkillEstimate[],
  usual: readonly SkillEstimate[],
  dateOf: (k: number) => number,
  thorough: boolean,
  first: boolean,
): { readonly skill: number; readonly because: NextQuestion['because'] } | null {
  if (replies.length >= (thorough ? mostOnLineThorough : mostOnLine)) return null;
  const nearest = (list: readonly number[], because: NextQuestion['because']) => {
    const gap = (k: number): number => Math.abs(estimates[k]!.mastery - wish[because]);
    const skill = list.reduce((best, k) => (best < 0 || gap(k) < gap(best) ? k : best), -1);
    return skill < 0 ? null : { skill, because };
  };
  if (replies.length === 0) {
    const doubtful = (e: SkillEstimate): boolean => e.mastery > inDoubt[0] && e.mastery < inDoubt[1];
    if (!open.some((k) => doubtful(estimates[k]!) || doubtful(usual[k]!))) return null;
    return nearest(open, first ? 'sure' : 'edge');
  }
  const there = replies.filter((r) => r.alone).map((r) => dateOf(r.skill));
  const not = replies.filter((r) => !r.alone).map((r) => dateOf(r.skill));
  const [top, bottom] = [Math.max(-Infinity, ...there), Math.min(Infinity, ...not)];
  if (not.length === 0) {
    const sure = replies.length === 1 && estimates[replies[0]!.skill]!.mastery > inDoubt[1];
    const above = nearest(
      open.filter((k) => dateOf(k) >= top),
      sure ? 'edge' : 'above',
    );
    // Where nothing is left above, one below is looked at, so that a hole would be found.
    if (above || replies.length > 1) return above;
    return nearest(
      open.filter((k) => dateOf(k) < top),
      'below',
    );
  }
  if (there.length === 0)
    return nearest(
      open.filter((k) => dateOf(k) <= bottom),
      'below',
    );
  // Something there below something that is not: the two agree.
  if (!thorough) return null;
  return nearest(
    open.filter((k) => dateOf(k) >= Math.min(top, bottom) && dateOf(k) <= Math.max(top, bottom)),
    'edge',
  );
}
