import { accommodations } from '../../core/recommend/accommodations';
import { operations } from '../../core/items/item';
import { askedMeasures } from '../../core/simulate/simulation';
import { DEFAULT_TIME } from '../../core/simulate/timeModel';
import { any, arr, bool, closed, day, fileText, int, name, nullable, num, obj, oneOf, type Schema, str } from './route';

export const bytesBody = closed({ base64: fileText, text: fileText, commit: bool });

export const seatRequest = closed({
  policy: oneOf('careful', 'typical', 'random'),
  errorRate: num,
  parameters: { type: 'object' },
  headStart: { type: 'integer', minimum: 0, maximum: 1000 },
});
export const seatsSchema = { anyOf: [{ type: 'integer' }, { type: 'array', items: seatRequest, minItems: 1, maxItems: 30 }] } as const;
export const simulationBody = closed(
  {
    mechanism: str,
    parameters: { type: 'object' },
    games: { type: 'integer', minimum: 1, maximum: 2_000_000 },
    seed: { type: 'integer', minimum: 0, maximum: 9007199254740991 },
    seats: seatsSchema,
    time: closed(Object.fromEntries(Object.keys(DEFAULT_TIME).map((name) => [name, num]))),
    precision: closed(
      {
        length: { type: 'number', minimum: 0.001, maximum: 1 },
        share: { type: 'number', minimum: 0.0005, maximum: 1 },
        of: closed({ measure: oneOf(...askedMeasures), relative: { type: 'number', minimum: 0.001, maximum: 1 } }, ['measure', 'relative']),
      },
      ['length', 'share'],
    ),
  },
  ['mechanism'],
);

const estimate = obj({ mean: num, standardError: num });
export const simulationResponse = obj(
  {
    games: int,
    seed: int,
    engine: str,
    turns: estimate,
    rounds: estimate,
    minutes: obj({}),
    outcomes: obj({ wins: arr(num), ties: num, capped: num, score: estimate }),
    measures: obj({}),
    items: arr(obj({ op: str, a: num, b: num, result: num, unknown: str, seat: int, count: num })),
  },
  ['games', 'seed', 'engine', 'turns', 'rounds', 'minutes', 'outcomes', 'measures', 'items'],
);

export const jobResponse = obj(
  { id: str, status: oneOf('waiting', 'running', 'done', 'failed', 'cancelled'), progress: num, result: any, problem: any },
  ['id', 'status', 'progress'],
);
export const jobStarted = obj({ job: str });

export const players = closed({ min: { type: 'integer' }, max: { type: 'integer' } }, ['min', 'max']);
export const gameFields: Record<string, Schema> = {
  title: name,
  bin: name,
  source: oneOf('made', 'bought', 'free'),
  condition: str,
  notes: str,
  rules: arr({ ...str, maxLength: 600 }, 60),
};
export const variantFields: Record<string, Schema> = {
  title: name,
  mechanism: nullable(str),
  parameters: { type: 'object' },
  ages: { type: 'array', items: num, minItems: 2, maxItems: 2 },
  players,
  minutes: num,
  helper: oneOf('alone', 'nearby', 'needed'),
  preparationMinutes: { type: 'number', minimum: 0, maximum: 1000 },
  materials: arr(closed({ kind: name, quantity: { type: 'integer', minimum: -1_000_000, maximum: 1_000_000 } }, ['kind', 'quantity']), 60),
  declared: arr(
    closed(
      { skill: str, perTenMinutes: { type: 'number', minimum: 0, maximum: 200 }, counted: { type: 'integer', minimum: 1, maximum: 10000 } },
      ['skill', 'perTenMinutes'],
    ),
  ),
};
export const gameResponse = obj({
  id: str,
  title: str,
  bin: nullable(str),
  source: str,
  condition: str,
  notes: str,
  rules: arr(str),
  retired: bool,
  version: int,
  variants: arr(str),
});
export const variantResponse = obj({
  id: str,
  game: str,
  title: str,
  mechanism: nullable(str),
  parameters: obj({}),
  ages: arr(num),
  players: obj({ min: int, max: int }),
  minutes: num,
  materials: arr(obj({ kind: str, quantity: int })),
  helper: str,
  preparationMinutes: num,
  declared: arr(any),
  retired: bool,
  version: int,
});
export const changed = obj({ id: str, version: int, change: str }, ['id']);

export const learnerFields: Record<string, Schema> = {
  nickname: name,
  born: name,
  framework: name,
  group: nullable(name),
  permanentSupports: arr(name, 60),
  supportsInUse: arr(name, 60),
  actions: arr({ ...str, maxLength: 600 }, 40),
  goals: arr(name, 300),
  withoutNorms: bool,
  accommodations: arr(oneOf(...accommodations), 30),
  likings: arr(name, 300),
};
export const learnerResponse = obj({
  id: str,
  nickname: str,
  born: str,
  framework: str,
  group: nullable(str),
  permanentSupports: arr(str),
  supportsInUse: arr(str),
  actions: arr(str),
  goals: arr(str),
  withoutNorms: bool,
  accommodations: arr(str),
  likings: arr(str),
  version: int,
});

export const notedItem = closed({ op: oneOf(...operations), a: num, b: num, correct: bool }, ['op', 'a', 'b', 'correct']);
export const evidenceFields: Record<string, Schema> = {
  learner: str,
  at: str,
  kind: oneOf('placement', 'check-in', 'note', 'statement'),
  skill: str,
  result: oneOf('stuck', 'support', 'alone'),
  correct: { type: 'integer', minimum: 0, maximum: 200 },
  total: { type: 'integer', minimum: 1, maximum: 200 },
  how: oneOf('counted-all', 'counted-on', 'worked-out', 'knew'),
  support: str,
  variant: str,
  session: str,
  items: { type: 'array', items: notedItem, maxItems: 200 },
  seconds: { type: 'number', minimum: 0, maximum: 7200 },
  by: closed({ role: oneOf('organiser', 'helper', 'parent'), ownChild: bool }, ['role']),
};
export const evidenceBody = closed(evidenceFields, ['learner', 'kind', 'skill']);

export const masteryItem = obj({
  skill: str,
  mastery: num,
  asSeen: num,
  retention: num,
  interval: arr(num),
  seen: bool,
  status: oneOf('not-yet', 'growing', 'on-their-own', 'worth-checking'),
});

export const lock = closed({ learner: str, round: { type: 'integer', minimum: 0 }, game: str }, ['learner', 'round', 'game']);
export const planFields: Record<string, Schema> = {
  date: day,
  present: { type: 'array', items: str, maxItems: 60 },
  rounds: { type: 'integer', minimum: 1, maximum: 8 },
  minutes: { type: 'integer', minimum: 3, maximum: 120 },
  tables: { type: 'integer', minimum: 0, maximum: 20 },
  helpers: { type: 'integer', minimum: 0, maximum: 20 },
  seed: { type: 'integer', minimum: 0, maximum: 2147483647 },
  seconds: { type: 'number', minimum: 0.1, maximum: 60 },
  preparationMinutes: { type: 'number', minimum: 0, maximum: 10000 },
  locks: arr(lock),
  resting: arr(closed({ learner: str, round: { type: 'integer', minimum: 0 } }, ['learner', 'round'])),
};
export const planBody = closed(planFields, ['present', 'rounds', 'minutes', 'tables', 'helpers']);
export const editedRounds = arr(
  closed(
    {
      tables: arr(closed({ game: str, seats: arr(closed({ learner: str, variant: str }, ['learner'])) }, ['game', 'seats'])),
      resting: arr(str),
    },
    ['tables', 'resting'],
  ),
);
export const planResponse = obj(
  {
    id: str,
    objective: num,
    bound: num,
    status: oneOf('optimal', 'good', 'stopped-early', 'infeasible'),
    relax: arr(str),
    rounds: arr(
      obj({
        tables: arr(
          obj({
            game: str,
            helper: bool,
            materials: arr(any),
            seats: arr(obj({ learner: str, variant: str, doses: arr(obj({ skill: str, items: num })), why: str })),
          }),
        ),
        resting: arr(str),
      }),
    ),
    locks: arr(any),
    version: int,
  },
  ['id', 'objective', 'bound', 'status', 'rounds', 'locks', 'version'],
);
export const checkResponse = obj({ violations: arr(obj({ rule: str, message: str }, ['rule', 'message'])), objective: num });
