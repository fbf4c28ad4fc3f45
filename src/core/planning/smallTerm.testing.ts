import { shippedGraph } from '../../contract/shippedData';
import type { Standing } from '../mastery/standing';
import { knownFrom } from '../recommend/knownFrom.testing';
import { offerOf } from '../recommend/offer.testing';
import type { PlanningInput } from './planTerm';

export const graph = shippedGraph();
export const offer = (game: string, doses: Record<string, number>, more: object = {}): PlanningInput['offers'][number] =>
  offerOf(`${game}-v`, doses, {
    game,
    title: game,
    gameTitle: game,
    mixClass: game,
    ages: [5, 9],
    materials: [{ kind: game === 'bees' || game === 'lamps' ? 'deck' : 'die', quantity: 1 }],
    ...more,
  });
export const held = [
  'count-to-10',
  'see-to-5',
  'count-to-20',
  'parts-to-5',
  'count-on-from',
  'add-in-5',
  'ten-and-some',
  'pairs-of-10',
  'more-fewer',
  'read-to-20',
];
export const standing = (held: readonly number[]): Standing[] =>
  [...Float64Array.from(knownFrom(held).theta)].map((theta) => ({ theta, variance: 0.6, memory: null, lastMet: null }));
export const child = (id: string): PlanningInput['learners'][number] => ({
  id,
  nickname: id,
  age: 7,
  framework: 'us',
  supported: false,
  skills: standing(graph.skills.map((s) => (held.includes(s.id) ? 0.9 : 0.3))),
});
export const meeting = (date: string, present = ['a', 'b', 'c', 'd']): PlanningInput['meetings'][number] => ({
  date,
  present,
  rounds: 2,
  minutes: 15,
  tables: 2,
  helpers: 1,
});
export const input = (more: Partial<PlanningInput> = {}): PlanningInput => ({
  offers: [
    offer('lamps', { 'make-ten': 12, 'add-in-10': 6 }),
    offer('bees', { 'count-on': 14 }),
    offer('clock', { 'take-from-ten': 12 }),
    offer('levers', { 'doubles-to-10': 10, 'near-doubles': 4 }),
  ],
  learners: ['a', 'b', 'c', 'd'].map(child),
  meetings: [meeting('2026-11-10'), meeting('2026-11-17'), meeting('2026-11-24')],
  stock: [
    ['deck', 1],
    ['die', 4],
  ],
  plentiful: [],
  preparationMinutes: 60,
  played: [],
  locks: [],
  resting: [],
  seed: 1,
  secondsPerMeeting: 0.1,
  ...more,
});
