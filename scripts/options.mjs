import { parseArgs } from 'node:util';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { stop } from './ensureInstalled.mjs';
import { calledFrom } from './root.mjs';

const loopback = new Set(['127.0.0.1', 'localhost', '::1']);

const help = (command) => `${command}

  --data DIR    where the data lies
  --port N      port to listen on (4321)
  --host H      127.0.0.1 or localhost; other machines cannot reach it
  --reset       demo only: throw its data away first (asks)
  --yes         do not ask
  --help        this text
  --version     the version`;

/** Reads the words after a command; ends with one clear line where they make no sense. */
export function readOptions(argv, usual = {}, command = 'npm start -- [options]') {
  let values;
  try {
    ({ values } = parseArgs({
      args: argv,
      options: {
        data: { type: 'string' },
        port: { type: 'string' },
        host: { type: 'string' },
        reset: { type: 'boolean' },
        yes: { type: 'boolean' },
        help: { type: 'boolean', short: 'h' },
        version: { type: 'boolean' },
      },
    }));
  } catch (error) {
    stop(`${error.message.split('. ')[0]}. Options: --data DIR, --port N, --reset, --help.`);
  }
  if (values.help) tell(help(command));
  if (values.version) tell(JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8')).version);
  const options = {
    data: '.zeitgeber',
    host: '127.0.0.1',
    reset: false,
    yes: false,
    ...usual,
    ...values,
    ...(values.data === undefined ? {} : { data: resolve(calledFrom, values.data) }),
    port: Number(values.port ?? 4321),
  };
  if (!Number.isInteger(options.port) || options.port < 1 || options.port > 65535) stop(`--port takes a number from 1 to 65535.`);
  if (!loopback.has(options.host))
    stop(`Zeitgeber only listens on this machine (127.0.0.1) until sharing exists; --host ${options.host} is refused.`);
  return options;
}

function tell(text) {
  console.log(text);
  process.exit(0);
}
