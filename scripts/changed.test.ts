import { describe, expect, it } from 'vitest';
// @ts-expect-error a script without types
import { testsOf as untyped } from './changed.mjs';

const testsOf = untyped as (changed: string[], all: string[], read: (path: string) => string) => string[];
const files: Record<string, string> = {
  'src/core/lamps/light.test.ts': "import { light } from './light';",
  'src/core/bees/hum.test.ts': "import { hum } from './hum';\nimport { light } from '../lamps/light';",
  'src/core/bees/deep/far.test.ts': "import { far } from './far';",
};
const touched = (...changed: string[]): string[] => testsOf(changed, Object.keys(files), (path) => files[path]!);

describe('tests that a change touches', () => {
  it('are those beside it and those that read it', () => {
    expect(touched('src/core/lamps/light.ts')).toEqual(['src/core/lamps/light.test.ts', 'src/core/bees/hum.test.ts']);
    expect(touched('src/core/bees/hum.ts')).toEqual(['src/core/bees/hum.test.ts']);
  });
  it('are only themselves where tests changed', () =>
    expect(touched('src/core/bees/deep/far.test.ts')).toEqual(['src/core/bees/deep/far.test.ts']));
  it('are none where nothing of them changed', () => {
    expect(touched('docs/quality.md')).toEqual([]);
    expect(touched()).toEqual([]);
  });
});
