import { describe, expect, it } from 'vitest';
import { text } from './box';
import { letterFaults } from './letterFaults';
import { layOut } from './layOut';
import { leastText } from './paper';
import { sheetKindById } from './registry';
import type { SheetPage } from './sheetPage';

const page = (...boxes: SheetPage['boxes'][number][]): SheetPage[] => [{ width: 210, height: 297, side: 'front', boxes }];
import { usualRequest } from './usualRequest.testing';

describe('letters on a page', () => {
  it('may be as small as eight points and no smaller', () => {
    expect(letterFaults(page(text(10, 10, 40, 5, 'read me', leastText)))).toEqual([]);
    expect(letterFaults(page(text(10, 10, 40, 5, 'read me', leastText - 0.1)))[0]).toContain('“read me” would be 7.9 points high');
  });
  it('may stand beside and below one another, and not over one another, right way up or upside down', () => {
    const one = text(10, 10, 20, 10, '88', 20);
    expect(letterFaults(page(one, text(22, 10, 20, 10, '88', 20)))).toEqual([]);
    expect(letterFaults(page(one, text(10, 16.5, 20, 10, '88', 20)))).toEqual([]);
    expect(letterFaults(page(one, text(13, 12, 20, 10, '77', 20)))).toEqual(['“88” and “77” would lie over one another.']);
    expect(letterFaults(page(one, text(13, 12, 20, 10, '77', 20, { turned: 180 })))).toHaveLength(1);
    expect(letterFaults(page(one, text(13, 12, 20, 10, '77', 20, { turned: 90 })))).toEqual([]);
  });
});

describe('wheels', () => {
  const printed = (parameters: object): string => {
    const laid = layOut(sheetKindById('fact-wheel')!, { ...usualRequest, parameters });
    return laid.ok ? 'printed' : laid.problem.message;
  };
  it.each([1, 2, 3, 4, 5, 6])('%i to a page of numbers up to 1,200 overlap nowhere, or are refused in words', (wheels) => {
    const said = printed({ operation: 'divide', fixed: 100, from: 1, to: 12, wheels });
    expect(said).toMatch(wheels <= 4 ? /^printed$/ : /^(printed|Fact wheel cannot be drawn like this)/);
  });
});
