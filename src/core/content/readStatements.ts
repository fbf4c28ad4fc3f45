import type { EvidenceKind, EvidenceResult } from '../mastery/evidence';
import type { Problem } from '../shared/codes';
import { localDay, momentOf } from '../shared/moments';
import { plainWords } from './cells';
import {
  type EvidenceContext,
  type EvidenceDraft,
  evidenceKinds,
  type EvidenceReading,
  longestSeconds,
  mostQuestionsOfSheet,
  placeOf,
  roles,
  waysByWord,
} from './evidenceDraft';
import { readFacts } from './factList';
import { nameKey } from './names';
import { skillFinder } from './skillFinder';

type Json = Readonly<Record<string, unknown>>;
const isObject = (x: unknown): x is Json => typeof x === 'object' && x !== null && !Array.isArray(x);
const inside = (x: unknown, ...path: string[]): unknown => path.reduce<unknown>((at, key) => (isObject(at) ? at[key] : undefined), x);
const textAt = (x: unknown, ...path: string[]): string => {
  const found = inside(x, ...path);
  return typeof found === 'string' ? found : '';
};
/** A part of an IRI as words; as written when its escapes are broken. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

/** Share right from which a statement with a score says "alone", and from which "with support". */
const aloneFrom = 0.8;
const supportFrom = 0.5;

/**
 * Reads xAPI 1.0.3 statements (Advanced Distributed Learning): the learner by the account's
 * name, the skill by the last part of the activity's or a category's IRI, how it went by
 * success or score. A statement that only says that something was played is remarked on and left out.
 */
export function readStatements(raw: unknown, context: EvidenceContext): EvidenceReading {
  const list = Array.isArray(raw)
    ? (raw as unknown[])
    : isObject(raw) && Array.isArray(raw['statements'])
      ? (raw['statements'] as unknown[])
      : [raw];
  const drafts: EvidenceDraft[] = [];
  const problems: Problem[] = [];
  const remarks: { row: number; message: string }[] = [];
  const skillOf = skillFinder(context.graph);
  for (const [i, statement] of list.entries()) {
    const row = i + 1;
    const before = problems.length;
    const fault = (field: string, code: Problem['code'], message: string): void =>
      void problems.push({ code, field, row, message: `Statement ${row}, ${field}: ${message}` });
    if (!isObject(statement)) {
      fault('statement', 'malformed', 'This is no statement.');
      continue;
    }
    if (textAt(statement, 'verb', 'id') === '') fault('verb.id', 'malformed', 'The verb has no "id".');
    const name = textAt(statement, 'actor', 'account', 'name');
    if (name === '') fault('actor.account.name', 'malformed', 'The actor has no account name; mail addresses are not read.');
    const learner = context.learners.get(nameKey(name) || name);
    if (name !== '' && learner === undefined) fault('actor.account.name', 'unknown-value', `There is no learner "${name}".`);
    const at = momentOf(textAt(statement, 'timestamp'), context.zone);
    if (at === null) fault('timestamp', 'malformed', `"${textAt(statement, 'timestamp')}" is no moment with a zone.`);
    else if (localDay(at, context.zone) > context.today)
      fault('timestamp', 'in-the-future', `${textAt(statement, 'timestamp')} lies after today, ${context.today}.`);
    const categories = inside(statement, 'context', 'contextActivities', 'category');
    const iris = [textAt(statement, 'object', 'id'), ...(Array.isArray(categories) ? categories.map((c) => textAt(c, 'id')) : [])];
    const found = iris.map((iri) => skillOf(decoded(iri.split(/[/#:]/).at(-1) ?? ''))).find((s) => s.length > 0) ?? [];
    const [points, least, max, scaled] = ['raw', 'min', 'max', 'scaled'].map((k) => inside(statement, 'result', 'score', k));
    if (typeof scaled === 'number' && (scaled < -1 || scaled > 1))
      fault('result.score.scaled', 'out-of-range', `${scaled} is not between −1 and 1.`);
    const success = inside(statement, 'result', 'success');
    const own = ownParts(statement);
    const counted = questionsOf(points, least, max, own.kind ? mostQuestionsOfSheet : mostQuestions);
    const share = counted ? null : shareOf(points, least, max, scaled, success);
    if (problems.length > before) continue;
    if (found.length === 0 || (!counted && share === null)) {
      remarks.push({
        row,
        message:
          found.length === 0
            ? 'It names no skill or code known here, so it is left out.'
            : 'It says that something was done, not how it went, so it is left out.',
      });
      continue;
    }
    if (found.length > 1) remarks.push({ row, message: `Its code stands for ${found.length} skills; it is taken for "${found[0]}".` });
    const place = placeOf(context, own.version, own.session);
    if (place.gone) remarks.push({ row, message: place.gone });
    drafts.push({
      row,
      learner: learner!,
      at: at!,
      skill: found[0]!,
      result: counted ? null : (own.result ?? (share! >= aloneFrom ? 'alone' : share! >= supportFrom ? 'support' : 'stuck')),
      correct: counted?.right ?? null,
      total: counted?.of ?? null,
      how: own.how,
      support: own.support === '' ? null : context.supports ? (context.supports.get(plainWords(own.support)) ?? null) : own.support,
      kind: own.kind ?? (counted ? 'check-in' : 'statement'),
      by: own.by,
      items: own.items,
      seconds: own.seconds,
      variant: place.variant,
      session: place.session,
    });
  }
  return { drafts, problems, remarks };
}

/** A score of more than so many points is a percentage or the like, and says nothing of how many questions there were. */
const mostQuestions = 40;

/** So many of so many questions, where a score can be read as that; null where it is points. */
function questionsOf(raw: unknown, min: unknown, max: unknown, mostOf: number): { right: number; of: number } | null {
  if (!Number.isInteger(raw) || !Number.isInteger(max) || (min !== undefined && min !== 0)) return null;
  const [right, of] = [raw as number, max as number];
  return of >= 1 && of <= mostOf && right >= 0 && right <= of ? { right, of } : null;
}

/** Share of what could be reached, 0 … 1; null where nothing says how it went. */
function shareOf(raw: unknown, min: unknown, max: unknown, scaled: unknown, success: unknown): number | null {
  if (typeof scaled === 'number') return scaled;
  const low = typeof min === 'number' ? min : 0;
  if (typeof raw === 'number' && typeof max === 'number' && max > low && raw >= low && raw <= max) return (raw - low) / (max - low);
  return typeof success === 'boolean' ? Number(success) : null;
}

/** Name of an extension of our own in a statement. */
export const extensionIri = (name: string): string => `urn:zeitgeber:xapi:${name}`;

/** What our own statements carry beside the standard parts; nothing of it in those of others. */
function ownParts(statement: Json): Pick<EvidenceDraft, 'how' | 'by' | 'items' | 'seconds'> & {
  readonly result: EvidenceResult | null;
  readonly kind: EvidenceKind | null;
  readonly support: string;
  readonly version: string;
  readonly session: string;
} {
  const extensions = inside(statement, 'context', 'extensions');
  const own = (name: string): string => textAt(extensions, extensionIri(name));
  const duration = /^PT(\d+(?:\.\d+)?)S$/.exec(textAt(statement, 'result', 'duration'));
  return {
    result: (['stuck', 'support', 'alone'] as const).find((x) => x === own('result')) ?? null,
    kind: evidenceKinds.find((k) => k === own('kind')) ?? null,
    how: [...waysByWord.values()].find((x) => x === own('how')) ?? null,
    support: own('support'),
    by: { role: roles.find((x) => x === own('by')) ?? 'organiser', ownChild: own('own-child') === 'yes' },
    items: readFacts(own('items')) ?? [],
    seconds: duration ? Math.min(longestSeconds, Number(duration[1])) : null,
    version: own('version'),
    session: own('session'),
  };
}
