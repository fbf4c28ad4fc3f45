import { createServer as createHttpServer } from 'node:http';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { stop } from './ensureInstalled.mjs';
import { guarded } from './guarded.mjs';
export { readOptions } from './options.mjs';

function portIsFree(host, port) {
  return new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(false));
    probe.listen(port, host, () => probe.close(() => done(true)));
  });
}

export async function checkPort({ host, port }) {
  if (!(await portIsFree(host, port))) stop(`Port ${port} is taken. Close the other program, or choose another with --port N.`);
}

/** Starts the built server in this process and prints the address once it answers. */
export async function serve({ host, port, data }, message) {
  // What the program writes is nobody else's to read.
  process.umask(0o077);
  process.env.ZEITGEBER_DATA = resolve(data);
  process.env.ZEITGEBER_SERVER = '1';
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  process.env.ASTRO_NODE_LOGGING = 'disabled';
  const { handler } = await import(new URL('../dist/server/entry.mjs', import.meta.url).href);
  // Only now: before the first installing there is no package to be had.
  const { default: compression } = await import('compression');
  const compress = compression({ threshold: 1024 });
  const server = createHttpServer((request, response) => {
    if (!guarded(request, response)) return;
    compress(request, response, () => handler(request, response));
  });
  server.listen(port, host);
  for (let i = 0; i < 100; i++) {
    const answer = await fetch(`http://${host}:${port}/api/v1/health`).catch(() => null);
    if (answer?.ok) {
      console.log(`${message} http://${host}:${port}/`);
      return;
    }
    if (answer) stop((await answer.json()).error.message);
    await new Promise((r) => setTimeout(r, 100));
  }
  stop('The server did not answer.');
}
