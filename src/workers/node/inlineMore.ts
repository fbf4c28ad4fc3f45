import { setFlagsFromString } from 'node:v8';

/**
 * Lets the compiler inline more of what a turn calls (the random numbers, the log):
 * with the usual budget the last calls of a mechanism's loop stay calls. About a quarter faster.
 */
setFlagsFromString('--max-inlined-bytecode-size-cumulative=3000');
