import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** A workspace with something on every page: twenty games, nine children, notes, a term, a session. */
const today = '2026-11-10';
const at = (path: string): string => `${path}${path.includes('?') ? '&' : '?'}today=${today}`;
let child = '';
let game = '';
let session = '';

test.describe.configure({ mode: 'default' });

test.beforeAll(async ({ request }) => {
  test.setTimeout(240_000);
  const api = async (method: 'get' | 'post' | 'put' | 'delete', path: string, data?: unknown) => {
    // The first plan waits for a whole shelf to be played, and the machine may be busy.
    const answer = await request[method](`/api/v1${at(path)}`, { timeout: 90_000, ...(data === undefined ? {} : { data }) });
    expect([path, answer.status(), answer.ok() ? '' : await answer.text()]).toEqual([path, answer.status(), '']);
    return answer.json();
  };
  await api('delete', '/workspace?confirm=empty');
  await api('post', '/imports/shelf', { text: readFileSync('examples/shelf.csv', 'utf8'), commit: true });
  await api('post', '/imports/roster', { text: readFileSync('examples/roster.csv', 'utf8'), commit: true });
  await api('post', '/imports/evidence', { text: readFileSync('examples/notes.csv', 'utf8'), commit: true });
  const learners = (await api('get', '/learners')).items as { id: string }[];
  child = learners[0]!.id;
  game = 'honey-ladder';
  for (const kind of ['number-deck-1-10', 'pip-die', 'pair-cards', 'dot-cards', 'target-cards'])
    await api('put', `/kinds/${kind}/stock`, { quantity: 6 });
  await api('put', '/term', {
    title: 'Autumn',
    starts: '2026-11-02',
    ends: '2026-12-13',
    weekdays: [2, 5],
    startsAt: '10:00',
    rounds: 2,
    minutes: 15,
    tables: 3,
    helpers: 2,
  });
  const plan = await api('post', '/plans?wait=30', {
    present: learners.map((l) => l.id),
    rounds: 2,
    minutes: 15,
    tables: 4,
    helpers: 2,
    seconds: 0.3,
  });
  // Something nobody has answered, so that there is a question to look at.
  const flaps = await api('post', '/games', { title: 'Shut the flaps', notes: 'roll, shut flaps that add up to the roll' });
  await api('post', '/variants', { game: flaps.id, title: 'as it comes' });
  session = plan.id;
});

const pages = (): [string, string][] => [
  ['shelf', '/shelf'],
  ['library', '/shelf/library'],
  ['things', '/shelf/things'],
  ['coverage', '/shelf/coverage'],
  ['stock-take', '/shelf/stocktake'],
  ['how is each played', '/shelf/recognise'],
  ['what we have', '/shelf/things?tick'],
  ['game', `/shelf/${game}`],
  ['learners', '/learners'],
  ['learner', `/learners/${child}`],
  ['placement', `/learners/${child}/place`],
  ['script', `/learners/${child}/script`],
  ['mine', `/learners/${child}/mine`],
  ['group', '/learners/group'],
  ['place', '/learners/place'],
  ['skills', '/learners/skills'],
  ['frameworks', '/learners/frameworks'],
  ['roster import', '/learners/import'],
  ['notes import', '/learners/evidence'],
  ['term', '/plan'],
  ['session', `/plan/${session}`],
  ['prep', '/prep'],
  ['the days ahead', '/prep?ahead'],
  ['the printer’s desk', '/prep/print'],
  ['play', '/play'],
  ['notes from paper', '/play/strips'],
  ['review', '/review'],
  ['not there', '/learners/nobody-of-that-name'],
  ['no such page', '/nowhere'],
];

async function opened(page: Page, path: string): Promise<void> {
  await page.goto(at(path));
  // The program may still be measuring the shelf that was just brought in.
  await expect(page.locator('h1').first()).toBeVisible({ timeout: 40_000 });
  await page.waitForLoadState('networkidle');
}

/** What axe finds, in an open dialog if there is one (the page behind it is looked at on its own); with `rules`, only those. */
async function violations(page: Page, rules?: string[]): Promise<string[]> {
  // No page has frames, so the check need not open a second page to gather from them: that takes half of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  if ((await page.locator('dialog[open]').count()) > 0) axe.include('dialog[open]');
  const { violations: found } = await (rules ? axe.withRules(rules) : axe).analyze();
  return found.flatMap((v) =>
    v.nodes.slice(0, 3).map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary?.split('\n')[1]?.trim() ?? ''}`),
  );
}

/** Everything in the light scheme; in the dark one colours, which are all that differs. */
async function inBothSchemes(page: Page): Promise<string[]> {
  const light = await violations(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  const dark = await violations(page, ['color-contrast']);
  await page.emulateMedia({ colorScheme: 'light' });
  return [...light, ...dark.map((d) => `dark ${d}`)];
}

/** Height of the screen behind bars that stay while the page scrolls. */
function coveredByBars(): number {
  scrollTo(0, 200);
  return [...document.querySelectorAll('body *')]
    .filter((e) => ['fixed', 'sticky'].includes(getComputedStyle(e).position))
    .map((e) => e.getBoundingClientRect())
    .filter((r) => r.width > 160 && r.bottom > 0 && r.top < innerHeight)
    .reduce((sum, r) => sum + r.height, 0);
}

/** Counts the bytes of script a page brings while it opens, with nothing in the cache. */
async function bytesOfScript(page: Page): Promise<{ bytes: () => number; done: () => Promise<void> }> {
  let bytes = 0;
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  await client.send('Network.setCacheDisabled', { cacheDisabled: true });
  const scripts = new Set<string>();
  client.on('Network.responseReceived', (e) => {
    if (e.type === 'Script') scripts.add(e.requestId);
  });
  client.on('Network.loadingFinished', (e) => {
    if (scripts.has(e.requestId)) bytes += e.encodedDataLength;
  });
  return { bytes: () => bytes, done: () => client.detach() };
}

/** Places where the tabulator stops. */
function tabStops(): number {
  return [...document.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, [tabindex]')].filter(
    (e) => e.tabIndex >= 0 && !e.hasAttribute('disabled') && e.getClientRects().length > 0,
  ).length;
}

/** Letters under eleven pixels, those of drawings as large as they are shown. */
function tinyLetters(): string[] {
  const found = new Set<string>();
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let n = walk.nextNode(); n; n = walk.nextNode()) {
    const e = n.parentElement!;
    if (!n.textContent?.trim() || e.closest('.visually-hidden, script, style, title, [hidden]')) continue;
    let size = parseFloat(getComputedStyle(e).fontSize);
    const svg = e.closest('svg');
    // A picture of a sheet of paper is no text of the page: what its foot says stands beside it, and its name tells what it is.
    if (svg?.matches('[data-to-scale][role=img][aria-label]')) continue;
    if (svg?.viewBox.baseVal?.width) size *= svg.getBoundingClientRect().width / svg.viewBox.baseVal.width;
    if (size < 10.95 && e.getClientRects().length > 0) found.add(`${size.toFixed(1)} ${n.textContent.trim().slice(0, 20)}`);
  }
  return [...found].slice(0, 5);
}

test('every page is open to everybody, in both schemes, on a laptop and on a phone, and is light', async ({ page }) => {
  test.setTimeout(400_000);
  const wrong: Record<string, string[]> = {};
  const sideways = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  for (const [name, path] of pages()) {
    await page.emulateMedia({ colorScheme: 'light' });
    await page.setViewportSize({ width: 1280, height: 800 });
    const script = await bytesOfScript(page);
    await opened(page, path);
    const found = await inBothSchemes(page);
    if (script.bytes() >= 200_000 || script.bytes() === 0) found.push(`brings ${script.bytes()} bytes of script`);
    await script.done();
    const stops = await page.evaluate(tabStops);
    if (stops >= 120) found.push(`has ${stops} stops for the tabulator`);
    found.push(...(await page.evaluate(tinyLetters)).map((t) => `letters too small: ${t}`));
    if ((await sideways()) > 0) found.push(`scrolls ${await sideways()} px sideways at 1280`);
    await page.setViewportSize({ width: 390, height: 800 });
    await page.emulateMedia({ colorScheme: 'dark' });
    found.push(...(await violations(page)).map((v) => `390 dark ${v}`));
    if ((await sideways()) > 0) found.push(`scrolls ${await sideways()} px sideways at 390`);
    // A laptop's page enlarged four times.
    await page.setViewportSize({ width: 320, height: 256 });
    if ((await sideways()) > 0) found.push(`scrolls ${await sideways()} px sideways at 320`);
    const stays = await page.evaluate(coveredByBars);
    if (stays > 90) found.push(`bars that stay cover ${stays} of 256 px`);
    if (name === 'play') {
      await page
        .locator('main')
        .getByRole('button', { name: /^Table 1/ })
        .first()
        .click();
      await expect(page.getByText('How it went for').first()).toBeVisible();
      const atTable = await page.evaluate(coveredByBars);
      if (atTable > 90) found.push(`at a table, bars that stay cover ${atTable} of 256 px`);
    }
    if (found.length > 0) wrong[name] = found;
  }
  expect(wrong).toEqual({});
});

test('every dialog is open to everybody, closes by Escape, and gives the focus back', async ({ page }) => {
  test.setTimeout(240_000);
  const dialogs: [string, string][] = [
    ['/shelf', 'Add a game'],
    [`/shelf/${game}`, 'Change'],
    ['/shelf/coverage', 'Bring in a pacing list'],
    [`/shelf/${game}`, 'Add a version'],
    [`/shelf/${game}`, 'Change version'],
    ['/shelf/library?text=Weather%20Gauge', 'Try a turn: Weather Gauge'],
    ['/shelf/things', 'Add a thing'],
    ['/shelf/things', 'Dice tray'],
    ['/learners', 'Add a learner'],
    [`/learners/${child}`, 'Note something'],
    [`/learners/${child}`, 'Sheet of ten'],
    [`/learners/${child}`, 'Erase'],
    ['/plan', 'When we meet'],
    ['/plan', 'How we plan'],
    ['/plan', 'Plan a session'],
    ['/learners/skills', 'Add a skill'],
    ['/plan', 'Keys'],
    ['/plan', 'Go to'],
  ];
  for (const [path, button] of dialogs) {
    await opened(page, path);
    const opener = page.getByRole('button', { name: button, exact: button !== 'Go to' }).first();
    await opener.focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('dialog[open]')).toBeVisible();
    expect([button, await inBothSchemes(page)]).toEqual([button, []]);
    await page.keyboard.press('Escape');
    await expect(page.locator('dialog[open]')).toHaveCount(0);
    await expect(opener, `${path} ${button}`).toBeFocused();
  }
});

test('what was typed is asked about before a dialog goes', async ({ page }) => {
  await opened(page, '/learners');
  await page.getByRole('button', { name: 'Add a learner' }).click();
  await page.getByLabel('Nickname or initials').fill('Zed');
  await page.keyboard.press('Escape');
  await expect(page.getByText('What you typed is not saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByLabel('Nickname or initials')).toHaveValue('Zed');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Leave it' }).first().click();
  await expect(page.locator('dialog[open]')).toHaveCount(0);
});

test('tabs go by arrows, have a panel, and are one stop', async ({ page }) => {
  await opened(page, `/shelf/${game}`);
  const list = page.getByRole('tablist', { name: 'Ways to look at it' });
  await list.getByRole('tab', { selected: true }).focus();
  await page.keyboard.press('ArrowRight');
  const chosen = list.getByRole('tab', { selected: true });
  await expect(chosen).toBeFocused();
  await expect(chosen).toHaveText('Bench: turn a number');
  const panel = page.locator(`[id="${await chosen.getAttribute('aria-controls')}"]`);
  await expect(panel).toHaveAttribute('role', 'tabpanel');
  await expect(panel).toHaveAttribute('aria-labelledby', (await chosen.getAttribute('id'))!);
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowRight');
  await expect(list.getByRole('tab', { selected: true })).toHaveText('What it practises');
  expect(await list.locator('[tabindex="0"]').count()).toBe(1);
});

test('the question mark opens the list of keys, and single letters can be switched off', async ({ page }) => {
  await opened(page, '/learners');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expect(page.getByText('Prep: what to gather')).toBeVisible();
  await page.getByLabel('Single letters open places').uncheck();
  await page.keyboard.press('Escape');
  await expect(page.locator('dialog[open]')).toHaveCount(0);
  await page.keyboard.press('s');
  await page.waitForTimeout(300);
  expect(new URL(page.url()).pathname).toBe('/learners');
  await page.keyboard.press('?');
  await page.getByLabel('Single letters open places').check();
  await page.keyboard.press('Escape');
  await page.keyboard.press('s');
  await expect(page).toHaveURL(/\/shelf/);
});

test('an edit of a session that is not saved asks before it goes', async ({ page }) => {
  await opened(page, `/plan/${session}`);
  const token = page.locator('[data-round="0"][data-learner]').first();
  await token.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^let .* rest$/ }).click();
  await expect(page.locator('[data-round="0"][data-learner]:focus')).toHaveCount(1);
  let asked = '';
  page.once('dialog', (d) => {
    asked = d.type();
    void d.dismiss();
  });
  await page.locator('h1').click();
  await page.keyboard.press('l');
  await expect.poll(() => asked).toBe('beforeunload');
  expect(new URL(page.url()).pathname).toBe(`/plan/${session}`);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
});

test('the strip knows at once what a view changed', async ({ page }) => {
  await opened(page, '/plan');
  await page.getByRole('button', { name: 'no meeting' }).last().click();
  await expect(page.getByRole('group', { name: /Term line/ }).getByRole('link', { name: /no meeting/ })).toHaveCount(1);
});

test('titles name what a page is about', async ({ page }) => {
  const name = (await (await page.request.get(`/api/v1/learners/${child}`)).json()).nickname as string;
  await opened(page, `/learners/${child}`);
  await expect(page).toHaveTitle(new RegExp(`^${name} · `));
  await opened(page, `/shelf/${game}`);
  await expect(page).toHaveTitle(/^Honey Ladder · /);
  await opened(page, `/plan/${session}`);
  await expect(page).toHaveTitle(/^Session 2026-11-10 · /);
});

test('what is not there is told by a page of our own with a way back', async ({ page }) => {
  for (const [path, back] of [
    ['/learners/nobody', 'To the learners'],
    ['/shelf/nothing', 'To the shelf'],
    ['/plan/never', 'To the plan'],
    ['/nowhere/at/all', 'To the shelf'],
  ] as const) {
    const answer = await page.goto(at(path));
    expect([path, answer!.status()]).toEqual([path, 404]);
    await expect(page.getByRole('heading', { level: 1, name: 'Not here' })).toBeVisible();
    await expect(page.getByRole('link', { name: back })).toBeVisible();
  }
});

test('printed pages fit Letter and A4 in one column of text', async ({ page }) => {
  test.setTimeout(180_000);
  const pagesOf = (pdf: Buffer): number => (pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length;
  const most: [string, number][] = [
    [`/learners/${child}/script`, 8],
    ['/prep', 3],
    [`/plan/${session}`, 3],
    [`/learners/${child}`, 8],
    ['/review', 4],
    ['/shelf', 5],
  ];
  for (const [path, limit] of most)
    for (const format of ['Letter', 'A4'] as const) {
      if (format === 'Letter') await opened(page, path);
      await page.emulateMedia({ media: 'print' });
      const column = await page.evaluate(() => document.querySelector('main')!.getBoundingClientRect().width / window.innerWidth);
      expect([path, column > 0.9]).toEqual([path, true]);
      const count = pagesOf(await page.pdf({ format, margin: { top: '0.4in', bottom: '0.4in', left: '0.4in', right: '0.4in' } }));
      expect([path, format, count >= 1 && count <= limit ? 'fits' : count]).toEqual([path, format, 'fits']);
      await page.emulateMedia({ media: 'screen' });
    }
});
