import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';

const today = '2026-11-10';
const at = (path: string): string => `${path}${path.includes('?') ? '&' : '?'}today=${today}`;

test.describe.configure({ mode: 'serial' });

test.beforeAll(async ({ request }) => {
  await request.delete('/api/v1/workspace?confirm=empty');
  await request.post(`/api/v1/imports/roster?today=${today}`, {
    data: { base64: readFileSync('examples/roster.csv').toString('base64'), commit: true },
  });
});

test.afterAll(async ({ request }) => {
  await request.delete('/api/v1/workspace?confirm=empty');
});

test('notes from a file are looked at, brought in, and move the map', async ({ page }) => {
  await page.goto(at('/learners/evidence'));
  await page.getByLabel('File', { exact: true }).setInputFiles('examples/notes.csv');
  await expect(page.getByRole('heading', { name: '3 notes to bring in' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'Pairs of ten' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring them all in' }).click();
  await expect(page.getByText('3 notes are on record')).toBeVisible();
  await page.goto(at('/learners/fern?skill=make-ten'));
  await expect(page.getByText(/statement by an organiser: with help/)).toBeVisible();
  await expect(page.getByText(/Noted by someone: once/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Tool to play with next' })).toBeVisible();
});

test('lines fold, and the keyboard walks past the fold', async ({ page }) => {
  await page.goto(at('/learners/fern'));
  const line = page.getByRole('button', { name: /Groups and times: \d+ later steps/ });
  await line.click();
  await expect(page.getByRole('button', { name: /Groups and times: \d+ earlier steps/ })).toBeVisible();
  const first = page.locator('[data-skill]').first();
  await first.focus();
  for (let i = 0; i < 14; i++) await page.keyboard.press('ArrowRight');
  const focused = await page.evaluate(() => document.activeElement?.getAttribute('data-skill') ?? '');
  expect(focused).not.toBe('');
  await expect(page.locator(`[data-skill="${focused}"]`)).toHaveAttribute('aria-pressed', 'true');
});

test('a sheet of ten says which came right, and the facts stand in the grid', async ({ page }) => {
  await page.goto(at('/learners/fern?skill=add-in-10'));
  await page.getByRole('button', { name: 'Sheet of ten' }).click();
  const dialog = page.getByRole('dialog', { name: 'A sheet for Fern' });
  for (const n of [0, 1, 2]) await dialog.getByRole('button', { name: 'right', exact: true }).nth(n).click();
  await dialog.getByRole('button', { name: 'practise again' }).nth(3).click();
  await expect(dialog.getByText('3 right of 4 done.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/check-in by an organiser: 3 of 4 right/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Facts noted' })).toBeVisible();
  await expect(page.getByText('Practise again:')).toBeVisible();
});

test('a goal is agreed on, and a child goes by goals alone', async ({ page }) => {
  await page.goto(at('/learners/fern?skill=times-2'));
  await page.getByRole('button', { name: 'Make it a goal' }).click();
  await expect(page.getByText('Own goals: Times two')).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel(/Goes by own goals/).check();
  await page.getByLabel('no playing cards').check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own goals, no norms')).toBeVisible();
  await expect(page.getByText('Goes by own goals: Times two')).toBeVisible();
});

test('what a child can see holds no number, rank or miss', async ({ page }) => {
  await page.goto(at('/learners/fern/mine'));
  await expect(page.getByRole('heading', { name: 'I am working on this' })).toBeVisible();
  const text = await page.locator('main').innerText();
  expect(text).not.toMatch(/%|0\.\d|not yet|stuck|missed|of \d+/);
});

test('the group is one picture, with who can sit together, and goes onto paper', async ({ page }) => {
  await page.goto(at('/learners'));
  await page.getByRole('link', { name: 'The group in one picture' }).click();
  await expect(page.getByRole('heading', { name: 'Who can sit together' })).toBeVisible();
  await page.getByLabel('Line').selectOption({ label: 'Bonds and parts' });
  await expect(page.getByRole('columnheader', { name: 'Pairs of ten' })).toBeAttached();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'PDF, A4' }).click();
  expect(
    readFileSync((await (await download).path())!)
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});

test('a framework comes in, its surest ties are accepted, and it goes out again', async ({ page }) => {
  await page.goto(at('/learners/frameworks'));
  await expect(page.getByText('177 of 177 tied to skills')).toBeVisible();
  await page.getByLabel('CASE file').setInputFiles('examples/framework.case.json');
  await expect(page.getByText('7 expectations.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByRole('heading', { name: 'Lamps: what we want by when' })).toBeVisible();
  await page.getByRole('button', { name: /Accept the \d+ surest/ }).click();
  await expect(page.getByText(/ties accepted/)).toBeVisible();
  await expect(page.getByRole('row', { name: /SB.S.1/ })).toBeVisible();
  await page.getByLabel('Tie SB.S.1 to a skill').selectOption({ label: 'Continue a repeating pattern' });
  await expect(page.getByRole('row', { name: /SB.S.1/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /SB.S.1/ })).toBeVisible();
});

test('a skill of one’s own is built with examples, and a circle is refused', async ({ page }) => {
  await page.goto(at('/learners/skills'));
  const before = await page.getByText(/^\d+ on \d+ lines/).innerText();
  await page.getByRole('button', { name: 'Add a skill' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add a skill' });
  await dialog.getByLabel('What it is called').fill('Sums to lamp nine');
  await dialog.getByLabel('What it looks like, in a line').fill('Says 5 and 4 at once.');
  await dialog.getByLabel('Result, from').fill('9');
  await dialog.getByLabel('Result, to').fill('9');
  await expect(dialog.getByText(/\d \+ \d = \[9\]/).first()).toBeVisible();
  await dialog.getByLabel('Needs').selectOption({ label: 'Add within five' });
  await dialog.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: /Sums to lamp nine/ }).click();
  await expect(page.getByRole('heading', { name: 'Sums to lamp nine' })).toBeVisible();
  await page.getByRole('button', { name: /^Add within five/ }).click();
  await page.getByLabel('Add something it needs').selectOption({ label: 'Sums to lamp nine' });
  await expect(page.getByText(/need one another in a circle/)).toBeVisible();
  await page.getByRole('button', { name: /Sums to lamp nine/ }).click();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByText(before)).toBeVisible();
});
