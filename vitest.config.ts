import { defineConfig } from 'vitest/config';

const patience = { testTimeout: 180_000, hookTimeout: 180_000 };

export default defineConfig({
  test: {
    globalSetup: ['scripts/buildForTests.mjs'],
    projects: [
      // Pure computation keeps nothing between files, so they share what they import.
      {
        test: {
          name: 'core',
          include: ['src/core/**/*.test.ts', 'src/contract/**/*.test.ts', 'src/text/**/*.test.ts'],
          isolate: false,
          ...patience,
        },
      },
      {
        test: {
          name: 'rest',
          include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts'],
          exclude: ['src/core/**', 'src/contract/**', 'src/text/**'],
          ...patience,
        },
      },
    ],
  },
});
