import { defineConfig } from '@playwright/test';

const port = Number(process.env['ZEITGEBER_TEST_PORT'] ?? 4399);
/** Two programs and a worker each; which file runs where only evens out how long both take. */
const secondPort = port + 50;
const second = ['access', 'maps', 'organiser', 'kitchen', 'print'].map((name) => `${name}.spec.ts`);
const server = (at: number, name: string) => ({
  command: `node e2e/serve.mjs ${at} test-results/${name}`,
  url: `http://127.0.0.1:${at}/api/v1/health`,
  timeout: 60_000,
  reuseExistingServer: false,
});

export default defineConfig({
  testDir: 'e2e',
  timeout: 240_000,
  // A busy machine is no fault of the program: only what never comes fails.
  expect: { timeout: 45_000 },
  fullyParallel: false,
  workers: 2,
  projects: [
    { name: 'second', testMatch: second, workers: 1, use: { baseURL: `http://127.0.0.1:${secondPort}`, trace: 'off' } },
    { name: 'first', testIgnore: second, workers: 1 },
  ],
  reporter: [['line'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: [server(port, 'workspace'), server(secondPort, 'second')],
});
