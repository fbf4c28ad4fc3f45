import { expect, type Page, test } from '@playwright/test';

test.describe.configure({ mode: 'serial' });

test.beforeAll(async ({ request }) => {
  await request.delete('/api/v1/workspace?confirm=empty');
});

const game = 'Signal Frame';

test('a game of the library is taken onto the shelf, taken back, and taken again', async ({ page }) => {
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Look through the library' }).click();
  await page.waitForURL(/\/shelf\/library/);
  await expect(page.getByRole('status').filter({ hasText: /\d+ of \d+ games fit, \d+ versions/ })).toBeVisible();
  await page.getByLabel('Search the library').fill('signal frame');
  await page.getByRole('button', { name: 'grade 1' }).click();
  const row = page.getByRole('article', { name: game });
  await row.getByRole('button', { name: 'Try a turn' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByText(/simulated games of 3/)).toBeVisible();
  await expect(sheet.getByText('Keep one total for the table', { exact: false })).toBeVisible();
  await page.keyboard.press('Escape');
  await row.getByRole('button', { name: 'Take it' }).click();
  await expect(row.getByText('on your shelf')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.getByRole('button', { name: 'Take it' })).toBeVisible();
  await row.getByRole('button', { name: 'Take it' }).click();
  await expect(row.getByText('on your shelf')).toBeVisible();
  await page.getByLabel('Search the library').fill('no such game at all');
  await expect(page.getByText(/Nothing in the library fits/)).toBeVisible();
});

async function open(page: Page, view: RegExp): Promise<void> {
  await page.goto('/shelf');
  await page.getByRole('link', { name: game }).first().click();
  await page.getByRole('tab', { name: 'down from a hundred' }).click();
  await page.getByRole('tab', { name: view }).click();
}

test('turning a number shows old against new, a wish is answered, and the result is kept', async ({ page }) => {
  await open(page, /Bench/);
  const row = page.getByRole('row', { name: /taking away/ });
  await expect(row).toContainText('%');
  await page.getByLabel('Direction').selectOption('up-and-down');
  await expect(page.getByText('was down')).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'turned' })).toBeVisible();
  await expect(row.getByLabel('less')).toBeVisible();
  // Impossible numbers are refused at their field and the last answer stays.
  await page.getByLabel('Lowest card').fill('9');
  await expect(page.getByText(/the end can never be met exactly|below the lowest/).first()).toBeVisible();
  await page.getByLabel('Lowest card').fill('1');
  await page.getByLabel('A wish').selectOption('more-subtraction');
  await page.getByRole('button', { name: 'Try all changes' }).click();
  await expect(page.getByRole('button', { name: 'Turn it' }).first()).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Turn it' }).first().click();
  await page.getByLabel('Cards that are missing').fill('10, 10, 10, 10');
  await page.getByLabel('Cards that are missing').blur();
  await page.getByLabel('Name of the new version').fill('without the tens');
  await page.getByRole('button', { name: 'Save as a new version' }).click();
  await expect(page.getByRole('tab', { name: 'without the tens' })).toHaveAttribute('aria-selected', 'true');
});

test('one game is watched turn by turn, with the keys alone', async ({ page }) => {
  await open(page, /Watch one game/);
  await expect(page.getByText(/Turn 1 of/)).toBeVisible();
  await page.getByLabel('Turns', { exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/Turn 2 of/)).toBeVisible();
  await expect(page.getByText(/the total is/).first()).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.getByText(/ends ahead|Nobody ends ahead/)).toBeVisible();
  const first = await page.getByLabel('Turns', { exact: true }).innerText();
  await page.getByRole('button', { name: 'Another game' }).click();
  await expect(page.getByText(/simulated game 2/)).toBeVisible();
  await page.getByRole('button', { name: 'To the end' }).click();
  expect(await page.getByLabel('Turns', { exact: true }).innerText()).not.toBe(first);
});

test('two versions stand side by side', async ({ page }) => {
  await open(page, /side by side/);
  await page.getByLabel('Beside this version').selectOption({ label: 'up to twenty' });
  await expect(page.getByRole('columnheader', { name: 'up to twenty' })).toBeVisible();
  await expect(page.getByRole('row', { name: /minutes a game/ })).toContainText('min');
});

test('luck, choice and turn order are told with their error', async ({ page }) => {
  await open(page, /What it practises/);
  await expect(page.getByText(/choices matter: a careful player wins/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/for whoever goes first, ±/)).toBeVisible();
  await page.getByRole('button', { name: 'Who would win?' }).click();
  await expect(page.getByText(/must be the same for everyone/)).toBeVisible();
});

test('five picture questions propose how a boxed game is played', async ({ page }) => {
  await open(page, /What it practises/);
  await page.getByRole('button', { name: 'Add a version' }).click();
  await page.getByRole('button', { name: /Five picture questions/ }).click();
  await page.getByRole('button', { name: 'dice', exact: true }).click();
  await page.getByRole('button', { name: 'takes away', exact: true }).click();
  await page.getByRole('button', { name: 'a peg moves along' }).click();
  await expect(page.getByText(/fits 3 of 3 answers; how far a turn goes: (difference|signed)/)).toBeVisible();
  await page.getByRole('button', { name: 'Track race' }).click();
  await expect(page.getByLabel('How it plays')).toHaveValue('track-race');
  await page.getByLabel('Name of the version').fill('from the box');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('tab', { name: 'from the box' })).toHaveAttribute('aria-selected', 'true');
});

test('one counted round stands beside the calculation with its n', async ({ page }) => {
  await open(page, /What it practises/);
  await page.getByRole('button', { name: 'Count one round' }).click();
  for (const [a, b] of [
    [42, 7],
    [35, 8],
    [27, 4],
  ] as const) {
    await page.getByRole('button', { name: 'subtract', exact: true }).click();
    await page.getByLabel('First number').fill(String(a));
    await page.getByLabel('Second number').fill(String(b));
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText(/3 answers of 2 in 10 minutes/)).toBeVisible();
  await page.getByRole('button', { name: /take back 27/ }).click();
  await expect(page.getByText(/2 answers of 2 in 10 minutes/)).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Counted at your table' })).toBeVisible();
});
