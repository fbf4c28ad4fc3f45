import { readFileSync } from 'node:fs';
import { expect, type Download, type Page, test } from '@playwright/test';

test.describe.configure({ mode: 'serial' });

const today = '2026-11-10';
const at = (path: string): string => `${path}${path.includes('?') ? '&' : '?'}today=${today}`;

test.beforeAll(async ({ request }) => {
  await request.delete('/api/v1/workspace?confirm=empty');
  for (const game of ['signal-frame', 'ring-at-twenty-four']) expect((await request.post(`/api/v1/library/${game}/take`)).ok()).toBe(true);
});

async function fileOf(page: Page, press: () => Promise<void>): Promise<Download> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  expect(readFileSync((await download.path())!).toString('latin1', 0, 5)).toBe('%PDF-');
  return download;
}

test('a set is turned, seen, printed, made, and stands in Things until it is taken back', async ({ page }) => {
  await page.goto(at('/prep'));
  await page.goto(at('/prep/print'));
  await expect(page.getByRole('img', { name: 'Number cards, sheet 1, front' })).toBeVisible();
  await page.getByRole('button', { name: 'To: more' }).click();
  await expect(page.getByText(/^44 cards/)).toBeVisible();
  await page.getByRole('button', { name: 'Letter', exact: true }).click();
  await expect(page.getByRole('img', { name: /Number cards/ })).toHaveAttribute('viewBox', /227\.9/);
  await page.getByRole('button', { name: 'Put it on a list, and go on' }).click();
  await page.getByLabel('Sheet', { exact: true }).selectOption('track-board');
  await expect(page.getByRole('img', { name: /Track board/ })).toBeVisible();
  await page.getByRole('button', { name: 'Put this one on the list too' }).click();
  await fileOf(page, () => page.getByRole('button', { name: /Print 6 sheets as one PDF/ }).click());
  await page.getByRole('button', { name: 'They are made' }).click();
  await expect(page.getByText(/2 sets stand in Things now/)).toBeVisible();
  await expect(page.getByText('Made before')).toBeVisible();
  const kinds = await (await page.request.get('/api/v1/kinds?limit=500')).json();
  expect(kinds.items.find((k: { id: string }) => k.id === 'number-cards').quantity).toBe(1);
  // How it is printed is kept for the next time.
  await page.goto(at('/prep/print'));
  await expect(page.getByRole('button', { name: 'Letter', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('from a game to its sheets in one click, with the keyboard alone', async ({ page }) => {
  await page.goto(at('/shelf/ring-at-twenty-four'));
  await page.getByRole('link', { name: 'Print what it needs' }).press('Enter');
  await expect(page.getByRole('img', { name: 'Target cards, sheet 1, front' })).toBeVisible();
  await page.getByRole('button', { name: 'Put on the list' }).first().press('Enter');
  await fileOf(page, () => page.getByRole('button', { name: /as one PDF/ }).press('Enter'));
});

test('what cannot be printed is said at once, and the last good sheet stays', async ({ page }) => {
  await page.goto(at('/prep/print'));
  await expect(page.getByRole('img', { name: /Number cards/ })).toBeVisible();
  await page.getByLabel('To', { exact: true }).fill('-3');
  await expect(page.getByRole('alert')).toContainText('The range runs backwards: 1 to -3.');
  await expect(page.getByRole('img', { name: /Number cards/ })).toBeVisible();
});
