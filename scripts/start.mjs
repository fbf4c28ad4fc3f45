import { ensureInstalled } from './ensureInstalled.mjs';
import { leanly } from './lean.mjs';
import { checkPort, readOptions, serve } from './serve.mjs';

await leanly();

// A shelf of one's own, apart from the demo's.
const options = readOptions(process.argv.slice(2), { data: '.zeitgeber/shelf' });
ensureInstalled();
await checkPort(options);
const { buildAll } = await import('./build.mjs');
await buildAll();
await serve(options, 'Zeitgeber is at');
