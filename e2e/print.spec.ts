import { execFileSync } from 'node:child_process';
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

test('lost cards are ticked on the sheet with the keyboard and printed alone', async ({ page }) => {
  await page.goto(at('/prep/print'));
  await page.getByRole('button', { name: 'Only some pieces' }).press('Enter');
  await page.getByRole('checkbox', { name: 'Piece 6: 6' }).press(' ');
  await page.getByRole('checkbox', { name: 'Piece 9: 9' }).press('Enter');
  const file = await fileOf(page, () => page.getByRole('button', { name: 'Print 1 sheet as one PDF' }).click());
  const words = execFileSync('pdftotext', [(await file.path())!, '-'], { encoding: 'utf8' });
  expect(words.match(/[0-9]+(?=\s)/g)!.slice(0, 2)).toEqual(['6', '9']);
  expect(words).toContain('missing pieces · 1 of 1');
});

test('what cannot be printed is said at once, and the last good sheet stays', async ({ page }) => {
  await page.goto(at('/prep/print'));
  await expect(page.getByRole('img', { name: /Number cards/ })).toBeVisible();
  await page.getByLabel('To', { exact: true }).fill('-3');
  await expect(page.getByRole('alert')).toContainText('The range runs backwards: 1 to -3.');
  await expect(page.getByRole('img', { name: /Number cards/ })).toBeVisible();
});

test('a session goes on paper with its plan B, and comes back from its strips', async ({ page, request }) => {
  test.setTimeout(180_000);
  const { items: kinds } = await (await request.get('/api/v1/kinds?limit=500')).json();
  await request.put(at('/api/v1/kinds'), { data: { things: kinds.map((k: { id: string }) => ({ id: k.id, told: 'plenty' })) } });
  for (const nickname of ['Ash', 'Bay', 'Cob', 'Dot'])
    expect((await request.post(at('/api/v1/learners'), { data: { nickname, born: '2017-03' } })).ok()).toBe(true);
  const asked = { present: ['ash', 'bay', 'cob', 'dot'], rounds: 2, minutes: 15, tables: 2, helpers: 2, seconds: 0.2, date: today };
  const made = await (await request.post(at('/api/v1/plans?wait=60'), { data: asked })).json();

  // Plan B is worked out, and a button does what it says.
  await page.goto(at('/prep'));
  await page.getByRole('button', { name: 'Plan B' }).click();
  const planB = page.getByRole('region', { name: 'Plan B' });
  await expect(planB.getByText('Somebody is away')).toBeVisible({ timeout: 60_000 });
  await expect(planB.getByRole('button', { name: /^Plan it so/ }).first()).toBeVisible();
  await fileOf(page, () => page.getByRole('button', { name: 'Session on paper' }).click());
  await planB.getByRole('button', { name: /^Plan it so: \d round/ }).click();
  await page.waitForURL(/\/plan\/.+/, { timeout: 60_000 });
  const short = (await (await request.get(at(`/api/v1/plans/${made.id}`))).json()).request;
  expect(short.rounds * short.minutes).toBeLessThanOrEqual(20);

  // The number on a strip, typed where one goes anywhere, opens its line; a key a child takes the signs.
  await page.getByRole('button', { name: /^Go to/ }).click();
  await page.getByRole('combobox', { name: 'Go to' }).fill(`${made.number}-1-1`);
  await page.getByText(`Strip ${made.number}-1-1: key in what was noted`).click();
  const first = page.getByRole('group', { name: new RegExp(`strip ${made.number}-1-1$`) }).first();
  await expect(first).toBeFocused();
  await page.keyboard.press('3');
  await page.keyboard.press('1');
  await page.getByRole('button', { name: 'Keep 2 notes' }).click();
  await expect(page.getByText('2 notes are kept.')).toBeVisible();
  const kept = await (await request.get(at(`/api/v1/evidence?session=${made.id}`))).json();
  expect(kept.items.map((e: { result: string }) => e.result).sort()).toEqual(['alone', 'stuck']);
  expect((await (await request.get(at(`/api/v1/plans/${made.id}`))).json()).playedAt).not.toBeNull();
});
