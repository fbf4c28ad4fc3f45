import { readFileSync } from 'node:fs';
import { CheckStatus } from '@stryker-mutator/api/check';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import { keyOf } from './draw.mjs';

/** Lets only the mutants of the draw through; the others are never run. */
class Drawn {
  drawn = new Set(JSON.parse(readFileSync(process.env.ZEITGEBER_MUTANTS, 'utf8')));

  async init() {}

  async check(mutants) {
    const verdict = (mutant) =>
      this.drawn.has(keyOf(mutant, 0)) ? { status: CheckStatus.Passed } : { status: CheckStatus.CompileError, reason: 'not drawn' };
    return Object.fromEntries(mutants.map((mutant) => [mutant.id, verdict(mutant)]));
  }

  group(mutants) {
    return [mutants.map((m) => m.id)];
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Checker, 'drawn', Drawn)];
