import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { stop } from './ensureInstalled.mjs';

const loopback = new Set(['127.0.0.1', 'localhost', '::1']);

/** Reads --data DIR, --port N, --host H, --reset, --yes. */
export function readOptions(argv, usual = {}) {
  const options = { data: '.zeitgeber', port: 4321, host: '127.0.0.1', reset: false, yes: false, ...usual };
  for (let i = 0; i < argv.length; i++) {
    const word = argv[i];
    const value = () => argv[++i] ?? stop(`${word} needs a value after it.`);
    if (word === '--data') options.data = value();
    else if (word === '--port') options.port = Number(value());
    else if (word === '--host') options.host = value();
    else if (word === '--reset') options.reset = true;
    else if (word === '--yes') options.yes = true;
    else stop(`"${word}" is not an option here. Options: --data DIR, --port N, --reset.`);
  }
  if (!Number.isInteger(options.port) || options.port < 1 || options.port > 65535) stop(`--port takes a number from 1 to 65535.`);
  if (!loopback.has(options.host))
    stop(`Zeitgeber only listens on this machine (127.0.0.1) until sharing exists; --host ${options.host} is refused.`);
  return options;
}

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
  process.env.HOST = host;
  process.env.PORT = String(port);
  process.env.ZEITGEBER_DATA = resolve(data);
  process.env.ASTRO_NODE_LOGGING = 'disabled';
  await import(new URL('../dist/server/entry.mjs', import.meta.url).href);
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
