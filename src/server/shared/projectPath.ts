import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

let found: string | null = null;

/** The program's own directory, wherever it was started from: the nearest one above this file that holds its migrations. */
function projectRoot(): string {
  if (found) return found;
  for (let at = dirname(fileURLToPath(import.meta.url)); ; at = dirname(at)) {
    if (existsSync(join(at, 'src/server/db/migrations/meta/_journal.json'))) return (found = at);
    if (dirname(at) === at) return (found = process.cwd());
  }
}

/** A file of the program: where the environment says, else in its place in the project. */
export function projectPath(variable: string | null, path: string): string {
  const asked = variable === null ? undefined : process.env[variable];
  return asked ? resolve(asked) : join(projectRoot(), path);
}
