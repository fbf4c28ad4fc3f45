import { spawn } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { ensureInstalled } from './ensureInstalled.mjs';
import { readOptions } from './serve.mjs';

const options = readOptions(process.argv.slice(2), { data: '.zeitgeber/shelf' });
ensureInstalled();
// No network at run time: the development server asks nobody for news.
mkdirSync('.astro', { recursive: true });
writeFileSync('.astro/settings.json', JSON.stringify({ checkUpdates: { enabled: false } }));
const { buildWorkers } = await import('./buildWorkers.mjs');
await buildWorkers();
spawn(process.execPath, ['node_modules/astro/astro.js', 'dev', '--host', options.host, '--port', String(options.port)], {
  stdio: 'inherit',
  env: { ...process.env, ZEITGEBER_DATA: resolve(options.data) },
});
