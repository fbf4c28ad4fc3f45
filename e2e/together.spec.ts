import { expect, test } from '@playwright/test';

const today = '2026-11-10';
const at = (path: string): string => `/api/v1${path}${path.includes('?') ? '&' : '?'}today=${today}`;

test('eight share the seats there are; all play together; one child plays with a grown-up', async ({ page, request }) => {
  test.setTimeout(180_000);
  await request.delete('/api/v1/workspace?confirm=empty');
  const origin = new URL(page.url() === 'about:blank' ? 'http://127.0.0.1:4399' : page.url()).origin;
  const post = async (path: string, data: object) => (await request.post(at(path), { data, headers: { origin } })).json();
  for (const id of ['two-lamps-lit', 'high-signal']) await post(`/library/${id}/take`, {});
  const { items: kinds } = await (await request.get(at('/kinds?limit=500'))).json();
  await request.put(at('/kinds'), {
    data: { things: kinds.map((k: { id: string }) => ({ id: k.id, told: 'plenty' })) },
    headers: { origin },
  });
  const names = ['Ash', 'Bay', 'Cob', 'Dot', 'Elm', 'Fen', 'Gil', 'Hob'];
  for (const [i, nickname] of names.entries()) await post('/learners', { nickname, born: `${2017 + (i % 2)}-03` });

  // Eight and one table: two on one seat before anybody rests.
  const made = await post('/plans?wait=60', {
    present: names.map((n) => n.toLowerCase()),
    rounds: 1,
    minutes: 15,
    tables: 1,
    helpers: 2,
    seconds: 0.5,
  });
  await page.goto(`/plan/${made.id}?today=${today}`);
  await expect(page.getByRole('heading', { name: /Everybody plays, some as partners|Not everybody has a seat/ })).toBeVisible();
  const partner = page.getByRole('button', { name: /partner of/ }).first();
  await expect(partner).toBeVisible();
  // By hand: the partner has a seat of the own again, which is one too many.
  const shared = page.getByLabel(/on one seat with$/);
  const values = await shared.evaluateAll((all) => all.map((s) => (s as HTMLSelectElement).value));
  const first = values.findIndex((v) => v !== '');
  await shared.nth(first).selectOption('');
  await expect(page.getByText(/players in round 1; that does not fit/)).toBeVisible();
  await expect(page.getByText('Every rule is kept.')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();

  // All together, from what seats all.
  await post('/library/pass-the-lantern/take', {});
  await page.getByText('A round for everybody').click();
  await page.locator('form').getByRole('button', { name: 'Plan it so' }).click();
  await expect(page.getByText(/Round 1: .+ for everybody/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('button', { name: /partner of/ })).toHaveCount(0);

  // One child at the kitchen table.
  await page.goto(`/plan?now&today=${today}`);
  for (const name of names.slice(1)) await page.getByRole('checkbox', { name }).uncheck();
  await expect(page.getByRole('checkbox', { name: /grown-up/ })).toBeChecked();
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await page.waitForURL(/\/play\?plan=.+/, { timeout: 60_000 });
  await page.getByRole('link', { name: 'Change the plan' }).click();
  await page.waitForURL(/\/plan\/.+/, { timeout: 60_000 });
  await expect(page.getByText('Every rule is kept.')).toBeVisible();
  await expect(page.getByText('a grown-up', { exact: true }).first()).toBeVisible();
});

test('a unit, its coverage, and a pacing list that plans lean to', async ({ page }) => {
  await page.goto(`/shelf?today=${today}`);
  await page.getByRole('checkbox', { name: 'Choose High Signal' }).check();
  await page.getByLabel('Tag for all of them').fill('unit 3');
  await page.getByRole('button', { name: 'Tag', exact: true }).click();
  await expect(page.getByText('One game tagged “unit 3”.')).toBeVisible();
  await page.getByLabel('tag', { exact: true }).selectOption('unit 3');
  await expect(page.getByRole('link', { name: 'High Signal' })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /^Choose/ })).toHaveCount(1);

  await page.goto(`/shelf/coverage?today=${today}`);
  const lead = page.getByText(/expectations have a game/);
  const whole = await lead.textContent();
  await page.getByLabel('Looked at').selectOption('only “unit 3”');
  await expect(lead).not.toHaveText(whole!);
  await page.getByRole('button', { name: 'Bring in a pacing list' }).click();
  await page.getByLabel('Weeks and codes').fill('week,codes\n2026-11-09,1.OA.C.6\n2026-11-16,9.ZZ.9');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText(/Row 3, code: "9.ZZ.9" is no code/)).toBeVisible();
  await page.getByLabel('Weeks and codes').fill('week,codes\n2026-11-09,1.OA.C.6\n2026-11-16,1.OA.B.3');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('this week')).toBeVisible();
  await page.getByLabel('Framework').selectOption('steps');
  await expect(page.getByText('this week')).toHaveCount(0);
});
