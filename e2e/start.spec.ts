import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { expect, test } from '@playwright/test';

const port = Number(process.env['ZEITGEBER_TEST_PORT'] ?? 4399);

function run(args: string[], cwd = process.cwd()): Promise<{ code: number | null; text: string }> {
  return new Promise((done) => {
    const child = spawn(process.execPath, args, { env: { ...process.env }, cwd });
    let text = '';
    child.stdout.on('data', (d: Buffer) => (text += d.toString()));
    child.stderr.on('data', (d: Buffer) => (text += d.toString()));
    const timer = setTimeout(() => child.kill(), 100_000);
    child.on('exit', (code) => {
      clearTimeout(timer);
      done({ code, text });
    });
  });
}

test('a taken port is told in one line', async () => {
  const { code, text } = await run(['scripts/start.mjs', '--port', String(port), '--data', 'test-results/other']);
  expect(code).toBe(1);
  expect(text.trim()).toBe(`Port ${port} is taken. Close the other program, or choose another with --port N.`);
});

test('a second process on one data directory is told in one line', async () => {
  const { code, text } = await run(['scripts/start.mjs', '--port', String(port + 1), '--data', 'test-results/workspace']);
  expect(code).toBe(1);
  expect(text.trim()).toMatch(
    /^Another Zeitgeber is already using .*workspace\. Close it first, or choose another place with --data DIR\.$/,
  );
});

test('it may be started from anywhere, and looks there for what it is told', async () => {
  const here = process.cwd();
  const args = [
    join(here, 'scripts/start.mjs'),
    '--port',
    String(port + 1),
    '--data',
    relative(tmpdir(), join(here, 'test-results/workspace')),
  ];
  const { code, text } = await run(args, tmpdir());
  expect(code).toBe(1);
  expect(text.trim()).toBe(
    `Another Zeitgeber is already using ${join(here, 'test-results/workspace')}. Close it first, or choose another place with --data DIR.`,
  );
});

test('an address beyond this machine is refused', async () => {
  const { code, text } = await run(['scripts/start.mjs', '--host', '0.0.0.0']);
  expect(code).toBe(1);
  expect(text).toContain('only listens on this machine');
});

test('throwing the demo away without a keyboard needs a word', async () => {
  const { code, text } = await run(['scripts/demo.mjs', '--port', String(port + 2), '--data', 'test-results/workspace', '--reset']);
  expect(code).toBe(1);
  expect(text).toContain('asks first');
});

test('who ends the command ends the program behind it too, however it is done', async () => {
  const args = ['scripts/start.mjs', '--port', String(port + 3), '--data', 'test-results/behind'];
  const answers = (): Promise<boolean> =>
    fetch(`http://127.0.0.1:${port + 3}/api/v1/health`).then(
      (r) => r.ok,
      () => false,
    );
  for (const signal of ['SIGTERM', 'SIGKILL'] as const) {
    const child = spawn(process.execPath, args, { env: { ...process.env } });
    await expect.poll(answers, { timeout: 60_000 }).toBe(true);
    child.kill(signal);
    await expect.poll(answers, { timeout: 10_000 }).toBe(false);
  }
});
