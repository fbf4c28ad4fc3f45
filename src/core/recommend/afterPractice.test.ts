import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { type Standing, standingOn } from '../mastery/standing';
import { remember } from '../mastery/retention';
import { afterPractice } from './afterPractice';
import { learnerNeeds } from './learnerNeeds';

const graph = shippedGraph();
const k = graph.indexOf.get('times-3-4')!;
const idea = graph.indexOf.get('equal-groups')!;
const day = '2026-09-07';
const at = (theta: number, more: Partial<Standing> = {}): Standing[] =>
  graph.skills.map(() => ({ theta, variance: 0.5, memory: null, lastMet: null, ...more }));
const needs = (skills: Standing[]) =>
  learnerNeeds(graph, { id: 'x', nickname: 'X', age: 9, framework: 'us', supported: false }, standingOn(graph, skills, day));
const rise = (theta: number, chances: number): number => {
  const skills = at(theta);
  return afterPractice(graph, k, skills[k]!, day, chances, needs(skills), true).theta - theta;
};

describe('a term carried forward', () => {
  it('grows most where it is even, less the more there was of it, and hardly where it is held', () => {
    expect(rise(1, 12)).toBeGreaterThan(0.1);
    expect(rise(1, 12)).toBeGreaterThan(rise(3.5, 12) * 3);
    expect(rise(1, 24)).toBeGreaterThan(rise(1, 12));
    expect(rise(1, 24)).toBeLessThan(2 * rise(1, 12));
  });
  it('grows less while what it needs is not there', () => {
    const skills = at(1);
    const missing = skills.map((s, i) => (graph.needs[k]!.some((n) => n.index === i) ? { ...s, theta: -2 } : s));
    const of = (list: Standing[]) => afterPractice(graph, k, list[k]!, day, 12, needs(list), true).theta - 1;
    expect(of(missing)).toBeLessThan(of(skills) / 2);
  });
  it('falls while nobody meets it, facts faster than ideas, and comes due', () => {
    const met = at(2.4, { memory: remember(null, 0, 'alone', 'by-heart'), lastMet: day });
    const then = standingOn(graph, met, '2026-11-23');
    expect(then.theta[k]!).toBeLessThan(2.4);
    expect(then.held[k]!).toBeLessThan(standingOn(graph, met, day).held[k]!);
    expect(then.theta[idea]!).toBeGreaterThan(then.theta[k]!);
    expect([standingOn(graph, met, day).due[k], then.due[k]]).toEqual([0, 1]);
  });
  it('is met again by enough of it, and then not due', () => {
    const met = at(2.4, { memory: remember(null, 0, 'alone', 'by-heart'), lastMet: day });
    const later = '2026-11-23';
    const after = (enough: boolean) => {
      const next = [...met];
      next[k] = afterPractice(graph, k, met[k]!, later, 6, needs(met), enough);
      return standingOn(graph, next, later);
    };
    expect(after(true).due[k]).toBe(0);
    expect(after(false).due[k]).toBe(1);
  });
});
