import { describe, expect, it } from 'vitest';
import { refusalOf } from './guard';

const ask = (headers: Record<string, string>, method = 'GET'): string | null =>
  refusalOf(new Request('http://127.0.0.1:4321/', { method, headers }));

describe('the guard', () => {
  it('answers loopback names with any port, with or without Origin', () => {
    for (const host of ['127.0.0.1:4321', 'localhost:9', '[::1]:4321', 'LOCALHOST']) expect(ask({ host })).toBeNull();
    expect(ask({ host: '127.0.0.1:4321', origin: 'http://127.0.0.1:4321' }, 'POST')).toBeNull();
  });
  it('refuses other hosts, other origins and cross-site writes', () => {
    expect(ask({ host: 'example.test' })).toMatch(/only answers on this machine/);
    expect(ask({ host: '127.0.0.1.example.test:4321' })).toMatch(/only answers/);
    expect(ask({ host: '127.0.0.1:4321', origin: 'http://example.test' })).toMatch(/elsewhere/);
    expect(ask({ host: '127.0.0.1:4321', origin: 'null' }, 'POST')).toMatch(/elsewhere/);
    expect(ask({ host: '127.0.0.1:4321', 'sec-fetch-site': 'cross-site' }, 'POST')).toMatch(/may not change/);
  });
});
