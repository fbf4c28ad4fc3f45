import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { calledFrom } from './root.mjs';

/** Few heaps for threads, and a heap that is tidied when it has grown by two fifths. A heap in small steps (--optimize-for-size) saved no more and made pages two to four times slower. */
const lean = JSON.parse(readFileSync(new URL('lean.json', import.meta.url), 'utf8'));

/**
 * Begins this script anew as a lean process. What ended threads leave behind (each plan has some) is given back instead
 * of being kept for threads to come: the GNU C library knows that word, and it has to be said before a process begins.
 * Together that is some hundred megabytes. Goes on in the new process, and ends when it ends.
 */
export async function leanly() {
  if (process.platform === 'win32' || process.env.ZEITGEBER_LEAN) {
    if (process.channel) {
      // Whoever began this process was killed: nothing is left running behind its back.
      process.once('disconnect', () => process.exit(1));
      process.channel.unref();
    }
    return;
  }
  const child = spawn(process.execPath, [...lean.flags, ...process.execArgv, ...process.argv.slice(1)], {
    cwd: calledFrom,
    stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
    env: { ...process.env, ...lean.environment },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  await new Promise((done) => child.once('exit', (code, signal) => done(process.exit(code ?? (signal === 'SIGINT' ? 130 : 143)))));
}
