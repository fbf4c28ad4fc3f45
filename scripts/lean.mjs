import { spawn } from 'node:child_process';

/**
 * Begins this script anew where the C library is told to keep few heaps: what ended threads leave behind (each plan has
 * some) is given back instead of being kept for threads to come, which is a hundred megabytes and more. Only the GNU C
 * library knows the word; it has to be said before a process begins. Goes on in the new process, and ends when it ends.
 */
export async function leanly() {
  if (process.platform !== 'linux' || process.env.MALLOC_ARENA_MAX) {
    if (process.env.ZEITGEBER_LEAN && process.channel) {
      // Whoever began this process was killed: nothing is left running behind its back.
      process.once('disconnect', () => process.exit(1));
      process.channel.unref();
    }
    return;
  }
  const child = spawn(process.execPath, [...process.execArgv, ...process.argv.slice(1)], {
    stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
    env: { ...process.env, MALLOC_ARENA_MAX: '2', ZEITGEBER_LEAN: '1' },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  await new Promise((done) => child.once('exit', (code, signal) => done(process.exit(code ?? (signal === 'SIGINT' ? 130 : 143)))));
}
