import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

const patience = { testTimeout: 180_000, hookTimeout: 180_000 };

/** What speaks of days and moments also holds on the other side of midnight: the machine's zone and two far ones. */
const ofDays = [
  'src/core/shared/{days,moments}.test.ts',
  'src/core/mastery/movedLately.test.ts',
  'src/core/content/readEvidence.test.ts',
  'src/adapters/calendar/*.test.ts',
  'src/server/{server,session}.test.ts',
  'src/server/evidence/*.test.ts',
  'src/server/shared/*.test.ts',
  'src/server/term/*.test.ts',
  'src/islands/plan/*.test.tsx',
];
const farZones = ['Pacific/Auckland', 'America/Los_Angeles'];
/** A whole session is long to play, and one side of midnight is enough for it. */
const ofSessions = 'src/server/session.test.ts';

export default defineConfig({
  test: {
    // The runner itself hardly works, so on two cores two test files may.
    maxWorkers: Math.max(2, availableParallelism() - 1),
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
          include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: ['src/core/**', 'src/contract/**', 'src/text/**', 'src/server/**', 'src/islands/**'],
          ...patience,
        },
      },
      // Islands are taken off the page after each test; what they import is read once.
      { test: { name: 'islands', include: ['src/islands/**/*.test.{ts,tsx}'], isolate: false, ...patience } },
      // Each test of the server opens a workspace of its own; what they import is read once.
      { test: { name: 'server', include: ['src/server/**/*.test.ts'], isolate: false, ...patience } },
      ...farZones.map((zone, i) => ({
        test: {
          name: zone.split('/')[1]!,
          include: ofDays,
          exclude: i > 0 ? [ofSessions] : [],
          env: { TZ: zone },
          isolate: false,
          ...patience,
        },
      })),
    ],
  },
});
