import { expect, test } from '@playwright/test';

const places = [
  '/shelf',
  '/shelf/import',
  '/shelf/library',
  '/shelf/things',
  '/shelf/coverage',
  '/shelf/recognise',
  '/shelf/stocktake',
  '/learners',
  '/learners/import',
  '/learners/evidence',
  '/learners/group',
  '/learners/place',
  '/learners/skills',
  '/learners/frameworks',
  '/plan',
  '/prep',
  '/prep/print',
  '/play',
  '/play/strips',
  '/review',
];

for (const path of places) {
  test(`${path} holds under its content-security policy`, async ({ page }) => {
    const complaints: string[] = [];
    page.on('console', (m) => m.type() === 'error' && complaints.push(m.text()));
    page.on('pageerror', (e) => complaints.push(e.message));
    const response = (await page.goto(path))!;
    expect(response.status()).toBe(200);
    const policy =
      response.headers()['content-security-policy'] ??
      (await page.locator('meta[http-equiv="content-security-policy"]').getAttribute('content'));
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain('unsafe');
    await expect(page.getByRole('navigation', { name: 'Places' }).locator('[aria-current="page"]')).toHaveCount(1);
    await expect(page.locator('main h1, main h2').first()).toBeVisible();
    expect(complaints).toEqual([]);
  });
}

test('an injected script does not run', async ({ page }) => {
  await page.goto('/shelf');
  const ran = await page.evaluate(async () => {
    const s = document.createElement('script');
    s.textContent = 'window.injected = true';
    document.body.append(s);
    await new Promise((r) => setTimeout(r, 50));
    return 'injected' in window;
  });
  expect(ran).toBe(false);
});

test('places are reached by single keys and the palette', async ({ page }) => {
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: /Go to/ })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await page.keyboard.press('l');
  await page.waitForURL(/\/learners/);
  await page.waitForLoadState('networkidle');
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/A place, a game/)).toBeFocused();
  await page.keyboard.type('Review');
  await expect(page.getByRole('option', { name: /^Review/ })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/review/);
});
