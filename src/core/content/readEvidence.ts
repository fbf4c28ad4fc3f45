import type { EvidenceKind, EvidenceResult, How, NotedItem } from '../mastery/evidence';
import type { SkillGraph } from '../skills/skillGraph';
import type { Problem } from '../shared/codes';
import { localDay, momentOf } from '../shared/moments';
import { plainWords } from './cells';
import { readFacts } from './factList';
import { nameKey, shortened } from './names';
import type { CsvRow } from './readCatalogue';

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

const roles = ['organiser', 'helper', 'parent'] as const;
type Role = (typeof roles)[number];
const kinds = ['placement', 'check-in', 'note', 'statement'] as const;

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

const columns: Readonly<Record<string, readonly string[]>> = {
  learner: ['learner', 'nickname', 'child', 'name'],
  at: ['at', 'date', 'day', 'when'],
  skill: ['skill', 'code', 'standard'],
  result: ['result', 'how it went', 'went'],
  correct: ['correct', 'right'],
  total: ['total', 'of', 'questions'],
  how: ['how', 'strategy'],
  support: ['support', 'tool', 'help'],
  withdrawn: ['taken back', 'withdrawn'],
  kind: ['kind'],
  by: ['by', 'role'],
  'own child': ['own child'],
  items: ['items', 'facts'],
  seconds: ['seconds'],
  version: ['version', 'variant'],
  session: ['session'],
};
export function evidenceColumnOf(header: string): string | null {
  const words = plainWords(header);
  return Object.entries(columns).find(([, names]) => names.some((n) => plainWords(n) === words))?.[0] ?? null;
}

const results: ReadonlyMap<string, EvidenceResult> = new Map(
  Object.entries({
    stuck: 'stuck',
    'not yet': 'stuck',
    support: 'support',
    'with support': 'support',
    'with help': 'support',
    help: 'support',
    alone: 'alone',
    'on their own': 'alone',
    can: 'alone',
  } as const),
);
const ways: ReadonlyMap<string, How> = new Map(
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
const said: Readonly<Record<string, string>> = { at: 'day', correct: 'right', total: 'of', support: 'tool' };
const most = 200;

/** Reads rows of a CSV of observations; every fault names its row and column. */
export function readEvidence(rows: readonly CsvRow[], context: EvidenceContext): EvidenceReading {
  const drafts: EvidenceDraft[] = [];
  const problems: Problem[] = [];
  const remarks: { row: number; message: string }[] = [];
  const skillOf = skillFinder(context.graph);
  for (const { row, cells } of rows) {
    const before = problems.length;
    const cell = (name: string): string => (cells[name] ?? '').trim();
    if (cell('withdrawn') !== '') {
      remarks.push({ row, message: 'It was taken back, so it is left out.' });
      continue;
    }
    const fault = (field: string, code: Problem['code'], message: string): void =>
      void problems.push({ code, field, row, message: shortened(`Row ${row}, ${said[field] ?? field}: ${message}`) });
    const learner = context.learners.get(nameKey(cell('learner')) || cell('learner'));
    if (learner === undefined)
      fault('learner', 'unknown-value', cell('learner') === '' ? 'The learner is missing.' : `There is no learner "${cell('learner')}".`);
    const at = momentOf(cell('at'), context.zone);
    if (at === null) fault('at', 'malformed', `"${cell('at')}" is no day like 2026-11-10.`);
    else if (localDay(at, context.zone) > context.today) fault('at', 'in-the-future', `${cell('at')} lies after today, ${context.today}.`);
    const skill = skillOf(cell('skill'));
    if (skill.length !== 1)
      fault(
        'skill',
        'unknown-skill',
        skill.length === 0
          ? `"${cell('skill')}" is no skill or code known here.`
          : `"${cell('skill')}" stands for several skills: ${skill.join(', ')}. Name one.`,
      );
    const counted = cell('total') !== '' || cell('correct') !== '';
    const [correct, total] = [Number(cell('correct')), Number(cell('total'))];
    const result = results.get(plainWords(cell('result')));
    if (counted) {
      if (!Number.isInteger(total) || total < 1 || total > most)
        fault('total', 'out-of-range', `"${cell('total')}" is no number from 1 to ${most}.`);
      else if (cell('correct') === '' || !Number.isInteger(correct) || correct < 0 || correct > total)
        fault('correct', 'out-of-range', `"${cell('correct')}" right of ${total} cannot be.`);
      if (cell('result') !== '') fault('result', 'malformed', 'Give a result or a count, not both.');
    } else if (!result) fault('result', 'unknown-value', `"${cell('result')}" is none of stuck, support, alone.`);
    const how = ways.get(plainWords(cell('how')));
    if (cell('how') !== '' && !how) fault('how', 'unknown-value', `"${cell('how')}" is none of counted all, counted on, worked out, knew.`);
    const support = cell('support') === '' ? null : context.supports ? context.supports.get(plainWords(cell('support'))) : cell('support');
    if (support === undefined) fault('support', 'unknown-value', `"${cell('support')}" is no tool or help known here.`);
    const kind = cell('kind') === '' ? (counted ? 'check-in' : 'statement') : kinds.find((k) => k === cell('kind').toLowerCase());
    if (!kind) fault('kind', 'unknown-value', `"${cell('kind')}" is none of ${kinds.join(', ')}.`);
    const role = cell('by') === '' ? 'organiser' : roles.find((x) => x === cell('by').toLowerCase());
    if (!role) fault('by', 'unknown-value', `"${cell('by')}" is none of ${roles.join(', ')}.`);
    const items = readFacts(cell('items'));
    if (!items || items.length > most) fault('items', 'malformed', `"${cell('items')}" is no list like add 8 7 missed; add 6 9 right.`);
    const seconds = cell('seconds') === '' ? null : Number(cell('seconds'));
    if (seconds !== null && !(seconds >= 0 && seconds <= longest))
      fault('seconds', 'out-of-range', `"${cell('seconds')}" is no time from 0 to ${longest} seconds.`);
    const place = placeOf(context, cell('version'), cell('session'));
    if (problems.length > before) continue;
    if (place.gone) remarks.push({ row, message: place.gone });
    drafts.push({
      row,
      learner: learner!,
      at: at!,
      skill: skill[0]!,
      result: counted ? null : result!,
      correct: counted ? correct : null,
      total: counted ? total : null,
      how: how ?? null,
      support: support ?? null,
      kind: kind!,
      by: { role: role!, ownChild: /^(yes|true|1)$/i.test(cell('own child')) },
      items: items!,
      seconds,
      variant: place.variant,
      session: place.session,
    });
  }
  return { drafts, problems, remarks };
}

/** Seconds for a whole sheet at most. */
const longest = 7200;

/** The version and session of a note, as far as they are here; what is not is said and left out. */
function placeOf(
  context: EvidenceContext,
  version: string,
  session: string,
): { variant: string | null; session: string | null; gone: string | null } {
  const variant = version !== '' && context.variants?.has(version) ? version : null;
  const met = session !== '' && context.sessions?.has(session) ? session : null;
  const gone = [variant === null && version !== '' ? 'its version' : '', met === null && session !== '' ? 'its session' : ''].filter(
    (x) => x !== '',
  );
  return { variant, session: met, gone: gone.length === 0 ? null : `It is taken in without ${gone.join(' and ')}, which is not here.` };
}

/** Skills meant by an id, a title or a code. */
export function skillFinder(graph: SkillGraph): (text: string) => readonly string[] {
  const byTitle = new Map(graph.skills.map((s) => [plainWords(s.title), s.id]));
  const byCode = new Map<string, string[]>();
  const add = (key: string, id: string): void => {
    const known = byCode.get(key);
    if (!known) byCode.set(key, [id]);
    else if (!known.includes(id)) known.push(id);
  };
  for (const s of graph.skills) for (const c of s.codes) for (const key of new Set([c.toUpperCase(), codeKey(c)])) add(key, s.id);
  return (text) => {
    const cell = text.trim();
    if (graph.indexOf.has(cell)) return [cell];
    const titled = byTitle.get(plainWords(cell));
    return titled ? [titled] : (byCode.get(cell.toUpperCase()) ?? byCode.get(codeKey(cell)) ?? []);
  };
}

/** A code without the name of its set and the letter of its cluster, which people leave out. // => codeKey('CCSS.MATH.CONTENT.1.OA.C.6') is '1.OA.6' */
export const codeKey = (code: string): string =>
  code
    .trim()
    .toUpperCase()
    .replace(/^CCSS\.(MATH\.)?(CONTENT\.)?/, '')
    .replace(/\.[A-Z]\.(?=\d)/, '.');

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
    const counted = questionsOf(points, least, max, own.kind ? most : mostQuestions);
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
    kind: kinds.find((k) => k === own('kind')) ?? null,
    how: [...ways.values()].find((x) => x === own('how')) ?? null,
    support: own('support'),
    by: { role: roles.find((x) => x === own('by')) ?? 'organiser', ownChild: own('own-child') === 'yes' },
    items: readFacts(own('items')) ?? [],
    seconds: duration ? Math.min(longest, Number(duration[1])) : null,
    version: own('version'),
    session: own('session'),
  };
}
