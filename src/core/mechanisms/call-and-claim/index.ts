import { fourOperations, operationSigns, wholeResult } from '../../play/arithmetic';
import { inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type ClaimParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const callAndClaim: Mechanism<ClaimParameters> = {
  id: 'call-and-claim',
  title: 'Call and claim',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Lay the cards open so that everyone can reach them.',
    'The caller reads a question, or an answer, twice.',
    'With the own clock everyone finds their card in peace; as a race the first hand takes it.',
    'Say the whole fact before you take the card.',
    'In a race a quick player counts to the agreed number before claiming.',
  ],
  played: { with: ['cards'], does: ['adds', 'takes-away', 'multiplies'], moves: ['collects'], who: ['all-at-once'], ends: ['score'] },
  earlyEnding: 'Turn the cards that are left one by one and say them together.',
  told: ['claims {x} and {y} first', 'finds {x} and {y} in own time', 'takes a wrong card for {x} and {y}, and it is looked at together'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['slowestShare', 'cutShort'],
  headStart: 'claims',
  check: (p) => {
    const wrong = p.only.find(([a, b]) => wholeResult(p.operation, a, b) < 0);
    if (!wrong) return inOrder(p.lowest, p.highest, 'highest', 'number');
    const message = `${wrong[0]} ${operationSigns[p.operation]} ${wrong[1]} has no whole answer. Take it away, or turn its numbers round.`;
    return { code: 'impossible-parameters', field: 'only', message };
  },
  checkTable: (seats) => sharedBy(seats, ['form', 'ends', 'claims', 'laid', 'call']),
  channels: (_p, seats) => {
    const high = Math.max(...seats.flatMap((s) => [s.parameters.highest, ...s.parameters.only.flat()]));
    const spans = (op: string) => ({ a: [0, op === 'divide' ? high * high : 2 * high] as const, b: [0, high] as const });
    return [
      ...fourOperations.map((op) => ({ op, unknown: 'result' as const, rep: 'words' as const, ...spans(op) })),
      ...fourOperations.map((op) => ({ op, unknown: 'b' as const, rep: 'words' as const, ...spans(op) })),
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: () => [{ kind: 'call-cards', quantity: 1 }],
  sheets: (p) => [
    {
      sheet: 'call-cards',
      copies: 1,
      data: { operation: p.operation, low: p.lowest, high: p.highest, call: p.call, only: p.only, claim: true },
    },
  ],
};
