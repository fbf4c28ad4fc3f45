import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: { include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts'], testTimeout: 60_000, globalSetup: ['scripts/buildForTests.mjs'] },
});
