import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { coveragePage, coverageTable } from './coverageTable';

const codesOf = (file: string): string[] =>
  (JSON.parse(readFileSync(`data/standards/${file}.json`, 'utf8')) as { code: string }[]).map((s) => s.code);
const us = codesOf('us-k6');
const england = codesOf('england');

it('the coverage of the library is written down whole', async () => {
  await expect(
    coveragePage([
      ['Grades K to 6', us],
      ['Reception to year 6', england],
    ]),
  ).toMatchFileSnapshot('../../docs/coverage.md');
});
it('has a game for nearly every code, also of grades four to six', () => {
  const rows = coverageTable(us);
  expect(rows.filter((r) => r.best !== null).length / rows.length).toBeGreaterThan(0.95);
  for (const grade of ['4', '5', '6']) {
    const own = rows.filter((r) => r.code.startsWith(grade));
    expect([grade, own.filter((r) => r.best === null).map((r) => r.code).length <= 1]).toEqual([grade, true]);
  }
});
