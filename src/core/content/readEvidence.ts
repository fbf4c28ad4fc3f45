import type { EvidenceResult } from '../mastery/evidence';
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
import { nameKey, shortened } from './names';
import { columnByHeader } from './guessColumns';
import type { ColumnSpec } from './rawTable';
import type { CsvRow } from './readCatalogue';
import { skillFinder } from './skillFinder';

/** Columns of notes. */
export const evidenceSpecs: readonly ColumnSpec[] = [
  { name: 'learner', headers: ['learner', 'nickname', 'child', 'name'] },
  { name: 'at', headers: ['at', 'date', 'day', 'when'] },
  // What our own lists say beside the moment, for people.
  { name: 'local day', headers: ['local day'] },
  { name: 'zone', headers: ['zone', 'time zone'] },
  { name: 'skill', headers: ['skill', 'code', 'standard'] },
  { name: 'result', headers: ['result', 'how it went', 'went'] },
  { name: 'correct', headers: ['correct', 'right'] },
  { name: 'total', headers: ['total', 'of', 'questions'] },
  { name: 'how', headers: ['how', 'strategy'] },
  { name: 'support', headers: ['support', 'tool', 'help'] },
  { name: 'withdrawn', headers: ['taken back', 'withdrawn'] },
  { name: 'kind', headers: ['kind'] },
  { name: 'by', headers: ['by', 'role'] },
  { name: 'own child', headers: ['own child'] },
  { name: 'items', headers: ['items', 'facts'] },
  { name: 'seconds', headers: ['seconds'] },
  { name: 'version', headers: ['version', 'variant'] },
  { name: 'session', headers: ['session'] },
];

export const evidenceColumnOf = (header: string): string | null => columnByHeader(header, evidenceSpecs);

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

const said: Readonly<Record<string, string>> = { at: 'day', correct: 'right', total: 'of', support: 'tool' };

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
      if (!Number.isInteger(total) || total < 1 || total > mostQuestionsOfSheet)
        fault('total', 'out-of-range', `"${cell('total')}" is no number from 1 to ${mostQuestionsOfSheet}.`);
      else if (cell('correct') === '' || !Number.isInteger(correct) || correct < 0 || correct > total)
        fault('correct', 'out-of-range', `"${cell('correct')}" right of ${total} cannot be.`);
      if (cell('result') !== '') fault('result', 'malformed', 'Give a result or a count, not both.');
    } else if (!result) fault('result', 'unknown-value', `"${cell('result')}" is none of stuck, support, alone.`);
    const how = waysByWord.get(plainWords(cell('how')));
    if (cell('how') !== '' && !how) fault('how', 'unknown-value', `"${cell('how')}" is none of counted all, counted on, worked out, knew.`);
    const support = cell('support') === '' ? null : context.supports ? context.supports.get(plainWords(cell('support'))) : cell('support');
    if (support === undefined) fault('support', 'unknown-value', `"${cell('support')}" is no tool or help known here.`);
    const kind = cell('kind') === '' ? (counted ? 'check-in' : 'statement') : evidenceKinds.find((k) => k === cell('kind').toLowerCase());
    if (!kind) fault('kind', 'unknown-value', `"${cell('kind')}" is none of ${evidenceKinds.join(', ')}.`);
    const role = cell('by') === '' ? 'organiser' : roles.find((x) => x === cell('by').toLowerCase());
    if (!role) fault('by', 'unknown-value', `"${cell('by')}" is none of ${roles.join(', ')}.`);
    const items = readFacts(cell('items'));
    if (!items || items.length > mostQuestionsOfSheet)
      fault('items', 'malformed', `"${cell('items')}" is no list like add 8 7 missed; add 6 9 right.`);
    const seconds = cell('seconds') === '' ? null : Number(cell('seconds'));
    if (seconds !== null && !(seconds >= 0 && seconds <= longestSeconds))
      fault('seconds', 'out-of-range', `"${cell('seconds')}" is no time from 0 to ${longestSeconds} seconds.`);
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
