import type { ItemChannel } from '../../simulate/itemChannel';
import { impossible, ownOnly } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type PairMemoryParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { pairsOf } from './rules';

function check(p: PairMemoryParameters): Problem | null {
  if (p.highestCard < p.lowestCard)
    return impossible('highestCard', `The highest card (${p.highestCard}) is below the lowest (${p.lowestCard}).`);
  if ((p.rows * p.columns) % 2 === 1)
    return impossible('rows', `${p.rows} rows of ${p.columns} is an odd number of cards, so one would be left over.`);
  if (pairsOf(p).length === 0 && p.relation === 'difference')
    return impossible('gap', `No two cards from ${p.lowestCard} to ${p.highestCard} differ by ${p.gap}.`);
  if (pairsOf(p).length === 0) return impossible('sum', `No two cards from ${p.lowestCard} to ${p.highestCard} make ${p.sum}.`);
  if (p.relation === 'equal' && p.firstLook === p.secondLook)
    return impossible('secondLook', 'Equal amounts need two different looks, else every pair is the same picture twice.');
  return null;
}

/** A look without numerals is taken in at a glance up to ten, and counted beyond. */
const readChannel = (rep: PairMemoryParameters['firstLook'], highest: number): ItemChannel => ({
  op: highest <= 10 ? 'subitise' : 'count',
  unknown: 'result',
  rep,
});

function partnerChannel(p: PairMemoryParameters): ItemChannel {
  if (p.relation === 'sum') return { op: 'add', unknown: 'b', rep: p.secondLook };
  if (p.relation === 'difference') return { op: 'subtract', unknown: 'a', rep: p.secondLook };
  if (p.relation === 'equal-fraction')
    return { op: 'equivalent-fraction', unknown: 'result', rep: p.secondLook === 'numerals' ? 'numerals' : 'picture' };
  return { op: 'compare', unknown: 'result', rep: p.secondLook === 'numerals' || p.secondLook === 'words' ? p.firstLook : p.secondLook };
}

/** Numerals that belong together by their sum or difference. */
const isOfNumbers = (p: PairMemoryParameters): boolean =>
  (p.relation === 'sum' || p.relation === 'difference') && p.firstLook === 'numerals' && p.secondLook === 'numerals';

export const pairMemory: Mechanism<PairMemoryParameters> = {
  id: 'pair-memory',
  title: 'Pair memory',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Lay the cards face down in rows.',
    'In turn, turn one card and say what it needs; then turn a second.',
    'If the two belong together, keep them; otherwise turn them back.',
    'Everyone watches: what was seen helps later.',
    'When all cards are gone, put the pairs side by side and read them aloud.',
  ],
  played: { with: ['face-down'], does: ['partner'], moves: ['collects'], who: ['in-turn'], ends: ['all-gone'] },
  earlyEnding: 'Turn all cards face up and find the last pairs together.',
  told: ['turns over {x}', 'turns over {x} and {y}: a pair', 'turns over {x} and {y}: not a pair'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['flips'],
  headStart: 'pairs',
  check,
  checkTable: (seats) => ownOnly(seats, ['memory']),
  channels: (p) => [
    partnerChannel(p),
    { op: p.relation === 'difference' ? 'subtract' : 'add', unknown: 'result', rep: p.secondLook },
    readChannel(p.firstLook, p.highestCard),
    readChannel(p.secondLook, p.highestCard),
  ],
  range: (seats) => ({ low: 0, highA: seats[0]!.parameters.highestCard, highB: seats[0]!.parameters.highestCard }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    isOfNumbers(p)
      ? p.by > 1
        ? { kind: 'number-cards', quantity: 1 }
        : { cards: [p.lowestCard, p.highestCard], each: 2 }
      : { kind: 'pair-cards', quantity: 1 },
  ],
  // Pairs of plain numbers come out of any deck that reaches so far.
  sheets: (p) => (isOfNumbers(p) && p.by === 1 && p.highestCard <= 10 ? [] : [{ sheet: 'pair-cards', copies: 1, data: { ...p } }]),
};
