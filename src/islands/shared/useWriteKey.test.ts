import { describe, expect, it } from 'vitest';
import { WriteKey } from './useWriteKey';

describe('the key of a write', () => {
  it('stays for the same body, changes with it, and is new once the write is done', () => {
    const key = new WriteKey();
    const first = key.for({ nickname: 'Wren' });
    expect(key.for({ nickname: 'Wren' })).toBe(first);
    const changed = key.for({ nickname: 'Fern' });
    expect(changed).not.toBe(first);
    key.done();
    expect(key.for({ nickname: 'Fern' })).not.toBe(changed);
  });
});
