import type { EvidenceResult, How } from '../mastery/evidence';
import type { SkillGraph } from '../skills/skillGraph';
import type { Problem } from '../shared/codes';
import { momentOf } from '../shared/momentOf';
import { plainWords } from './cells';
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
}

export interface EvidenceReading {
  readonly drafts: readonly EvidenceDraft[];
  readonly problems: readonly Problem[];
  /** Rows that say nothing that can be taken in, and why. */
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
}

/** What a reader must know of the workspace. */
export interface EvidenceContext {
  readonly graph: SkillGraph;
  /** Ids by nickname in lower case. */
  readonly learners: ReadonlyMap<string, string>;
  readonly today: string;
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
};
export function evidenceColumnOf(header: string): string | null {
  const words = plainWords(header);
  return Object.entries(columns).find(([, names]) => names.includes(words))?.[0] ?? null;
}

const results: Readonly<Record<string, EvidenceResult>> = {
  stuck: 'stuck',
  'not yet': 'stuck',
  support: 'support',
  'with support': 'support',
  'with help': 'support',
  help: 'support',
  alone: 'alone',
  'on their own': 'alone',
  can: 'alone',
};
const ways: Readonly<Record<string, How>> = {
  'counted all': 'counted-all',
  'counted on': 'counted-on',
  'worked out': 'worked-out',
  'worked it out': 'worked-out',
  knew: 'knew',
  'knew it': 'knew',
};
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
      void problems.push({ code, field, row, message: `Row ${row}, ${said[field] ?? field}: ${message}` });
    const learner = context.learners.get(cell('learner').toLowerCase());
    if (learner === undefined)
      fault('learner', 'unknown-value', cell('learner') === '' ? 'The learner is missing.' : `There is no learner "${cell('learner')}".`);
    const at = momentOf(cell('at'));
    if (at === null) fault('at', 'malformed', `"${cell('at')}" is no day like 2026-11-10.`);
    else if (at.slice(0, 10) > context.today) fault('at', 'in-the-future', `${cell('at')} lies after today, ${context.today}.`);
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
    const result = results[plainWords(cell('result'))];
    if (counted) {
      if (!Number.isInteger(total) || total < 1 || total > most)
        fault('total', 'out-of-range', `"${cell('total')}" is no number from 1 to ${most}.`);
      else if (cell('correct') === '' || !Number.isInteger(correct) || correct < 0 || correct > total)
        fault('correct', 'out-of-range', `"${cell('correct')}" right of ${total} cannot be.`);
      if (cell('result') !== '') fault('result', 'malformed', 'Give a result or a count, not both.');
    } else if (!result) fault('result', 'unknown-value', `"${cell('result')}" is none of stuck, support, alone.`);
    const how = ways[plainWords(cell('how'))];
    if (cell('how') !== '' && !how) fault('how', 'unknown-value', `"${cell('how')}" is none of counted all, counted on, worked out, knew.`);
    const support = cell('support') === '' ? null : context.supports ? context.supports.get(plainWords(cell('support'))) : cell('support');
    if (support === undefined) fault('support', 'unknown-value', `"${cell('support')}" is no tool or help known here.`);
    if (problems.length > before) continue;
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
    });
  }
  return { drafts, problems, remarks };
}

/** Skills meant by an id, a title or a code. */
export function skillFinder(graph: SkillGraph): (text: string) => readonly string[] {
  const byTitle = new Map(graph.skills.map((s) => [plainWords(s.title), s.id]));
  const byCode = new Map<string, string[]>();
  for (const s of graph.skills) for (const c of s.codes) byCode.set(c.toUpperCase(), [...(byCode.get(c.toUpperCase()) ?? []), s.id]);
  return (text) => {
    const cell = text.trim();
    if (graph.indexOf.has(cell)) return [cell];
    const titled = byTitle.get(plainWords(cell));
    return titled ? [titled] : (byCode.get(cell.toUpperCase()) ?? []);
  };
}

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
    const learner = context.learners.get(name.toLowerCase());
    if (name !== '' && learner === undefined) fault('actor.account.name', 'unknown-value', `There is no learner "${name}".`);
    const at = momentOf(textAt(statement, 'timestamp'));
    if (at === null) fault('timestamp', 'malformed', `"${textAt(statement, 'timestamp')}" is no moment with a zone.`);
    else if (at.slice(0, 10) > context.today)
      fault('timestamp', 'in-the-future', `${textAt(statement, 'timestamp')} lies after today, ${context.today}.`);
    const categories = inside(statement, 'context', 'contextActivities', 'category');
    const iris = [textAt(statement, 'object', 'id'), ...(Array.isArray(categories) ? categories.map((c) => textAt(c, 'id')) : [])];
    const found = iris.map((iri) => skillOf(decoded(iri.split(/[/#:]/).at(-1) ?? ''))).find((s) => s.length > 0) ?? [];
    const [points, max, scaled] = ['raw', 'max', 'scaled'].map((k) => inside(statement, 'result', 'score', k)) as [
      unknown,
      unknown,
      unknown,
    ];
    if (typeof scaled === 'number' && (scaled < -1 || scaled > 1))
      fault('result.score.scaled', 'out-of-range', `${scaled} is not between −1 and 1.`);
    const success = inside(statement, 'result', 'success');
    const counted =
      Number.isInteger(points) &&
      Number.isInteger(max) &&
      (max as number) >= 1 &&
      (max as number) <= most &&
      (points as number) >= 0 &&
      (points as number) <= (max as number);
    if (problems.length > before) continue;
    if (found.length === 0 || (!counted && typeof success !== 'boolean' && typeof scaled !== 'number')) {
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
    const share = typeof scaled === 'number' ? scaled : success === true ? 1 : 0;
    drafts.push({
      row,
      learner: learner!,
      at: at!,
      skill: found[0]!,
      result: counted ? null : share >= aloneFrom ? 'alone' : share >= supportFrom ? 'support' : 'stuck',
      correct: counted ? (points as number) : null,
      total: counted ? (max as number) : null,
      how: null,
      support: null,
    });
  }
  return { drafts, problems, remarks };
}
