import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

/** Takes the README's pictures anew from a running demo: node scripts/screenshots.mjs http://127.0.0.1:4321 [name …] */
const base = process.argv[2] ?? 'http://127.0.0.1:4321';
const flags = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium', args: flags });
const { items } = await (await fetch(`${base}/api/v1/plans`)).json();
const next = items.find((p) => !p.playedAt && !p.forecast) ?? items[0];
const pictures = [
  ['shelf', '/shelf'],
  [
    'game',
    '/shelf/lever-frame?version=lever-frame-down-from-50',
    undefined,
    (page) => page.getByText('choices matter', { exact: true }).waitFor(),
  ],
  ['things', '/shelf/things', undefined, (page) => page.getByRole('button', { name: /^2 ?Cards/ }).click()],
  ['coverage', '/shelf/coverage'],
  ['library', '/shelf/library', undefined, (page) => page.getByRole('button', { name: 'grade 3' }).click()],
  ['bench', '/shelf/lever-frame?version=lever-frame-down-from-50', undefined, bench],
  [
    'desk',
    '/prep/print?sheet=number-cards',
    undefined,
    async (page) => {
      await page.getByRole('button', { name: 'kite' }).click();
      await page.getByText(/^40 cards/).waitFor();
      await page.evaluate(() => scrollTo(0, 0));
    },
  ],
  ['learners', '/learners'],
  ['learner', '/learners/sorrel?skill=take-across-ten'],
  ['group', '/learners/group'],
  ['frameworks', '/learners/frameworks'],
  ['placement', '/learners/robin/place', undefined, placing],
  ['place', '/learners/place', undefined, laying],
  ['term', '/plan'],
  ['plan', `/plan/${next.id}`],
  ['prep', `/prep?plan=${next.id}`],
  [
    'play',
    `/play?plan=${next.id}`,
    { width: 390, height: 800 },
    (page) =>
      page
        .getByRole('button', { name: /^Table 1/ })
        .first()
        .click(),
  ],
  ['review', '/review'],
  // Last, since it brings rows in that nobody has answered.
  ['recognise', '/shelf/recognise'],
];
/** A list as people keep it, so that there is something to ask. */
async function bringList() {
  const base64 = readFileSync('examples/shelf-as-kept.csv').toString('base64');
  const headers = { 'content-type': 'application/json', origin: base };
  await fetch(`${base}/api/v1/imports/shelf`, { method: 'POST', headers, body: JSON.stringify({ base64, commit: true }) });
}
/** Two answers. */
async function placing(page) {
  for (const answer of ['can', 'with help']) {
    await page.getByRole('button', { name: answer, exact: true }).click();
    await page.waitForTimeout(500);
  }
}
/** Three names laid along a line, one in hand. */
async function laying(page) {
  for (const [name, step] of [
    ['Lark', 'Add within five'],
    ['Rowan', 'Add within ten'],
    ['Teasel', 'Add within ten'],
  ]) {
    const chip = page.getByRole('button', { name, exact: true });
    if ((await chip.getAttribute('aria-pressed')) !== 'true') await chip.click();
    await page.getByRole('button', { name: `Lay ${name} at ${step}`, exact: true }).click();
  }
}
async function bench(page) {
  await page.getByRole('tab', { name: /Bench/ }).click();
  await page.getByLabel('Direction').selectOption('up-and-down');
  await page.getByText(/as sharp as it gets/).waitFor();
}
const only = process.argv.slice(3);
for (const [name, path, viewport = { width: 1280, height: 800 }, act] of pictures) {
  if (only.length > 0 && !only.includes(name)) continue;
  if (name === 'recognise') await bringList();
  const page = await browser.newPage({ viewport });
  await page.goto(base + path, { waitUntil: 'networkidle' });
  await page.locator('main h1, main h2').first().waitFor();
  await act?.(page);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}
await browser.close();
