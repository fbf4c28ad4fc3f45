import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const budgetBytes = 200_000;
const folder = 'dist/client/_astro';

/** Compressed script that the first page (the shelf) loads, following imports from its islands. */
export function benchPage(): void {
  if (!existsSync(folder)) {
    console.log('\nFirst page: build first (npm run build) to measure its script.');
    return;
  }
  const names = readdirSync(folder).filter((n) => n.endsWith('.js'));
  const start = names.filter((n) => /^(ShelfView|TermStrip|client)\./.test(n));
  const seen = new Set<string>();
  const visit = (name: string): void => {
    if (seen.has(name) || !names.includes(name)) return;
    seen.add(name);
    for (const [, other] of readFileSync(`${folder}/${name}`, 'utf8').matchAll(/["']\.\/([\w.-]+\.js)["']/g)) visit(other!);
  };
  start.forEach(visit);
  const bytes = [...seen].reduce((sum, n) => sum + gzipSync(readFileSync(`${folder}/${n}`)).length, 0);
  console.log(
    `\nScript of the first page, gzip, budget ${budgetBytes / 1000} kB\n  ${(bytes / 1000).toFixed(0)} kB in ${seen.size} files  ${(bytes / budgetBytes).toFixed(2)} of budget`,
  );
}
