import { describe, expect, it } from 'vitest';
import rowsAsWritten from '../../../data/check-values/rows-as-written.json';
import { numbersIn } from '../../contract/recognise';
import { mechanismById, mechanisms } from '../mechanisms/registry';
import { schemaProblem } from '../play/schemaValues';

const row = (title: string, note: string, things = '') => ({ title, notes: [note], things });

describe('numbers of a family read from a row', () => {
  it.each([
    [
      'close-the-tiles',
      row('Close the doors', '1 to 10 paper doors. Plus or minus, shut one door'),
      { tiles: 10, close: 'one', operations: ['add', 'subtract'] },
    ],
    ['bound-guess', row('Guess my number 0-100', 'too big'), { high: 100 }],
    ['fact-wheel', row('Times wheel - sixes', '6 in the middle, spin 1-12'), { fixed: 6, to: 12 }],
    ['ask-for-cards', row('Difference', 'cards 0–12. ask for a card that is 3 away'), { relation: 'differ-by', number: 3, highest: 12 }],
    ['running-total', row('Drain', 'starts at 50, each card is subtracted, 0 ends it'), { direction: 'down', high: 50 }],
    ['take-away-piles', row('Stones', 'take 1, 2 or 3. last one loses', '21 stones'), { last: 'loses' }],
    ['compare-cards', row('War', 'two cards each, multiply, LOWER takes it'), { join: 'product', goal: 'lower' }],
    ['sequence-grid', row('Grid', 'count by 25s'), { step: 25 }],
  ] as const)('%s', (id, words, wanted) => {
    expect(numbersIn(id, words)).toMatchObject(wanted);
  });

  it('leaves out what the family cannot play', () => {
    expect(numbersIn('close-the-tiles', row('Doors', '500 doors'))).toEqual({});
    expect(numbersIn('quick-look', row('Dots', ''))).toEqual({});
  });

  it('gives nothing that the family cannot play, whatever is written', () => {
    for (const r of rowsAsWritten.rows)
      for (const m of mechanisms) {
        const whole = { ...m.defaults, ...numbersIn(m.id, r) };
        expect([r.title, m.id, schemaProblem(m.parametersSchema.properties, whole), m.check(whole)]).toEqual([r.title, m.id, null, null]);
      }
  });

  it('reads what the labelled rows tell: nine in ten right, next to nothing wrong', () => {
    let told = 0;
    let right = 0;
    let wrong = 0;
    for (const r of rowsAsWritten.rows as readonly {
      acceptable: (string | null)[];
      numbers?: Record<string, unknown>;
      title: string;
      notes: string[];
      things: string;
    }[]) {
      const m = r.acceptable[0] ? mechanismById(r.acceptable[0]) : undefined;
      if (!m || !r.numbers) continue;
      const read = numbersIn(m.id, r);
      const whole: Record<string, unknown> = { ...m.defaults, ...read };
      for (const [name, value] of Object.entries(r.numbers)) {
        if (!(name in whole)) continue;
        told++;
        if (JSON.stringify(whole[name]) === JSON.stringify(value)) right++;
        else if (name in read) wrong++;
      }
    }
    expect(told).toBeGreaterThan(150);
    expect(right / told).toBeGreaterThanOrEqual(0.85);
    expect(wrong / told).toBeLessThan(0.04);
  });
});
