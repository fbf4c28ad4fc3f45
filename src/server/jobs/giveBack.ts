import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

let collect: (() => void) | null = null;

/**
 * Gives back what planning left on the heap, in a quiet moment: with much memory in the machine the engine itself would
 * wait for long. Takes about a tenth of a second with a large workspace.
 */
export function giveBack(): void {
  if (!collect) {
    setFlagsFromString('--expose-gc');
    collect = runInNewContext('gc') as () => void;
    setFlagsFromString('--no-expose-gc');
  }
  collect();
}
