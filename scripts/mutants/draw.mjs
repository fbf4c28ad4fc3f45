import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { Instrumenter } from '@stryker-mutator/instrumenter';

/** Folders whose code is changed, and the tests that must notice: those beside it. */
export const areas = {
  core: ['src/core/play', 'src/core/content', 'src/core/items'],
  server: ['src/server'],
  /** What is concluded from play; a draw of its own. */
  judgement: ['src/core/recommend', 'src/core/mastery', 'src/core/planning'],
};

const silent = { isDebugEnabled: () => false, debug() {}, info() {}, warn() {}, error() {}, trace() {}, fatal() {} };

/**
 * One mutant by place and change, the same in every run and in every copy of the project.
 * Results count lines and columns from one (`base` 1), the instrumenter and plugins from nought.
 */
export const keyOf = ({ fileName, location: { start, end }, mutatorName, replacement }, base) =>
  [
    fileName.replaceAll('\\', '/').replace(/^.*?(?=src\/(core|server)\/)/, ''),
    `${start.line + 1 - base}:${start.column + 1 - base}-${end.line + 1 - base}:${end.column + 1 - base}`,
    mutatorName,
    replacement.replace(/\s+/g, ' '),
  ].join('|');

const hash = (text) => createHash('sha256').update(text).digest('hex');

/** Every mutant of these areas in the order of a seeded draw. */
export async function allMutants(seed, of = ['core', 'server']) {
  const files = of
    .flatMap((area) => areas[area])
    .flatMap((folder) => readdirSync(folder, { recursive: true }).map((name) => `${folder}/${name}`))
    .filter((name) => name.endsWith('.ts') && !/\.(test|testing)\.ts$/.test(name) && !name.includes('/migrations/'))
    .sort();
  const sources = files.map((name) => ({ name, mutate: true, content: readFileSync(name, 'utf8') }));
  const { mutants } = await new Instrumenter(silent).instrument(sources, {
    plugins: [],
    excludedMutations: [],
    ignorers: [],
    noHeader: true,
  });
  const keys = mutants.map((m) => keyOf(m, 0));
  return [...new Set(keys)]
    .map((key) => ({ key, at: hash(`${seed}|${key}`) }))
    .sort((x, y) => (x.at < y.at ? -1 : 1))
    .map((m) => m.key);
}
