import { Type } from '@sinclair/typebox';
import { mostPages, mostPieces } from '../../core/print/layOut';
import { duplexes } from '../../core/print/sheetPage';
import { inks } from '../../core/print/inks';
import { paperIds } from '../../core/print/paper';
import { rangeMarks } from '../../core/print/rangeMarks';
import { forms, sheetGroups } from '../../core/print/sheetKind';
import { define } from './route';
import {
  anything,
  arr,
  bool,
  changed,
  closed,
  day,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  oneOf,
  opt,
  pageQuery,
  record,
  seed,
  str,
  undoable,
  waitQuery,
  within,
  whole,
} from './schema';

const paper = oneOf(...paperIds);
/** How a set is printed; what is left out is as usual, and the paper is that of the country. */
const setAsked = {
  parameters: record(anything),
  paper,
  seed,
  ink: oneOf(...inks),
  duplex: oneOf(...duplexes),
  copies: whole(1, 200),
  form: oneOf(...forms),
  mark: oneOf(...rangeMarks),
  gutter: within(0, 10),
  /** Whose set it is, printed small at the foot. */
  label: Type.String({ maxLength: 80 }),
} as const;
const asked = {
  ...setAsked,
  /** Numbers of the pieces to print, from 1 in the order in which they lie; all of them where it is left out. */
  only: arr(whole(1, mostPieces), mostPieces, 1),
} as const;

const point = Type.Unsafe<readonly [number, number]>({ type: 'array', items: num, minItems: 2, maxItems: 2 });
const box = obj({
  kind: oneOf('text', 'rect', 'ellipse', 'path', 'card', 'cut'),
  x: num,
  y: num,
  w: num,
  h: num,
  text: opt(str),
  size: opt(num),
  bold: opt(bool),
  align: opt(oneOf('start', 'middle', 'end')),
  turned: opt(num),
  fill: opt(str),
  line: opt(str),
  width: opt(num),
  dashed: opt(bool),
  points: opt(arr(point)),
  closed: opt(bool),
  frame: opt(bool),
});
const page = obj({ width: num, height: num, side: oneOf('front', 'back'), boxes: arr(box) });
const layout = obj({
  kind: str,
  title: str,
  /** Millimetres from the upper left corner. */
  pages: arr(page, mostPages),
  key: nullable(arr(str)),
  /** Pages of answers that come at the end, where no printed back has them. */
  answerPages: int,
  verified: Type.Literal(true),
  checked: str,
  seed: int,
  pieces: int,
  sheets: int,
  cuts: int,
  /** About, from a page, a piece, a set; corrected by how long this owner's sets took. */
  minutes: num,
});
const kind = obj({
  id: str,
  title: str,
  about: str,
  group: oneOf(...sheetGroups),
  forFamilies: arr(str),
  parametersSchema: record(anything),
  example: record(anything),
  cautions: arr(str),
});
/** A set that a game needs, ready to be printed. */
const needed = obj({
  sheet: str,
  title: str,
  parameters: record(anything),
  copies: int,
  sheets: int,
  pieces: int,
  cuts: int,
  minutes: num,
  /** Its cards can be numbered so that the first turns show each rule. */
  teaches: bool,
});
const set = closed({ sheet: str, ...asked }, ['sheet']);
const made = obj({
  id: str,
  sheet: str,
  title: str,
  parameters: record(anything),
  seed: int,
  paper: str,
  form: str,
  mark: str,
  label: str,
  copies: int,
  pieces: int,
  variant: nullable(str),
  thing: nullable(str),
  madeOn: day,
  /** How long it took, where somebody told. */
  minutes: nullable(num),
});

/** What a job tells of the file it made; the file itself is under the job. */
const file = obj({ file: str, size: int });

export const printWire = define({
  'GET /sheets': { summary: 'Everything that can be printed', query: pageQuery, response: list(kind) },
  'POST /sheets/{id}/layout': {
    summary: 'A set laid out: its pages as boxes in millimetres',
    body: closed(asked),
    response: layout,
    waits: true,
  },
  'POST /sheets/{id}/pdf': { summary: 'A set as PDF', body: closed(asked), response: Type.String(), media: 'application/pdf', waits: true },
  'POST /printouts': {
    summary: 'Several sets as one PDF, in this order',
    query: waitQuery,
    body: closed({ sets: arr(set, 40, 1), title: name }, ['sets']),
    response: Type.String(),
    job: file,
    media: 'application/pdf',
    waits: true,
  },
  'GET /variants/{id}/sheets': {
    summary: 'What a version needs on paper for a table, with sheets, cuts and minutes; the same with smaller numbers; missing cards',
    query: { players: whole(1, 12), paper },
    response: obj({
      items: arr(needed),
      smaller: arr(needed),
      missing: arr(needed),
      /** What its numbers do not allow to print, with the reason. */
      refused: arr(obj({ sheet: str, title: str, why: str, parameters: record(anything), copies: int })),
      sheets: int,
      cuts: int,
      minutes: num,
    }),
  },
  'POST /variants/{id}/sheets': {
    summary: 'All a version needs, as one PDF',
    body: closed({ players: whole(1, 12), ...setAsked }),
    response: Type.String(),
    media: 'application/pdf',
    waits: true,
  },
  'POST /bins/{id}/label': {
    summary: 'A label for a bin: its name, what lies in it, and a code that opens its page',
    body: closed({ paper, address: Type.String({ maxLength: 200 }) }),
    response: Type.String(),
    media: 'application/pdf',
    waits: true,
  },
  'POST /plans/{id}/pack': {
    summary: 'Everything for a session on paper, in the order of gathering; 202 with a job where its plan B is still worked out',
    query: waitQuery,
    body: closed({ paper, everything: bool, ink: asked.ink }),
    response: Type.String(),
    job: file,
    media: 'application/pdf',
    waits: true,
  },
  'GET /term/sheet': {
    summary: 'The weeks of the term on paper, or one of them, to hang on a wall',
    query: { week: whole(1, 60), paper },
    response: Type.String(),
    media: 'application/pdf',
    waits: true,
  },
  'GET /made': { summary: 'Sets that were made, the latest first', query: pageQuery, response: list(made) },
  'POST /made/several': {
    summary: 'Several sets were printed and cut, all or none; one change takes all of them back',
    body: closed({ sets: arr(closed({ sheet: str, ...setAsked, variant: nullable(str) }, ['sheet']), 40, 1) }, ['sets']),
    status: 201,
    response: obj({ ids: arr(str), change: str }),
    waits: true,
  },
  'POST /made': {
    summary: 'A set was printed and cut: it stands in Things, and can be printed again',
    body: closed({ sheet: str, ...setAsked, variant: nullable(str), minutes: nullable(within(0, 600)) }, ['sheet']),
    status: 201,
    response: changed,
    waits: true,
  },
  'PATCH /made/{id}': { summary: 'How long it took', body: closed({ minutes: nullable(within(0, 600)) }, ['minutes']), response: undoable },
  'DELETE /made/{id}': { summary: 'It was not made, or is gone', response: undoable },
});
