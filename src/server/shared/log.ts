import { join } from 'node:path';
import pino, { type Logger } from 'pino';

let logger: Logger | null = null;

/** Size and number of files kept: enough for a term, little enough for a laptop. */
const rolling = { frequency: 'daily', size: '4m', limit: { count: 14 } } as const;

/**
 * The program's log: warnings and errors with the id of the request, one JSON object a line, in the data directory.
 * Nothing a person typed is written into it. Silent until `openLog` was called.
 */
export function log(): Logger {
  logger ??= pino({ level: 'silent' });
  return logger;
}

/** From now on the log is kept in the directory, in files that only their owner reads. */
export function openLog(directory: string): void {
  const level = process.env['ZEITGEBER_LOG'] ?? 'info';
  logger = pino(
    { level, base: null, timestamp: pino.stdTimeFunctions.isoTime, formatters: { level: (label) => ({ level: label }) } },
    pino.transport({
      target: 'pino-roll',
      options: { file: join(directory, 'log', 'zeitgeber'), extension: '.log', mkdir: true, ...rolling },
    }) as pino.DestinationStream,
  );
}
