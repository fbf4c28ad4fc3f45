import { isMainThread } from 'node:worker_threads';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { problemOf } from '../workspace.testing';
import { momentOn, todayHere, zoneHere } from './clock';
import { bytesOf } from './filePart';
import { freeId, idGiver } from './freeId';
import { projectPath } from './projectPath';
import { StartupError } from './startupError';
import { uuidOf } from './uuidOf';
import { sameVersion, wrote } from './versions';

describe('the clock', () => {
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllEnvs();
  });
  it('may be told which day it is, and refuses what is no day', () => {
    vi.stubEnv('ZEITGEBER_TODAY', '2026-11-10');
    expect(todayHere()).toBe('2026-11-10');
    vi.stubEnv('ZEITGEBER_TODAY', '2026-02-30');
    expect(() => todayHere()).toThrow(StartupError);
    vi.stubEnv('ZEITGEBER_TODAY', '');
    expect(todayHere()).toMatch(/^\d{4}-\d\d-\d\d$/);
  });
  // Only a process of its own can be moved to another zone.
  it.runIf(isMainThread).each(['Pacific/Auckland', 'America/Los_Angeles', 'UTC'])(
    'says the day on the wall in %s, and keeps the hour on another day',
    (zone) => {
      vi.stubEnv('TZ', zone);
      vi.useFakeTimers({ now: new Date('2026-11-10T23:30:00Z') });
      expect(zoneHere()).toBe(zone);
      const wall = { 'Pacific/Auckland': '2026-11-11', 'America/Los_Angeles': '2026-11-10', UTC: '2026-11-10' }[zone]!;
      expect(todayHere()).toBe(wall);
      expect(momentOn(wall)).toBe('2026-11-10T23:30:00.000Z');
      // A week before at the same hour on the wall; no clock was turned in that week in these zones.
      const before = new Date(Date.parse(`${wall}T00:00:00Z`) - 6 * 86_400_000).toISOString().slice(0, 10);
      expect(momentOn(before)).toBe('2026-11-04T23:30:00.000Z');
    },
  );
});

describe('ids', () => {
  it('count on from the first that is free', () => {
    const taken = new Set(['two-lamps', 'two-lamps-2']);
    expect(freeId('Two Lamps!', (id) => taken.has(id))).toBe('two-lamps-3');
    expect(freeId('Levers', (id) => taken.has(id))).toBe('levers');
    // A game called like a page would never be found at its own address.
    expect(freeId('Library', () => false)).toBe('library-2');
  });
  it('given one after another are never given twice, and are the same as one by one', () => {
    expect(idGiver([])('Place')).toBe('place-2');
    const give = idGiver(['two-lamps', 'two-lamps-3']);
    expect([give('Two Lamps'), give('two lamps'), give('Two Lamps'), give('Levers'), give('Levers')]).toEqual([
      'two-lamps-2',
      'two-lamps-4',
      'two-lamps-5',
      'levers',
      'levers-2',
    ]);
  });
  it('of a name are the same always, and differ by name', () => {
    // RFC 9562, appendix A.4, gives this one for the DNS namespace; in the URL namespace the reference library is asked elsewhere.
    expect(uuidOf('urn:a')).toBe(uuidOf('urn:a'));
    expect(uuidOf('urn:a')).not.toBe(uuidOf('urn:b'));
    expect(uuidOf('urn:a')[14]).toBe('5');
  });
});

describe('a file that is sent', () => {
  it('comes as base64 or as text, or not at all', () => {
    expect([...bytesOf({ base64: 'w7Y=' })]).toEqual([0xc3, 0xb6]);
    expect([...bytesOf({ text: 'ö' })]).toEqual([0xc3, 0xb6]);
    expect([...bytesOf({ text: '' })]).toEqual([]);
    expect(problemOf(() => bytesOf({}))).toEqual({ code: 'malformed', field: 'text', message: 'Send the file as "base64" or "text".' });
  });
});

describe('versions', () => {
  it('that were seen may be written, others are told both', () => {
    expect(() => sameVersion({ version: 3 }, 3)).not.toThrow();
    expect(problemOf(() => sameVersion({ version: 4 }, 3))).toMatchObject({
      code: 'conflict',
      detail: { yours: 3, current: { version: 4 } },
    });
    expect(() => wrote({ changes: 1 }, 3, () => ({}))).not.toThrow();
    expect(problemOf(() => wrote({ changes: 0 }, 3, () => ({ version: 5 })))).toMatchObject({
      code: 'conflict',
      detail: { yours: 3, current: { version: 5 } },
    });
  });
});

it('files of the program are where the environment says, else in its own place', () => {
  vi.stubEnv('ZEITGEBER_MIGRATIONS', '/somewhere/else');
  expect(projectPath('ZEITGEBER_MIGRATIONS', 'a')).toBe('/somewhere/else');
  vi.unstubAllEnvs();
  expect(projectPath(null, 'package.json')).toMatch(/[\\/]package\.json$/);
});
