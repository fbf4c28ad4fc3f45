import { expect, test } from '@playwright/test';

/** What a curriculum lead needs from her workbook to the sheet she hands on; clicks counted, minutes reckoned at 2 s a click. */
test('a school: from a workbook to coverage on paper', async ({ page, request }) => {
  test.setTimeout(180_000);
  await request.delete('/api/v1/workspace?confirm=empty');
  const began = Date.now();
  let clicks = 0;
  const click = async (role: 'link' | 'button', name: string | RegExp): Promise<void> => {
    clicks++;
    await page.getByRole(role, { name }).first().click();
  };
  await page.goto('/shelf');
  await click('link', 'Bring in a file');
  clicks++;
  await page.getByLabel('File', { exact: true }).setInputFiles('examples/curriculum-as-kept.xlsx');
  await click('button', /Bring them all in/);
  await click('link', 'To the shelf');
  await click('link', 'Coverage');
  const lead = page.getByText(/expectations have a game/);
  await expect(lead).toBeVisible();
  const [, covered, all] = /(\d+) of (\d+)/.exec((await lead.textContent())!)!;
  expect(Number(all)).toBe(177);
  // Her forty games, untouched, already stand for what their words and codes say.
  expect(Number(covered)).toBeGreaterThan(20);
  await click('button', /I have compared all of/);
  await expect(page.getByText(/^(\d+) of \1 codes in/)).toBeVisible();
  const download = page.waitForEvent('download');
  await click('link', 'Two pages (PDF)');
  expect((await download).suggestedFilename()).toBe('coverage-us.pdf');
  // The best use of an evening is there to be taken.
  await expect(page.getByRole('region', { name: 'Best use of one evening' })).toBeVisible();
  const minutes = (clicks * 2 + (Date.now() - began) / 1000) / 60;
  console.log(`coverage sheet: ${clicks} clicks, ${covered} of ${all} expectations, about ${minutes.toFixed(1)} minutes`);
  expect(clicks).toBeLessThanOrEqual(25);
});
