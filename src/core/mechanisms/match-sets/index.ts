import { coinsUpTo } from '../../play/country';
import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type MatchParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { halves } from './halves';

export const matchSets: Mechanism<MatchParameters> = {
  id: 'match-sets',
  title: 'Match the halves',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Spread all halves face up.',
    'Take one half, work out what it needs, and find its partner.',
    'Lay them edge to edge; if they do not fit, put them back.',
    'Everyone works on the same set; the timer faces the helper.',
    'All matched before the sand has run? Everyone has won.',
  ],
  played: { with: ['cards', 'tiles'], does: ['partner'], moves: ['collects'], who: ['together'], ends: ['all-gone'] },
  earlyEnding: 'Turn the timer over once more and finish together, or count how many halves found a partner.',
  told: ['matches {x} and {y}', 'takes a wrong half for {x} and {y}, and puts it back'],
  howTo,
  inCountry: (p, country) => (p.halves === 'coins-and-amount' ? { ...p, coins: coinsUpTo(country, p.highest) } : p),
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['beforeTimer', 'mismatches'],
  headStart: null,
  check: (p) => {
    const n = p.lowest > p.highest ? 0 : halves[p.halves].list(p).length;
    return firstOf(
      p.halves === 'coins-and-amount' && !p.coins.includes(1) && impossible('coins', 'Without a coin of 1 some amounts cannot be made.'),
      n < p.sets && impossible('sets', `Only ${n} different pairs of halves can be made, and ${p.sets} are wanted.`),
    );
  },
  checkTable: (seats) => ownOnly(seats, []),
  channels: (p) => [halves[p.halves].channel(p), { ...halves[p.halves].channel(p), rep: 'words' }],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: (p) => p.play === 'all-at-once',
  createTable,
  needs: () => [
    { kind: 'match-halves', quantity: 1 },
    { kind: 'sand-timer', quantity: 1 },
  ],
  sheets: (p) => [{ sheet: 'match-halves', copies: 1, data: { ...p } }],
};
