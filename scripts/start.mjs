import { ensureInstalled } from './ensureInstalled.mjs';
import { checkPort, readOptions, serve } from './serve.mjs';

const options = readOptions(process.argv.slice(2));
ensureInstalled();
await checkPort(options);
const { buildAll } = await import('./build.mjs');
await buildAll();
await serve(options, 'Zeitgeber is at');
