import { fileURLToPath } from 'node:url';

/** Where the command was given; what somebody names on the command line is looked for there. */
export const calledFrom = process.cwd();

// Everything else is the program's own and lies in its directory.
process.chdir(fileURLToPath(new URL('..', import.meta.url)));
