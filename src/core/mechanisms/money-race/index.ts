import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type MoneyParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';

const offGrid = { a: [0, 0], b: [0, 0] } as const;

export const moneyRace: Mechanism<MoneyParameters> = {
  id: 'money-race',
  title: 'Market stall',
  cues: async () => (await import('./cues')).CUES,
  words: ['Everyone has the same purse.', 'Buy from the stall, pay, and say the change.', 'Spend as nearly all as you can, or buy most.'],
  played: {
    with: ['cards', 'things'],
    does: ['adds', 'takes-away'],
    moves: ['collects', 'makes-target'],
    who: ['in-turn'],
    ends: ['rounds'],
  },
  earlyEnding: 'Everyone counts what is left, and the table finds out what it could buy together.',
  told: ['pays {x} and has spent {y}', 'has {x} left and can buy nothing'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['moneyLeft'],
  headStart: 'points',
  check: (p) => firstOf(p.dearest > p.purse && impossible('dearest', 'The dearest thing costs more than a purse holds.')),
  checkTable: (seats) => sharedBy(seats, ['stall', 'priceStep', 'dearest', 'turns', 'aim']),
  channels: () => [
    { op: 'add-decimal', unknown: 'result', rep: 'coins', ...offGrid },
    { op: 'subtract-decimal', unknown: 'result', rep: 'coins', ...offGrid },
    { op: 'compare-decimal', unknown: 'result', rep: 'coins', ...offGrid },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (_p, seats) => [
    { kind: 'play-notes', quantity: 1 },
    { kind: 'coins', quantity: 1 },
    { kind: 'paper', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p) => [{ sheet: 'price-cards', copies: 1, data: { step: p.priceStep, dearest: p.dearest } }],
};
