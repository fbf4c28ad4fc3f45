import { type Static } from '@sinclair/typebox';
import { prepSorts } from '../../core/materials/gettingReady';
import { define } from './route';
import { arr, bool, closed, day, int, nullable, num, obj, oneOf, str } from './schema';

const gather = obj({
  plan: str,
  date: str,
  bins: arr(
    obj({
      bin: str,
      title: str,
      items: arr(
        obj({
          item: str,
          title: str,
          quantity: int,
          have: nullable(int),
          state: oneOf('there', 'short', 'missing'),
          forGames: arr(str),
          rounds: arr(int),
          caution: nullable(str),
          notes: str,
          ticked: bool,
          /** Counted back; ticked as `back:` and the item. */
          back: bool,
        }),
      ),
    }),
  ),
  /** The same by table: what is laid out there, each seat's tool, and what goes back from there and by whom. */
  tables: arr(
    obj({
      round: int,
      table: int,
      game: str,
      title: str,
      versions: arr(str),
      things: arr(obj({ title: str, quantity: int })),
      tools: arr(obj({ learner: str, tool: str })),
      /** Nothing later in the session uses these; the child whose turn it is takes them back. */
      returns: nullable(obj({ learner: str, things: arr(str) })),
    }),
  ),
  ticked: int,
  total: int,
  smallParts: bool,
});

export type GatherWire = Static<typeof gather>;

const ahead = obj({
  until: str,
  sessions: arr(obj({ plan: str, date: str })),
  /** What leaves the bins in these sessions, shared things once. */
  bins: arr(
    obj({
      title: str,
      items: arr(obj({ item: str, title: str, quantity: int, dates: arr(str), state: oneOf('there', 'short', 'missing') })),
    }),
  ),
  /** What has to be made, mended or got there before, the soonest first; work of one sort stands together. */
  make: arr(
    obj({
      batch: oneOf(...prepSorts, 'repair', 'thing'),
      /** A step of a version that can be ticked off; null for what is mended or bought. */
      variant: nullable(str),
      step: nullable(str),
      title: str,
      what: str,
      minutes: num,
      /** In the owner's money; null where she wrote no price. */
      cost: nullable(num),
      first: str,
      done: bool,
    }),
  ),
  /** What is used up by the work that is left. */
  uses: arr(obj({ what: str, quantity: num, cost: nullable(num), for: arr(str) })),
  /** Minutes that are left, and that are done of these. */
  minutes: num,
  doneMinutes: num,
  /** What is known of its cost, and how many things have no price. */
  cost: num,
  unpriced: int,
});

export type AheadWire = Static<typeof ahead>;

/** Getting ready: what to bring, and what to make before. */
export const prepWire = define({
  'GET /plans/{id}/gather': { summary: 'What to bring, bin by bin', response: gather },
  'GET /prep/ahead': {
    summary: 'What all sessions until a day need, and what has to be made before them',
    query: { until: day },
    response: ahead,
  },
  'PUT /prep/steps': {
    summary: 'Tick off a step of getting a version ready',
    body: closed({ variant: str, step: str, ticked: bool }, ['variant', 'step', 'ticked']),
    response: obj({ variant: str, step: str, ticked: bool }),
  },
  'PUT /plans/{id}/gather': {
    summary: 'Tick something off the list',
    body: closed({ item: str, ticked: bool }, ['item', 'ticked']),
    response: obj({ item: str, ticked: bool }),
  },
});
