import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** What a module asks for when it is read (`now`), and what only once a line of it runs (`later`, by place in the text). */
interface Asked {
  readonly now: readonly string[];
  readonly later: readonly { specifier: string; at: number }[];
  /** Where `ensureInstalled()` is called at the top of the module; -1 where it is not. */
  readonly installedAt: number;
}

function readModule(text: string): Asked {
  const source = ts.createSourceFile('script.mjs', text, ts.ScriptTarget.ESNext, true, ts.ScriptKind.JS);
  const now: string[] = [];
  const later: { specifier: string; at: number }[] = [];
  let installedAt = -1;
  for (const statement of source.statements) {
    if ((ts.isImportDeclaration(statement) || ts.isExportDeclaration(statement)) && statement.moduleSpecifier)
      now.push((statement.moduleSpecifier as ts.StringLiteral).text);
  }
  const visit = (node: ts.Node): void => {
    // What stands in a function runs when that is called, not where it stands.
    if (ts.isFunctionLike(node)) return;
    if (installedAt < 0 && ts.isCallExpression(node) && node.expression.getText() === 'ensureInstalled') installedAt = node.getStart();
    if (ts.isCallExpression(node) && node.expression.kind === ts.SyntaxKind.ImportKeyword) {
      const [first] = node.arguments;
      if (first && ts.isStringLiteral(first)) later.push({ specifier: first.text, at: node.getStart() });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return { now, later, installedAt };
}

const isPackage = (specifier: string): boolean => !specifier.startsWith('node:') && !specifier.startsWith('.');

/** Packages that are read before `ensureInstalled()` of this script has run, each with the way that leads to it. */
function readTooEarly(entry: string, read = (path: string): string => readFileSync(path, 'utf8')): readonly string[] {
  const found: string[] = [];
  const seen = new Set<string>();
  const walk = (path: string, way: readonly string[]): void => {
    if (seen.has(path)) return;
    seen.add(path);
    const { now, later, installedAt } = readModule(read(path));
    const early = later.filter((l) => path === entry && l.at < installedAt).map((l) => l.specifier);
    for (const specifier of [...now, ...early]) {
      if (isPackage(specifier)) found.push([...way, path, specifier].join(' → '));
      else if (specifier.startsWith('.') && specifier.endsWith('.mjs')) walk(normalize(join(dirname(path), specifier)), [...way, path]);
    }
  };
  walk(entry, []);
  return found;
}

const { scripts } = JSON.parse(readFileSync('package.json', 'utf8')) as { scripts: Record<string, string> };
const entries = Object.entries(scripts).flatMap(([name, command]) => {
  const path = /^node (scripts\/\S+)/.exec(command)?.[1];
  return path ? [[name, path] as const] : [];
});

describe('a clone without node_modules', () => {
  it('has every command that a newcomer is told to use', () => {
    expect(entries.map(([name]) => name)).toEqual(
      expect.arrayContaining(['demo', 'start', 'dev', 'test', 'bench', 'drill', 'mutants', 'profiles', 'new-family']),
    );
  });
  it.each(entries)('%s reads nothing but its own files before what is missing is installed', (_, path) => {
    expect(existsSync(path)).toBe(true);
    expect(readModule(readFileSync(path, 'utf8')).installedAt).toBeGreaterThan(0);
    expect(readTooEarly(path)).toEqual([]);
  });
  it('is not believed blindly: a package read by a file that a script reads is found, with the way to it', () => {
    const files: Record<string, string> = {
      'scripts/a.mjs': "import './b.mjs';\nensureInstalled();\nconst { c } = await import('late-package');",
      'scripts/b.mjs': "export { x } from './c.mjs';",
      'scripts/c.mjs': "import y from 'early-package';",
      'scripts/d.mjs': "const z = await import('early-package');\nensureInstalled();",
    };
    const read = (path: string): string => files[path]!;
    expect(readTooEarly('scripts/a.mjs', read)).toEqual(['scripts/a.mjs → scripts/b.mjs → scripts/c.mjs → early-package']);
    expect(readTooEarly('scripts/d.mjs', read)).toEqual(['scripts/d.mjs → early-package']);
  });
});
