import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';
import { situations, unknowns } from './parameters';
import { situationItem } from './rules';

describe('story cards', () => {
  // The table of one-step addition and subtraction situations in the glossary of the Common Core State Standards (from memory).
  it('tell all twelve one-step situations', () => {
    const r = run('story-cards', { unknowns: ['result', 'change', 'start'] }, 2, 600);
    const met = new Set(r.items.map((i) => `${i.rep} ${i.unknown}`));
    expect(met.size).toBe(12);
    for (const s of situations)
      for (const u of unknowns) expect(met).toContain(`${situationItem(s, u).rep} ${situationItem(s, u).unknown}`);
  });
  it.each([
    ['add-to', 'result', 'a + b = ?'],
    ['add-to', 'change', 'a + ? = c'],
    ['add-to', 'start', '? + b = c'],
    ['take-from', 'result', 'a − b = ?'],
    ['take-from', 'change', 'a − ? = c'],
    ['take-from', 'start', '? − b = c'],
    ['together', 'result', 'a + b = ?'],
    ['together', 'change', 'a + ? = c'],
    ['compare', 'result', 'a − b = ?'],
    ['compare', 'change', 'a − ? = c'],
    ['compare', 'start', '? − b = c'],
  ] as const)('%s, %s unknown, reads %s', (situation, unknown, reads) => {
    const item = situationItem(situation, unknown);
    const sign = item.op === 'add' ? '+' : '−';
    expect(
      `${item.unknown === 'a' ? '?' : 'a'} ${sign} ${item.unknown === 'b' ? '?' : 'b'} = ${item.unknown === 'result' ? '?' : 'c'}`,
    ).toBe(reads);
  });
  it('keep every whole within the range and every part at least the lowest', () => {
    const r = run('story-cards', { lowest: 3, highest: 15 }, 3, 400);
    for (const i of r.items) {
      expect(Math.max(i.a, i.b, i.result)).toBeLessThanOrEqual(15);
      expect(Math.min(i.a, i.b, i.result)).toBeGreaterThanOrEqual(3);
    }
  });
  it('are told again more often without give-away words and when read alone', () => {
    const again = (more: object) => run('story-cards', more, 3, 1500).measures['toldAgain']!;
    expect(again({ keyWords: 'none' })).toBeGreaterThan(again({ keyWords: 'some' }));
    expect(again({ readAloud: 'read-alone' })).toBeGreaterThan(again({}));
  });
});
