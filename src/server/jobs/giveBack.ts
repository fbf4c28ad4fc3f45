import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

let collect: (() => void) | null = null;

/**
 * Gives back what planning left on the heap, in a quiet moment: with much memory in the machine the engine itself would
 * wait for long. Takes a quarter of a second with a large workspace.
 */
export function giveBack(): void {
  if (!collect) {
    setFlagsFromString('--expose-gc');
    collect = runInNewContext('gc') as () => void;
    setFlagsFromString('--no-expose-gc');
  }
  // Half of what is held lies in holes between what is used: only moving it together gives that back.
  setFlagsFromString('--compact-on-every-full-gc');
  collect();
  setFlagsFromString('--no-compact-on-every-full-gc');
}
