import { type Static, Type } from '@sinclair/typebox';
import { coverageStates } from '../../core/frameworks/standardsCovered';
import { define } from './route';
import { arr, bool, changed, closed, int, nullable, num, obj, ok, oneOf, problem, str, within } from './schema';
import { fileBody } from './things';

const coveredBy = obj({ game: str, title: str, variant: str, variantTitle: str, skill: str, dose: num });

const covered = obj({
  identifier: str,
  code: str,
  statement: str,
  /** The owner compared the code with her document. */
  compared: bool,
  band: nullable(str),
  state: oneOf(...coverageStates),
  steps: int,
  stepsWithGame: int,
  /** Games that practise it, the largest dose first, and how many there are in all. */
  games: arr(coveredBy),
  gamesInAll: int,
  /** Children who are ready for one of its steps and do not hold it. */
  waiting: arr(obj({ learner: str, nickname: str })),
  /** Games of the library that would practise it, not on the shelf. */
  remedies: arr(coveredBy),
  /** Steps of it that no game practises: what a version would have to be turned to. */
  lacks: arr(str),
  /** Games that were put away and would practise it. */
  away: arr(obj({ game: str, title: str })),
  /** Where every game of it lacks things: what each would need. */
  lacking: arr(obj({ game: str, title: str, missing: arr(obj({ kind: str, short: int })) })),
});

export type CoveredWire = Static<typeof covered>;

const coverage = obj({
  framework: str,
  title: str,
  /** Codes that ship with the app are from memory until the owner compares them with her document. */
  fromMemory: bool,
  bands: arr(str),
  items: arr(covered),
  /** Expectations that would lose their last game without the bin that was asked about. */
  lost: arr(str),
  /** Games that could be put away, each alone, and every expectation would still have two others. */
  spare: arr(obj({ game: str, title: str, covers: int })),
  /** Sessions that are looked at where it is the term that is asked about; null for the shelf. */
  sessions: nullable(int),
});

export type CoverageWire = Static<typeof coverage>;

const query = { framework: str, without: str, over: oneOf('shelf', 'term', 'unit'), tag: Type.String({ maxLength: 40 }) };

const pacing = obj({ framework: str, weeks: arr(obj({ week: str, codes: arr(obj({ identifier: str, code: str })) })) });

export type PacingWire = Static<typeof pacing>;

const next = obj({
  /** Open needs of the children that no game of theirs serves; of how many there is something in the library. */
  open: int,
  within: int,
  covered: int,
  /** Steps for which the library has nothing that these children may play: what a game of your own would have to practise. */
  missing: arr(obj({ skill: str, title: str, learners: arr(str) })),
  /** What the choice costs, in minutes of preparing or in the owner's money. */
  cost: num,
  unit: oneOf('minutes', 'money'),
  /** Games that are left out since somebody would have to write down what a thing costs. */
  unpriced: int,
  /** No other choice of as much closes more; else how many one could close at most. */
  proven: bool,
  atMost: int,
  chosen: arr(
    obj({
      game: str,
      title: str,
      cost: num,
      /** What it closes: a step, and the children who wait for it. */
      closes: arr(obj({ skill: str, title: str, learners: arr(str) })),
    }),
  ),
});

export type NextWire = Static<typeof next>;

export const coverageWire = define({
  'GET /coverage': {
    summary:
      'Which expectations of a framework have a game, how far each has come, and what would help; `without` a bin as if it were away',
    query,
    response: coverage,
    waits: true,
  },
  'GET /coverage.csv': { summary: 'The same as CSV', query, response: Type.String(), media: 'text/csv', waits: true },
  'GET /coverage.pdf': {
    summary: 'The same on two pages, for somebody who was not there',
    query: { ...query, paper: oneOf('a4', 'letter') },
    response: Type.String(),
    media: 'application/pdf',
    waits: true,
  },
  'POST /coverage/compared': {
    summary: 'Say of codes that they were compared with the official document, or not',
    body: closed({ framework: str, identifiers: arr(str, 2000), compared: Type.Boolean() }, ['framework', 'identifiers', 'compared']),
    response: ok,
  },
  'GET /pacing': { summary: 'What is to be met when, by the codes of a framework', query: { framework: str }, response: pacing },
  'POST /imports/pacing': {
    summary: 'Preview or bring in a pacing list (week, code) in the place of the one before; plans lean to it',
    body: closed({ ...fileBody.properties, framework: str }, ['framework']),
    response: obj({ committed: bool, weeks: int, codes: int, problems: arr(problem), change: nullable(str) }),
    waits: true,
  },
  'DELETE /pacing/{id}': { summary: 'Take the pacing list of a framework away', response: changed },
  'GET /coverage/next': {
    summary:
      'What to make or take next: the choice within so many minutes of preparing, or so much money for what is missing, that closes most open needs of the children',
    query: { minutes: within(5, 2000), money: within(0, 100_000) },
    response: next,
    waits: true,
  },
});
