// @vitest-environment jsdom
import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { FactGrid } from '../../ui/charts/FactGrid';
import { factGrids } from './factGrids';

const adding = (a: number, b: number, count = 1) => ({ op: 'add' as const, a, b, count });

describe('the facts met', () => {
  it('stand one in a cell while the numbers are few, the same fact of all seats together', () => {
    const [grid] = factGrids([adding(8, 5, 3), adding(8, 5, 4), adding(2, 3)]);
    expect(grid).toMatchObject({ op: 'add', facts: 2, by: [1, 1] });
    expect(grid!.cells).toEqual([
      { a: 8, b: 5, count: 7, crossing: true },
      { a: 2, b: 3, count: 1, crossing: false },
    ]);
  });
  it('are put together by tens where two-digit numbers would not be told apart, and by hundreds beyond', () => {
    const [tens] = factGrids([adding(34, 12, 2), adding(38, 19, 3), adding(97, 12)]);
    expect(tens).toMatchObject({ facts: 3, by: [10, 1] });
    const [both] = factGrids([adding(34, 12, 2), adding(38, 19, 3), adding(97, 61), adding(10, 10)]);
    expect(both).toMatchObject({ facts: 4, by: [10, 10] });
    // 34 + 12 crosses no ten, 38 + 19 does, and was met more often.
    expect(both!.cells[0]).toEqual({ a: 30, b: 10, count: 5, crossing: true });
    expect(factGrids([adding(120, 60), adding(980, 10)])[0]!.by).toEqual([100, 10]);
  });
  it('leaves out what is no real part of the practice, and fractions', () => {
    expect(factGrids([adding(2, 3, 100), { op: 'multiply', a: 3, b: 4, count: 4 }, adding(0.5, 0.25, 50)]).map((g) => g.op)).toEqual([
      'add',
    ]);
  });
  it('are drawn with a name for every cell', () => {
    render(<FactGrid cells={[{ a: 30, b: 10, count: 5, crossing: true }]} sign="+" facts={2} by={[10, 10]} />);
    expect(screen.getByRole('img', { name: '2 different facts a + b met' })).toBeTruthy();
    expect(screen.getByText('30–39 + 10–19: 5 times')).toBeTruthy();
  });
});
