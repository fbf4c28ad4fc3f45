import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';

const git = (...args) =>
  spawnSync('git', args, { encoding: 'utf8' })
    .stdout.split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
const isTest = (path) => /\.test\.tsx?$/.test(path);
const isCode = (path) => /\.(ts|tsx|mjs|json|css)$/.test(path);

/** Files that are not committed as they are, or that differ from `base`; those that are gone are left out. */
export function changedFiles(base) {
  const found = [...git('diff', '--name-only', '--diff-filter=d', base ?? 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
  return [...new Set(found)].filter(isCode);
}

/** What a module reads, as paths without their endings. */
const readBy = (path, text) =>
  [...text.matchAll(/(?:from|import)\s*\(?\s*'(\.[^']+)'/g)].map((m) =>
    normalize(join(dirname(path), m[1])).replace(/\.(tsx?|mjs|json)$/, ''),
  );

/**
 * Tests that a change touches: changed tests themselves, those in the folder of a changed file, and those that read one directly.
 * @param all every test, by default those that git knows or would add
 */
export function testsOf(changed, all = allTests(), read = (path) => readFileSync(path, 'utf8')) {
  const folders = new Set(changed.filter((f) => !isTest(f)).map((f) => dirname(f)));
  const names = new Set(changed.map((f) => f.replace(/\.(tsx?|mjs|json)$/, '')));
  return all.filter((test) => changed.includes(test) || folders.has(dirname(test)) || readBy(test, read(test)).some((f) => names.has(f)));
}

function allTests() {
  return [...git('ls-files', '*.test.ts', '*.test.tsx'), ...git('ls-files', '--others', '--exclude-standard', '*.test.ts', '*.test.tsx')];
}
