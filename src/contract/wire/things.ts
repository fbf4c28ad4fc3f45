import { type Static, Type } from '@sinclair/typebox';
import { type ItemPredicate } from '../../core/skills/skill';
import { operations, representations } from '../../core/items/item';
import { arr, bool, closed, int, nullable, num, obj, oneOf, opt, pair, str, whole, within } from './schema';

/** Shapes that several routes speak of. */

export const source = oneOf('made', 'bought', 'free');
export const helper = oneOf('alone', 'nearby', 'needed');
/** How it goes on in the room: quietly at a table, with voices and movement, or on the floor. */
export const room = oneOf('calm', 'lively', 'floor');
/** Where the practice in a version is known from; being measured, or its family cannot play it. */
export const offerSource = oneOf('calculated', 'declared', 'words', 'none', 'measuring', 'faulty');
export const material = obj({ kind: str, quantity: int });
/** Some that are with somebody else until a day. */
export const loan = closed(
  { who: Type.String({ maxLength: 80 }), quantity: int, until: nullable(Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' })) },
  ['who', 'quantity', 'until'],
);
/** A sort of thing and how many there are. */
export const thing = obj({
  id: str,
  title: str,
  alsoCalled: arr(str),
  unit: str,
  /** Pieces that are here: what is ours less what is lent. */
  quantity: int,
  owned: int,
  /** A number, plenty, nobody is sure (used as if there), or none. */
  state: oneOf('number', 'plenty', 'unsure', 'none'),
  /** Never short in a plan: plenty, or nobody is sure. */
  plentiful: bool,
  bin: nullable(str),
  /** Where it lies, in words: its bin, or where such things usually lie. */
  drawer: str,
  /** Order of the drawers. */
  place: int,
  condition: str,
  /** What is missing of it; empty where it is whole. */
  incomplete: str,
  loans: arr(loan),
  /** What the owner said will do in its place. */
  standIn: nullable(str),
  /** What one costs, in the owner's money; null where nobody wrote it down. */
  price: nullable(num),
  smallParts: bool,
  caution: nullable(str),
  shipped: bool,
});
export const dose = obj({ skill: str, perTenMinutes: num });
export const span = obj({ min: int, max: int });

export const item = obj({
  op: oneOf(...operations),
  a: num,
  b: num,
  result: num,
  unknown: oneOf('result', 'a', 'b'),
  rep: oneOf(...representations),
});

const operand = within(-1_000_000, 1_000_000);
const oneOrMore = <const V extends readonly string[]>(values: V) => Type.Union([oneOf(...values), arr(oneOf(...values), 200, 1)]);
const multiple = whole(1, 100_000);
const conditions = {
  op: oneOrMore(operations),
  a: pair(operand),
  b: pair(operand),
  smaller: pair(operand),
  larger: pair(operand),
  result: pair(operand),
  unknown: oneOrMore(['result', 'a', 'b']),
  rep: oneOrMore(representations),
  ten: oneOrMore(['within', 'reaching', 'leaving', 'crossing']),
  regroups: bool,
  crossesHundred: bool,
  double: bool,
  nearDouble: bool,
  bondOf: num,
  either: arr(num, 50, 1),
  bothMultiplesOf: multiple,
  largerMultipleOf: multiple,
  resultMultipleOf: multiple,
  aMultipleOf: multiple,
  bMultipleOf: multiple,
  denominators: arr(whole(1, 99), 50, 1),
  likeDenominators: bool,
  negative: bool,
  whole: bool,
} satisfies Readonly<Record<Exclude<keyof ItemPredicate, 'anyOf' | 'not'>, object>>;
const alternatives = arr(closed({ ...conditions, not: closed(conditions) }), 12, 1);
/** Which items count; alternatives stand one level deep, each with what is left out of it. */
export const predicate = Type.Unsafe<ItemPredicate>(
  closed({ ...conditions, anyOf: alternatives, not: closed({ ...conditions, anyOf: alternatives }) }),
);

export const prerequisite = closed({ id: str, sort: oneOf('idea', 'heart') }, ['id', 'sort']);
export const nature = oneOf('by-heart', 'method', 'strategy', 'concept');
/** Age by which each framework wants a skill: the two shipped, and those brought in. */
const wantedAt = Type.Unsafe<{ us: number; england: number; [framework: string]: number }>({
  type: 'object',
  properties: { us: num, england: num },
  required: ['us', 'england'],
  additionalProperties: num,
});
export const skill = obj({
  id: str,
  title: str,
  short: str,
  looksLike: str,
  strand: str,
  nature,
  wantedAt,
  prerequisites: arr(obj({ id: str, sort: oneOf('idea', 'heart') })),
  codes: arr(str),
  predicate: nullable(predicate),
  whyNoItems: opt(str),
  asks: opt(predicate),
  placeToStart: opt(bool),
  parts: opt(arr(str)),
  supports: opt(arr(str)),
  slips: arr(str),
});
export type SkillWire = Static<typeof skill>;
export const strand = obj({ id: str, title: str, hue: str, line: str, ladder: arr(str), skills: arr(str) });
export type StrandWire = Static<typeof strand>;

/** A file as base64 or text; `commit` brings it in, otherwise it is only shown. */
export const fileBody = closed({ base64: Type.String(), text: Type.String(), name: Type.String({ maxLength: 500 }), commit: bool });
const tableChoice = { table: str, use: bool, headerRow: int, columns: arr(nullable(str), 200), asAbove: arr(int, 200) };
const cellPlace = { table: str, row: int };
/** What whoever brings a file in says about reading it. */
export const readingWishes = {
  choices: arr(closed(tableChoice, ['table', 'use', 'headerRow', 'columns', 'asAbove']), 40),
  mended: arr(closed({ ...cellPlace, column: str, value: str }, ['table', 'row', 'column', 'value']), 5000),
  left: arr(closed(cellPlace, ['table', 'row']), 20_000),
};
/** How a sheet is read, with a few cells of each column. */
export const tableShown = obj({ ...tableChoice, headers: arr(str), samples: arr(arr(str)), rowCount: int });
export const remark = obj({ row: int, message: str });
export const notedItem = obj({ op: oneOf(...operations), a: num, b: num, correct: bool });
