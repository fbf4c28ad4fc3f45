import { firstOf, impossible, inOrder } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type QuickLookParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

/** How the cards of a version are drawn. */
const looks = { 'like-a-die': 'like-a-die', 'in-two-groups': 'two-groups', 'in-a-ten-frame': 'ten-frame', anyhow: 'scattered' } as const;

export const quickLook: Mechanism<QuickLookParameters> = {
  id: 'quick-look',
  title: 'Quick look',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Show a dot card for a moment, then cover it.',
    'How many were there? Show it with fingers or say it.',
    'Show it again to check.',
    'How did you see it? Four and two, three and three: tell different ways.',
    'Say one more, or what is missing to ten, if agreed.',
  ],
  played: { with: ['cards'], does: ['counts'], moves: ['looks'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Show the fullest card openly and collect as many ways of seeing it as there are children.',
  told: ['sees {x} dots', 'is not sure of {x} dots and looks again'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 8 },
  extraMeasures: ['notSure'],
  headStart: 'cards',
  check: (p) =>
    firstOf(
      inOrder(p.lowest, p.highest, 'highest', 'number of dots'),
      p.layout === 'in-a-ten-frame' && p.highest > 10 && impossible('highest', 'A ten-frame holds ten dots.'),
    ),
  channels: (p, seats) => {
    const most = Math.max(...seats.map((s) => s.parameters.highest));
    const rep = p.layout === 'in-a-ten-frame' ? 'ten-frame' : p.layout === 'like-a-die' ? 'pips' : 'dots';
    return [
      { op: 'subitise', unknown: 'result', rep, a: [0, most], b: [0, 0] },
      { op: 'count', unknown: 'result', rep, a: [0, most], b: [0, 0] },
      { op: 'compose', unknown: 'result', rep, a: [0, most], b: [0, most] },
      { op: 'next-in-sequence', unknown: 'result', rep, a: [0, most], b: [0, 1] },
      { op: 'add', unknown: 'b', rep, a: [0, most], b: [0, 10] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p) => [{ kind: p.layout === 'in-a-ten-frame' ? 'ten-frame-cards' : 'dot-cards', quantity: 1 }],
  sheets: (p) => [{ sheet: 'amount-cards', copies: 1, data: { low: p.lowest, high: p.highest, each: 3, looks: [looks[p.layout]] } }],
};
