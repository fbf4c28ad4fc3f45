import { describe, expect, it } from 'vitest';
import us from '../../data/standards/us-k6.json';
import { domainOf } from '../islands/coverage/CoverageFrame';
import { domainWords } from './domains';

describe('domains in words', () => {
  it('are told for every code of the shipped framework', () => {
    const text = JSON.stringify(us);
    const letters = new Set([...text.matchAll(/"([K1-8]\.[A-Z]{1,3}\.[A-Z]\.\d+)"/g)].map(([, code]) => domainOf(code!)));
    expect(letters.size).toBeGreaterThan(8);
    for (const l of letters) expect([l, domainWords(l)]).not.toEqual([l, l]);
  });
  it('stay letters where nobody has said', () => expect(domainWords('XQ')).toBe('XQ'));
});
