import { expect, type Page, test } from '@playwright/test';

const today = '2026-11-10';
const at = (path: string): string => `${path}${path.includes('?') ? '&' : '?'}today=${today}`;

test.describe.configure({ mode: 'serial' });

let plan = '';

test.beforeAll(async ({ request }) => {
  await request.delete('/api/v1/workspace?confirm=empty');
});

async function bring(page: Page, path: string, file: string, button: RegExp): Promise<void> {
  await page.goto(at(path));
  await page.getByLabel('File', { exact: true }).setInputFiles(file);
  await page.getByRole('button', { name: button }).click();
}

test('an empty shelf says what to do, and a broken file changes nothing', async ({ page }) => {
  await page.goto(at('/shelf'));
  await expect(page.getByRole('heading', { name: 'The shelf is empty' })).toBeVisible();
  await page.goto(at('/shelf/import'));
  await page.getByLabel('File', { exact: true }).setInputFiles('examples/shelf-broken.csv');
  await expect(page.getByRole('alert')).toContainText('12 things need mending');
  await expect(page.getByRole('alert')).toContainText('Row 11, parameters: No two cards from 1 to 10 make 30.');
  await expect(page.getByRole('button', { name: /Bring them all in/ })).toHaveCount(0);
});

test('a shelf and a roster come in', async ({ page }) => {
  await bring(page, '/shelf/import', 'examples/shelf.csv', /Bring them all in/);
  await expect(page.getByRole('status').filter({ hasText: 'on the shelf' })).toContainText('25 versions of 21 new games');
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await expect(page.getByRole('link', { name: 'Cog Pairs' }).first()).toBeVisible();
  await bring(page, '/learners/import', 'examples/roster.csv', /Bring everybody in/);
  await expect(page.getByText('9 learners are here.')).toBeVisible();
});

test('a game can be added, changed, put away, brought back and undone', async ({ page }) => {
  await page.goto(at('/shelf'));
  await page.getByRole('button', { name: 'Add a game' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Owl Clock');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Owl Clock' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a version' }).first().click();
  await page.getByLabel('Name of the version').fill('pairs of seven');
  await page.getByLabel('How it plays').selectOption('pair-memory');
  await page.getByLabel('Pairs make').fill('30');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('No two cards from 1 to 9 make 30.')).toBeVisible();
  await page.getByLabel('Pairs make').fill('7');
  await page.getByLabel('Highest card').fill('7');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Pairs of six and seven')).toBeVisible();
  await expect(page.getByText(/simulated games of 3 typical players/)).toBeVisible();
  await page.getByRole('button', { name: 'Put away' }).first().click();
  await expect(page.getByText('put away', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByText('put away', { exact: true })).toHaveCount(0);
});

test('a profile can be played more often and stopped', async ({ page }) => {
  await page.goto(at('/shelf/honey-ladder'));
  await page.getByRole('button', { name: 'Play it more often' }).click();
  await expect(page.locator('span').filter({ hasText: /games: .* ± .* turns/ })).toBeVisible({ timeout: 30_000 });
});

for (const [id, name, answers] of [
  ['fern', 'Fern', ['can', 'can', 'with help', 'not yet', 'can', 'not yet', 'can', 'with help']],
  ['juno', 'Juno', ['can', 'with help', 'not yet', 'not yet', 'can', 'with help']],
  ['clover', 'Clover', ['can', 'not yet', 'not yet', 'can']],
] as const) {
  test(`${name} is placed in a minute`, async ({ page }) => {
    await page.goto(at(`/learners/${id}/place`));
    await expect(page.getByRole('heading', { name: `Where is ${name}?` })).toBeVisible();
    await expect(
      page.getByRole('button', { name: 'can', exact: true }).or(page.getByRole('heading', { name: 'Enough for now' })),
    ).toBeVisible();
    for (const [i, answer] of answers.entries()) {
      const asked = await page.getByRole('heading', { level: 2 }).first().innerText();
      if (asked === 'Enough for now') break;
      await page.getByRole('button', { name: answer, exact: true }).click();
      await expect(page.getByText(i === 0 ? /^One answer[ ;]/ : new RegExp(`^${i + 1} answers[ ;]`))).toBeVisible();
      await expect(page.getByRole('heading', { level: 2 }).first()).not.toHaveText(asked);
    }
    // A reload loses nothing that was said.
    const said = await page.getByText(/^(One answer|\d+ answers)[ ;]/).innerText();
    await page.reload();
    await expect(page.getByText(said)).toBeVisible();
    await page.getByRole('button', { name: /^Save \d+ answers?$/ }).click();
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
    await expect(page.getByText('Games that help next')).toBeVisible();
  });
}

test('a table of children is told what they could play, and what not', async ({ page }) => {
  await page.goto(at('/learners'));
  await page.getByRole('checkbox', { name: 'Fern at this table' }).check();
  await page.getByRole('checkbox', { name: 'Juno at this table' }).check();
  await page.getByRole('button', { name: 'What could these 2 play?' }).click();
  const dialog = page.getByRole('dialog', { name: 'Juno, Fern' }).or(page.getByRole('dialog', { name: 'Fern, Juno' }));
  await expect(dialog.getByText(/^All play “.+”\.$|(Fern|Juno) plays “.+”; (Fern|Juno) plays “.+”\.$/).first()).toBeVisible();
  await expect(dialog.getByText(/chances for/).first()).toBeVisible();
  await dialog.getByText(/games left out, and why/).click();
  await expect(dialog.getByText(/Nobody has said yet what it practises\./)).toBeVisible();
});

test('a note about a child is taken back, and a child is truly erased', async ({ page }) => {
  await page.goto(at('/learners/moss?skill=make-ten'));
  await page.getByRole('button', { name: 'Note something about this' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'stuck' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/statement by an organiser: stuck/)).toBeVisible();
  await page.getByRole('button', { name: 'take back' }).click();
  await expect(page.getByText(/: stuck/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Erase' }).click();
  await page.getByLabel('Type Moss to erase').fill('Moss');
  await page.getByRole('button', { name: 'Erase everything' }).click();
  await expect(page.getByRole('dialog', { name: 'Moss is erased' })).toBeVisible();
  await page.getByRole('link', { name: 'To the learners' }).click();
  await page.waitForURL(/\/learners\?/);
  await expect(page.getByRole('link', { name: 'Bryn' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Moss' })).toHaveCount(0);
});

test('a term is set and a session is planned within its bound', async ({ page }) => {
  await page.goto(at('/plan'));
  await page.getByRole('button', { name: 'Set the term' }).click();
  await page.getByLabel('Name of the term').fill('Autumn games');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('cell', { name: /Tuesday 10 November/ })).toBeVisible();
  await page.getByRole('button', { name: 'Plan a session' }).click();
  await page.getByLabel('Tables', { exact: true }).fill('0');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText('There is no table to sit at. Give at least one.')).toBeVisible();
  await page.getByLabel('Tables', { exact: true }).fill('4');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}/, { timeout: 60_000 });
  plan = /\/plan\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  await expect(page.getByText('Every rule is kept.')).toBeVisible();
  await expect(page.getByText(/within \d+\.\d % of the best this plan’s scoring allows/)).toBeVisible();
});

test('a child is dragged, told what breaks, and locks survive planning again', async ({ page }) => {
  await page.goto(at(`/plan/${plan}`));
  await expect(page.getByText('Every rule is kept.')).toBeVisible();
  const board = page.getByRole('table');
  const fromCell = board.locator('tbody tr').nth(0).locator('td').nth(0);
  const toCell = board.locator('tbody tr').nth(1).locator('td').nth(0);
  const token = fromCell.locator('[data-learner]').first();
  const learner = (await token.getAttribute('data-learner'))!;
  const a = (await token.boundingBox())!;
  const b = (await toCell.boundingBox())!;
  await page.mouse.move(a.x + 20, a.y + 10);
  await page.mouse.down();
  await page.mouse.move(a.x + 40, a.y + 40, { steps: 4 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(toCell.locator(`[data-learner="${learner}"]`)).toBeVisible();
  await expect(page.getByText(/Changed by hand/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(fromCell.locator(`[data-learner="${learner}"]`)).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  // Keyboard: choose the same child and put it at the resting row.
  await toCell.locator(`[data-learner="${learner}"]`).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^let .* rest$/ }).click();
  await expect(page.getByRole('row', { name: /Resting/ }).locator(`[data-learner="${learner}"]`)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  // Fix the first table of round one, plan again: it is still there.
  const game = (await fromCell.getByRole('button').first().textContent())!;
  const seated = await fromCell
    .locator('[data-learner]')
    .evaluateAll((list) => list.map((e) => (e as HTMLElement).dataset['learner']!).sort());
  await fromCell.getByRole('button', { name: /^Fix/ }).click();
  await page.getByRole('button', { name: 'Plan again' }).click();
  await expect(page.getByText(/By this plan’s scoring/).first()).toBeVisible({ timeout: 60_000 });
  const kept = page
    .getByRole('table')
    .locator('tbody tr td:nth-child(2)')
    .filter({ has: page.getByRole('button', { name: game, exact: true }) })
    .first();
  for (const l of seated) await expect(kept.locator(`[data-learner="${l}"]`)).toBeVisible();
});

test('the gather list is ticked and stays ticked', async ({ page }) => {
  await page.goto(at(`/prep?plan=${plan}`));
  const first = page.getByRole('checkbox').first();
  await first.check();
  await expect(page.getByText(/1 of \d+ in the basket/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('checkbox').first()).toBeChecked();
  await expect(page.getByRole('heading', { name: 'Cupboard and spare parts' })).toBeVisible();
});

test('the session is noted on a phone, and the map moves for the right reason', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(at(`/play?plan=${plan}`));
  await page
    .getByRole('button', { name: /^Table 1/ })
    .first()
    .click();
  const seats = page.getByRole('region').filter({ has: page.getByText(/^How it went for/) });
  const seat = seats.first();
  const name = (await seat.getAttribute('aria-label'))!;
  const skill = await seat
    .getByRole('combobox')
    .first()
    .evaluate((s: HTMLSelectElement) => ({ id: s.value, title: s.selectedOptions[0]!.textContent! }));
  await seat.getByRole('button', { name: 'on their own' }).click();
  await seat.getByRole('button', { name: 'knew it' }).click();
  const second = seats.nth(1);
  await second.getByRole('button', { name: 'with help' }).click();
  await second.getByRole('button', { name: 'bead frame' }).click();
  await second.getByLabel('Missed fact, first number').fill('8');
  await second.getByLabel('Missed fact, second number').fill('5');
  await second.getByRole('button', { name: 'missed', exact: true }).click();
  await expect(second.getByRole('button', { name: /Remove 8 . 5/ })).toBeVisible();
  // Nothing is lost when the page is left by accident.
  page.once('dialog', (d) => void d.accept());
  await page.reload();
  await page
    .getByRole('button', { name: /^Table 1/ })
    .first()
    .click();
  await expect(seats.first().getByRole('button', { name: 'on their own' })).toHaveAttribute('aria-pressed', 'true');
  const width = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(width).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Done here' }).click();
  await expect(page.getByText(/^Noted\./)).toBeVisible();
  await page.goto(at(`/play?plan=${plan}`));
  await page.getByRole('button', { name: 'The session is over' }).click();
  await expect(page.getByRole('heading', { name: 'What moved' })).toBeVisible();
  const moved = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: skill.title, exact: true }) })
    .filter({ hasText: 'on their own, knew it' });
  await expect(moved.first()).toContainText('Noted by a helper: on their own, knew it');
  await page.setViewportSize({ width: 1280, height: 800 });
  await moved.first().getByRole('link', { name: skill.title }).click();
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
  await expect(page.getByText(/table note by a helper: on their own, knew it/)).toBeVisible();
  await expect(page.getByRole('heading', { name: skill.title })).toBeVisible();
});

test('the weeks ahead are planned, opened and exported', async ({ page }) => {
  await page.goto(at('/plan'));
  await page.getByRole('button', { name: 'Plan the weeks ahead' }).click();
  await expect(page.getByText(/meetings are planned ahead/)).toBeVisible({ timeout: 90_000 });
  await page.getByRole('row').filter({ hasText: 'forecast' }).first().getByRole('link', { name: 'open' }).first().click();
  await expect(page.getByText('Every rule is kept.')).toBeVisible();
  await page.goto(at('/plan'));
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Calendar file' }).click();
  expect((await download).suggestedFilename()).toBe('term.ics');
});
