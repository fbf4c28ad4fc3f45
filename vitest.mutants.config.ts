import { defineConfig } from 'vitest/config';

/** The tests that must notice a changed line: those beside the code of the area being changed. */
const tests = {
  core: ['src/core/play/**/*.test.ts', 'src/core/content/**/*.test.ts', 'src/core/items/**/*.test.ts', 'src/adapters/csv/**/*.test.ts'],
  judgement: ['src/core/recommend/**/*.test.ts', 'src/core/mastery/**/*.test.ts', 'src/core/planning/**/*.test.ts'],
  server: ['src/server/*/**/*.test.ts', 'src/server/server.test.ts', 'src/server/session.test.ts'],
  /** Every route once; slow, so only for what the others did not notice. */
  contract: ['src/server/everyRoute.test.ts'],
};

export default defineConfig({
  test: {
    include: tests[(process.env['ZEITGEBER_MUTANTS_AREA'] ?? 'core') as keyof typeof tests],
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
