import type { SkillGraph } from '../core/skills/skillGraph';
import type { Exclusion, Suggestion } from '../core/recommend/recommend';
import type { Violation } from '../core/planning/checkPlan';
import type { HelpingStep, SeatBecause, SeatName } from '../core/planning/plannedMeeting';

/** What a person reads for codes and numbers of the core; one place, ready for other languages. */

export const percent = (share: number): string => `${Math.round(share * 100)} %`;
export const lower = (text: string): string => (/^[A-Z][a-z]/.test(text) ? text[0]!.toLowerCase() + text.slice(1) : text);

export interface Names {
  readonly learner: (id: string) => string;
  readonly game: (id: string) => string;
  readonly variant: (id: string) => string;
  readonly kind: (id: string) => string;
  readonly skill: (id: string) => string;
}

/** A rounded number of chances: “1 chance”, “12 chances”. */
const chancesWords = (n: number): string => (Math.round(n) === 1 ? '1 chance' : `${Math.round(n)} chances`);

/** Two lines: what they practise, and why it fits. */
export function suggestionReasons(graph: SkillGraph, s: Suggestion, names: Names): string[] {
  const bySkill = new Map<number, { learners: string[]; chances: number }>();
  for (const seat of s.seats) {
    const entry = bySkill.get(seat.skill) ?? { learners: [], chances: 0 };
    entry.learners.push(names.learner(seat.learner));
    entry.chances += seat.chances;
    bySkill.set(seat.skill, entry);
  }
  const first = [...bySkill]
    .filter(([k]) => k >= 0)
    .map(
      ([k, { learners, chances }]) =>
        `${learners.join(' and ')}: about ${chancesWords(chances / learners.length)} for “${lower(graph.skills[k]!.title)}”`,
    );
  const success = s.seats.reduce((sum, seat) => sum + seat.success, 0) / s.seats.length;
  const fresh =
    s.recentDays === null
      ? 'Not played lately'
      : s.recentDays < 1
        ? 'Played today already'
        : `Last played ${Math.round(s.recentDays)} days ago`;
  return [`${first.join('; ')}.`, `${fresh}; about ${percent(success)} of answers should be right.`];
}

/** Why a game is kept from a child, as an action and never a diagnosis. */
const accommodationReasons = {
  speed: (who: string): string => `The fastest wins here; ${who} has not asked for that. Its own-clock version would do.`,
  'no-playing-cards': (who: string): string => `It needs playing cards, which ${who} goes without.`,
  'right-way-up': (who: string): string => `Its numbers lie upside down for ${who}; a right-way-up version would do.`,
  'little-reading': (who: string): string => `It asks for reading with nobody beside ${who}.`,
  'easy-to-hold': (who: string): string =>
    `It asks for many small things or exact placing with nobody beside ${who}; larger pieces or somebody's hand would do.`,
  'not-by-colour': (who: string): string => `Its things differ by colour alone; put a dot on one sort for ${who} and it will do.`,
} as const;
export const accommodationWords = {
  'speed-welcome': 'likes to race against the clock or others',
  'no-playing-cards': 'no playing cards',
  'right-way-up': 'numbers right way up',
  'little-reading': 'little reading at the table',
  'easy-to-hold': 'things that are easy to hold and lay',
  'not-by-colour': 'nothing told apart by colour alone',
} as const;

const notMeasured: Readonly<Record<string, string>> = {
  measuring: 'It is being played by the machine just now; look again in a moment.',
  faulty: 'It cannot be played as its numbers stand. Open it and change them.',
};

export function exclusionReason(graph: SkillGraph, x: Exclusion, names: Names): string {
  switch (x.because) {
    case 'players':
      return x.least === x.most ? `It is for ${x.least} players.` : `It is for ${x.least} to ${x.most} players.`;
    case 'minutes':
      return `It takes about ${Math.round(x.minutes)} minutes.`;
    case 'stock':
      return `Missing: ${x.missing.map((m) => `${m.short} × ${names.kind(m.kind).toLowerCase()}`).join(', ')}.`;
    case 'nothing-needed':
      return 'Nothing in it is needed now.';
    case 'not-measured':
      return notMeasured[x.source] ?? 'Nobody has said yet what it practises.';
    case 'filter':
      return x.what === 'helper'
        ? 'It needs a grown-up beside it.'
        : x.what === 'preparation'
          ? 'It takes longer to get ready.'
          : `It needs ${names.kind(x.what).toLowerCase()}.`;
    case 'gate': {
      const who = names.learner(x.learner);
      if (x.gate.because === 'accommodation') return accommodationReasons[x.gate.what](who);
      if (x.gate.because === 'age') return `The ages given do not fit ${who}.`;
      if (x.gate.because === 'too-hard') return `Too hard for ${who} yet: about ${percent(x.gate.success)} right.`;
      const missing = lower(graph.skills[x.gate.missing]!.title);
      const rather = x.alternative ? ` Rather: ${names.variant(x.alternative)}.` : '';
      return `${who} is not there yet with “${missing}”.${rather}`;
    }
  }
}

export function violationSentence(
  v: Violation,
  names: { learner: (i: number) => string; game: (i: number) => string; kind: (i: number) => string },
): string {
  const round = (r: number): string => `round ${r + 1}`;
  switch (v.rule) {
    case 'placed':
      return v.times === 0
        ? `${names.learner(v.learner)} has no seat in ${round(v.round)}.`
        : `${names.learner(v.learner)} sits at ${v.times} tables in ${round(v.round)}.`;
    case 'eligible':
      return `${names.game(v.game)} does not suit ${names.learner(v.learner)} (${round(v.round)}): its ages, what it asks for or what it needs do not fit.`;
    case 'repeat':
      return `${names.learner(v.learner)} plays ${names.game(v.game)} twice.`;
    case 'size':
      return `${names.game(v.game)} has ${v.size} ${v.size === 1 ? 'player' : 'players'} in ${round(v.round)}; that does not fit.`;
    case 'tables':
      return `${v.used} tables in ${round(v.round)}; you have ${v.have}.`;
    case 'helpers':
      return `${v.used} tables need a helper in ${round(v.round)}; you have ${v.have}.`;
    case 'stock':
      return `${v.used} × ${names.kind(v.kind).toLowerCase()} needed in ${round(v.round)}; you own ${v.have}.`;
    case 'preparation':
      return `Getting ready takes ${Math.round(v.used)} minutes; you gave ${Math.round(v.have)}.`;
    case 'apart':
      return `${names.learner(v.learner)} and ${names.learner(v.other)} share a table in ${round(v.round)}; they are to sit apart.`;
    case 'loud':
      return `${v.used} lively or floor tables in ${round(v.round)}; you want ${v.have} at most.`;
    case 'lock':
      return `${names.learner(v.learner)} no longer sits at the fixed table in ${round(v.round)}.`;
    case 'rounds':
      return `${v.used} rounds planned; ${v.have} asked.`;
  }
}

export function helpingSentence(
  step: HelpingStep,
  names: { learner: (id: string) => string; game: (id: string) => string; kind: (id: string) => string },
): string {
  const by = step.by ?? 1;
  const seat = ({ learner, round, game }: SeatName): string => `${names.learner(learner)} at ${names.game(game)} in round ${round + 1}`;
  switch (step.relax) {
    case 'tables':
      return by === 1 ? 'One more table.' : `${by} more tables.`;
    case 'helpers':
      return by === 1 ? 'One more helper.' : `${by} more helpers.`;
    case 'stock':
      return `${by} more of “${names.kind(step.kind!).toLowerCase()}”.`;
    case 'preparation':
      return `${by} more ${by === 1 ? 'minute' : 'minutes'} to get ready.`;
    case 'lively':
      return 'Let more than one lively or floor table be in a round; it stands under How we plan.';
    case 'apart':
      return 'Let two share a table who are kept apart; it stands under How we plan.';
    case 'repeats':
      return 'A game may be played twice by the same child.';
    case 'lock':
      return step.beside
        ? `Let go of ${seat(step.lock!)}: it cannot be kept beside ${seat(step.beside)}.`
        : `Let go of ${seat(step.lock!)}.`;
  }
}

/** Why a seat was given; frozen with the plan. */
/** Why a seat is good for a child; where two share it, whose it is comes first. */
export function seatSentence(
  seat: {
    skill: string | null;
    because: SeatBecause;
    chances: number;
    success: number;
    stretched: boolean;
    partner?: string | undefined;
    paced?: boolean;
  },
  nickname: string,
  skillTitle: (id: string) => string,
): string {
  const why = `${seatReasonWords(seat, nickname, skillTitle)}${seat.paced ? ' It is on your pacing list for these weeks.' : ''}`;
  return seat.partner ? `Partners with ${seat.partner} on one seat, in turns. ${why}` : why;
}

function seatReasonWords(
  seat: { skill: string | null; because: SeatBecause; chances: number; success: number; stretched: boolean },
  nickname: string,
  skillTitle: (id: string) => string,
): string {
  if (seat.stretched)
    return `Hard for ${nickname} yet${seat.skill ? `, for “${lower(skillTitle(seat.skill))}”` : ''}: with somebody beside.`;
  if (!seat.skill) return `A seat in good company for ${nickname}.`;
  const step = `“${lower(skillTitle(seat.skill))}”`;
  const here = `about ${chancesWords(seat.chances)} here, ${percent(seat.success)} likely right`;
  switch (seat.because) {
    case 'ready':
      return `${nickname} is ready for ${step}: ${here}.`;
    case 'near':
      return `${nickname} is near ${step}, and something before it is still growing: ${here}.`;
    case 'again':
      return `${nickname} meets ${step} again after a while: ${here}.`;
    case 'joy':
      return `${nickname} holds ${step} well; this seat is just for joy and good company.`;
  }
}

export const howWords = {
  'counted-all': 'counted all',
  'counted-on': 'counted on',
  'worked-out': 'worked it out',
  knew: 'knew it',
} as const;
export const resultWords = { stuck: 'stuck', support: 'with help', alone: 'on their own' } as const;
export const statusWords = {
  'not-yet': 'not yet',
  growing: 'growing',
  'on-their-own': 'on their own',
  'worth-checking': 'worth checking',
} as const;
export const prepWords = {
  print: 'print',
  colour: 'colour in',
  laminate: 'laminate',
  cut: 'cut',
  mark: 'mark and underline',
  bag: 'bag and label',
  collect: 'collect things',
  other: 'get it ready',
} as const;
export const helpWords: Readonly<Record<string, string>> = {
  fingers: 'fingers',
  hint: 'a hint',
  'list-of-facts': 'a list of facts',
  'writing-steps': 'writing the steps',
  'reading-aloud': 'reading aloud',
  'extra-time': 'extra time',
  'adult-beside': 'an adult beside',
};
