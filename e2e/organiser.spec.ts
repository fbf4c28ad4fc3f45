import { expect, test } from '@playwright/test';

/**
 * What an organiser needs from the file she keeps to a plan for eleven children: clicks and keys are counted, minutes
 * reckoned at 2 s a click and 0.3 s a key beside the waits; told, never a failure.
 */
for (const [name, file] of [
  ['a list as a co-op keeps it', 'examples/shelf-as-kept.csv'],
  ['a workbook as a curriculum lead keeps it', 'examples/curriculum-as-kept.xlsx'],
] as const)
  test(`from ${name} to a plan for eleven`, async ({ page, request }) => {
    test.setTimeout(240_000);
    await request.delete('/api/v1/workspace?confirm=empty');
    const began = Date.now();
    let clicks = 0;
    let keys = 0;
    const click = async (role: 'link' | 'button', label: string | RegExp): Promise<void> => {
      clicks++;
      await page.getByRole(role, { name: label }).first().click();
    };
    await page.goto('/shelf');
    await click('link', /Bring in (?:your|the|a) (?:list|file|shelf)/i);
    clicks++;
    await page.getByLabel('File', { exact: true }).setInputFiles(file);
    await click('button', /Bring them all in/);
    await click('link', 'How is each played?');
    // One key a row that is sure; the others stay as their words say.
    const sure = (await (await request.get('/api/v1/recognise?limit=1')).json()) as { sure: number; total: number };
    expect(sure.sure).toBeGreaterThan(sure.total / 2);
    for (let i = 1; i <= sure.sure; i++) {
      await expect(page.getByText('Sure.', { exact: true })).toBeVisible();
      await page.keyboard.press('Enter');
      keys++;
      await expect(page.getByText(new RegExp(`${i} of ${sure.total} answered`))).toBeVisible();
    }
    await click('link', 'Learners');
    await click('link', 'Bring in a roster');
    clicks++;
    const ages = ['K', 'K', '1', '1', '2', '2', '3', '3', '4', '4', '5'];
    const children = ['Wren', 'Moss', 'Robin', 'Fern', 'Sorrel', 'Linnet', 'Heron', 'Teal', 'Rowan', 'Briar', 'Hazel'];
    const roster = `Kid,Grade,Family\n${children.map((c, i) => `${c},${ages[i]},Family ${1 + (i % 4)}`).join('\n')}\n`;
    await page
      .getByLabel('File', { exact: true })
      .setInputFiles({ name: 'children.csv', mimeType: 'text/csv', buffer: Buffer.from(roster) });
    await click('button', /Bring everybody in/);
    await click('link', 'Plan');
    await click('button', 'Plan a session');
    await click('button', 'Work it out');
    await page.waitForURL(/\/plan\/.+/, { timeout: 120_000 });
    await expect(page.getByText('No plan fits')).toHaveCount(0);
    // Every child is on the board, by name, with a game or a rest.
    for (const child of children) await expect(page.getByRole('button', { name: new RegExp(`^${child},`) }).first()).toBeVisible();
    const resting = await page.getByRole('button', { name: /, resting/ }).count();
    expect(resting).toBeLessThanOrEqual(4);
    const minutes = (clicks * 2 + keys * 0.3 + (Date.now() - began) / 1000) / 60;
    console.log(
      `${name}: ${clicks} clicks, ${keys} keys, ${sure.sure} of ${sure.total} rows sure, ${resting} rests, about ${minutes.toFixed(1)} minutes`,
    );
  });
