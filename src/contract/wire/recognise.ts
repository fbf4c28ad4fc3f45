import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import { anything, arr, bool, changed, closed, int, name, nullable, num, obj, oneOf, opt, pageQuery, pair, record, str } from './schema';
import { dose, span } from './things';

const words10k = Type.String({ maxLength: 10_000 });
const words = obj({ field: int, from: int, to: int });

const guess = obj({
  mechanism: str,
  title: str,
  /** Against all other families and none, 0 … 1; the page says sure or perhaps, no number. */
  chance: num,
  /** Words of the row that decided: field 0 is its title, then its notes in order, then its things. */
  decided: arr(words),
  /** What it would be played with: the shipped version's numbers where it is the same, else what the row tells. */
  parameters: record(anything),
  /** The shipped version that comes nearest, and in which parameters it is not what the row tells. */
  twin: nullable(obj({ game: str, title: str, version: str, versionTitle: str, differs: arr(str) })),
  /** What a child meets in ten minutes, from the shipped version's games; empty where it has to be played first. */
  practice: arr(dose),
});

const asked = obj({
  variant: str,
  game: str,
  version: int,
  title: str,
  versionTitle: str,
  notes: arr(str),
  things: str,
  bin: nullable(str),
  ages: pair(num),
  players: span,
  minutes: num,
  said: oneOf('owner', 'words', 'guessed'),
  sure: bool,
  guesses: arr(guess),
  /** Steps that the row names, by words or codes. */
  skills: arr(obj({ skill: str, title: str, decided: arr(words) })),
});

export type AskedWire = Static<typeof asked>;

export const recogniseWire = define({
  'GET /recognise': {
    summary: 'Versions that nobody has said how they are played, each with the families its words speak for, sure ones first',
    query: pageQuery,
    response: obj({ items: arr(asked), total: int, sure: int }),
  },
  'POST /recognise': {
    summary: 'Which families rows speak of, without a file: the same reading as in the import preview, in the order given',
    body: closed(
      {
        rows: Type.Array(
          closed(
            {
              title: Type.String({ maxLength: 500 }),
              note: words10k,
              text: words10k,
              skills: words10k,
              grade: words10k,
              materials: words10k,
            },
            ['title'],
          ),
          { minItems: 1, maxItems: 400 },
        ),
      },
      ['rows'],
    ),
    response: obj({
      items: arr(
        obj({
          title: str,
          guesses: arr(obj({ mechanism: str, chance: num, because: str })),
          sure: num,
          family: nullable(str),
          variant: nullable(str),
          parameters: record(anything),
          others: arr(obj({ family: str, sure: num })),
          why: str,
        }),
      ),
      total: int,
    }),
  },
  'POST /variants/{id}/known': {
    summary: 'Say how a version is played, or what it practises; a guess stays one until it is played',
    body: closed(
      {
        version: Type.Integer(),
        mechanism: name,
        parameters: record(anything),
        declared: arr(closed({ skill: str, perTenMinutes: opt(num) }, ['skill']), 20),
      },
      ['version'],
    ),
    response: changed,
  },
});
