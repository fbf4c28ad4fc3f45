import type { EvidenceKind, EvidenceResult, How, NotedItem } from '../mastery/evidence';
import type { SkillGraph } from '../skills/skillGraph';
import type { Problem } from '../shared/codes';

/** One observation of a file, ready to be taken in. */
export interface EvidenceDraft {
  readonly row: number;
  readonly learner: string;
  readonly at: string;
  readonly skill: string;
  readonly result: EvidenceResult | null;
  readonly correct: number | null;
  readonly total: number | null;
  readonly how: How | null;
  readonly support: string | null;
  readonly kind: EvidenceKind;
  readonly by: { readonly role: Role; readonly ownChild: boolean };
  readonly items: readonly NotedItem[];
  readonly seconds: number | null;
  /** The version and the session it was seen in, where they are here. */
  readonly variant: string | null;
  readonly session: string | null;
}

export const roles = ['organiser', 'helper', 'parent'] as const;
export type Role = (typeof roles)[number];
export const evidenceKinds = ['placement', 'check-in', 'note', 'statement'] as const;

export interface EvidenceReading {
  readonly drafts: readonly EvidenceDraft[];
  readonly problems: readonly Problem[];
  /** Rows that say nothing that can be taken in, and why. */
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
}

/** What a reader must know of the workspace. */
export interface EvidenceContext {
  readonly graph: SkillGraph;
  /** Ids by nickname, as `nameKey` spells it. */
  readonly learners: ReadonlyMap<string, string>;
  readonly today: string;
  /** The zone in which a written day has its noon. */
  readonly zone: string;
  /** Versions and sessions that are here; others are left out of a note. */
  readonly variants?: ReadonlySet<string>;
  readonly sessions?: ReadonlySet<string>;
  /** Ids of tools and other help by plain words; when left out, any word is taken. */
  readonly supports?: ReadonlyMap<string, string>;
}

export const waysByWord: ReadonlyMap<string, How> = new Map(
  Object.entries({
    'counted all': 'counted-all',
    'counted on': 'counted-on',
    'worked out': 'worked-out',
    'worked it out': 'worked-out',
    knew: 'knew',
    'knew it': 'knew',
  } as const),
);
/** What people call a column where its name here is terse. */

/** Seconds for a whole sheet at most. */
export const longestSeconds = 7200;

/** Ids of sessions are kept as they come up to this length. */
const longestSession = 80;

/**
 * The version and session of a note. A session that is not here is kept by its id, so that notes of one meeting stay together and go
 * out as they came; a version that is not here is said and left out.
 */
export function placeOf(
  context: EvidenceContext,
  version: string,
  session: string,
): { variant: string | null; session: string | null; gone: string | null } {
  const variant = version !== '' && context.variants?.has(version) ? version : null;
  const met = session !== '' && session.length <= longestSession ? session : null;
  return {
    variant,
    session: met,
    gone: variant === null && version !== '' ? 'It is taken in without its version, which is not here.' : null,
  };
}

/** Questions of one sheet at most. */
export const mostQuestionsOfSheet = 200;
