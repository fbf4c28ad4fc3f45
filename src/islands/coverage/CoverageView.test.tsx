// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { CoveredWire } from '../../contract/wire/coverage';
import { game as gameOf, islandTest, page } from '../island.testing';
import { domainOf } from './CoverageFrame';
import CoverageView from './CoverageView';

const { api, show } = islandTest();
const standard = (code: string, band: string, more: Partial<CoveredWire> = {}): CoveredWire => ({
  identifier: code,
  code,
  statement: `About ${code}`,
  compared: false,
  band,
  state: 'none',
  steps: 2,
  stepsWithGame: 0,
  games: [],
  gamesInAll: 0,
  waiting: [],
  remedies: [],
  lacks: [],
  away: [],
  lacking: [],
  ...more,
});
const game = { game: 'two-lamps', title: 'Two Lamps', variant: 'tens', variantTitle: 'tens', skill: 'Pairs of ten', dose: 9.2 };
const nothingNext = {
  open: 0,
  within: 0,
  covered: 0,
  missing: [],
  cost: 0,
  unit: 'minutes',
  unpriced: 0,
  proven: true,
  atMost: 0,
  chosen: [],
};
const ready = (): void => {
  api().on('GET /coverage/next', nothingNext).on('GET /pacing', { framework: 'us', weeks: [] });
  api().on('GET /coverage', {
    framework: 'us',
    title: 'US style',
    fromMemory: true,
    bands: ['K', '1'],
    lost: [],
    spare: [{ game: 'two-lamps', title: 'Two Lamps', covers: 3 }],
    sessions: null,
    items: [
      standard('K.CC.A.1', 'K'),
      standard('K.OA.A.4', 'K', { state: 'played', games: [game], gamesInAll: 1, stepsWithGame: 1 }),
      standard('1.OA.C.6', '1', {
        waiting: [{ learner: 'ada', nickname: 'Ada' }],
        remedies: [{ ...game, game: 'levers', title: 'Levers' }],
      }),
    ],
  });
};

describe('coverage', () => {
  it('opens on the grade in whose holes somebody waits, and closes a hole with a click', async () => {
    ready();
    api().on('POST /library/levers/take', { id: 'levers', change: 'c1' });
    show(<CoverageView />);
    expect((await screen.findByText(/expectations have a game/)).textContent).toBe('1 of 3 expectations have a game; 2 have none.');
    expect(screen.getByRole('heading', { name: 'Without a game in 1' })).toBeTruthy();
    expect(screen.getByText('1 child is ready')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Take Levers' }));
    await waitFor(() => expect(api().writes.map((w) => w.path)).toEqual(['/library/levers/take']));
    expect(await screen.findByText('Levers is on your shelf.')).toBeTruthy();
  });
  it('goes from mark to mark with the arrows, and tells what stands there', async () => {
    ready();
    show(<CoverageView />);
    (await screen.findByRole('button', { name: '1.OA.C.6: no game' })).focus();
    await userEvent.keyboard('{ArrowLeft}');
    const here = screen.getByRole('button', { name: 'K.OA.A.4: played' });
    expect(document.activeElement).toBe(here);
    const side = within(screen.getByRole('complementary'));
    expect(side.getByText('About K.OA.A.4')).toBeTruthy();
    expect(side.getByText('about 9 chances in ten minutes for “pairs of ten”')).toBeTruthy();
    expect(side.getByText(/code from memory; tick it/)).toBeTruthy();
    await userEvent.keyboard('{ArrowUp}');
    expect(document.activeElement).toBe(here);
    await userEvent.keyboard('{ArrowLeft}{ArrowDown}');
    expect(document.activeElement).toBe(screen.getByRole('button', { name: '1.OA.C.6: no game' }));
  });
  it('knows the domain of a code where it has one', () => {
    expect(['3.NF.A.1', 'K.CC.A.1', 'Y2-N-3', '3N1'].map(domainOf)).toEqual(['NF', 'CC', '', '']);
  });
  it('says what one evening is best used for, and takes it with a click', async () => {
    ready();
    api().on('GET /coverage/next', {
      open: 5,
      within: 4,
      covered: 2,
      missing: [{ skill: 'count-on', title: 'Count on', learners: ['Cleo'] }],
      cost: 12,
      unit: 'minutes',
      unpriced: 0,
      proven: true,
      atMost: 2,
      chosen: [
        { game: 'levers', title: 'Levers', cost: 12, closes: [{ skill: 'make-ten', title: 'Make a ten', learners: ['Ada', 'Ben'] }] },
      ],
    });
    api().on('POST /library/levers/take', { id: 'levers', change: 'c1' });
    show(<CoverageView />);
    const panel = await screen.findByRole('region', { name: 'Best use of one evening' });
    expect(await within(panel).findByText(/No other choice from the library does more/)).toBeTruthy();
    expect(panel.textContent).toContain('Make a ten for Ada, Ben');
    expect(panel.textContent).toContain('Count on for Cleo');
    api().on('GET /coverage/next', {
      open: 5,
      within: 5,
      covered: 2,
      missing: [],
      cost: 12,
      unit: 'minutes',
      unpriced: 0,
      proven: false,
      atMost: 3,
      chosen: [{ game: 'levers', title: 'Levers', cost: 12, closes: [] }],
    });
    await userEvent.click(within(panel).getByRole('button', { name: '15 min' }));
    expect(await within(panel).findByText(/Another choice could close at most 3/)).toBeTruthy();
    await userEvent.click(within(panel).getByRole('button', { name: 'Take Levers' }));
    await waitFor(() => expect(api().writes.some((w) => w.path === '/library/levers/take')).toBe(true));
  });
  it('takes codes for compared, one or a whole grade', async () => {
    ready();
    api().on('POST /coverage/compared', { ok: true });
    show(<CoverageView />);
    await userEvent.click(await screen.findByRole('checkbox', { name: /code from memory/ }));
    await userEvent.click(screen.getByRole('button', { name: 'I have compared all of 1' }));
    await waitFor(() => expect(api().writes.filter((w) => w.path === '/coverage/compared')).toHaveLength(2));
    expect(api().writes.map((w) => w.body)).toEqual([
      { framework: 'us', identifiers: ['1.OA.C.6'], compared: true },
      { framework: 'us', identifiers: ['1.OA.C.6'], compared: true },
    ]);
  });
  it('asks about the term, and says what could be spared', async () => {
    ready();
    show(<CoverageView />);
    expect(await screen.findByText(/One game could be put away/)).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Looked at'), 'what the term plays');
    await waitFor(() => expect(api().asked.filter((a) => a.path === '/coverage').length).toBeGreaterThan(1));
  });
  it('brings back what was put away, turns a version, and looks at one unit', async () => {
    ready();
    api()
      .on('GET /games', page([gameOf('two-lamps', { tags: ['unit 3'] })]))
      .on('GET /coverage', {
        framework: 'us',
        title: 'US style',
        fromMemory: true,
        bands: ['1'],
        lost: [],
        spare: [],
        sessions: null,
        items: [
          standard('1.OA.C.6', '1', { lacks: ['make-ten'], away: [{ game: 'bells', title: 'Bells' }] }),
          standard('1.OA.A.1', '1', { lacks: ['count-on'] }),
        ],
      })
      .on('POST /games/bells/restore', { id: 'bells', change: 'c9' });
    show(<CoverageView />);
    await userEvent.click(await screen.findByRole('button', { name: 'Bring back Bells' }));
    await waitFor(() => expect(api().writes.at(-1)!.path).toBe('/games/bells/restore'));
    await userEvent.click(screen.getByRole('button', { name: 'turn a version' }));
    // For the one that is chosen at its side, for the other in its row.
    expect(await screen.findAllByRole('button', { name: 'What would help?' })).toHaveLength(2);
    await userEvent.selectOptions(screen.getByLabelText('Looked at'), 'only “unit 3”');
    await waitFor(() => expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toContain('over=unit&tag=unit'));
  });
  it('takes a pacing list after a look at it, and says what is wrong in which row', async () => {
    ready();
    api().on('POST /imports/pacing', {
      committed: false,
      weeks: 0,
      codes: 0,
      problems: [{ code: 'unknown-value', field: 'code', row: 2, message: 'Row 2, code: "9.Z" is no code of this framework.' }],
      change: null,
    });
    show(<CoverageView />);
    await userEvent.click(await screen.findByRole('button', { name: 'Bring in a pacing list' }));
    const box = screen.getByLabelText('Weeks and codes');
    await userEvent.type(box, 'week,code');
    await userEvent.click(screen.getByRole('button', { name: 'Look at it', hidden: true }));
    expect(await screen.findByText(/Row 2, code/)).toBeTruthy();
    api().on('POST /imports/pacing', { committed: false, weeks: 1, codes: 1, problems: [], change: null });
    await userEvent.type(box, '!');
    await userEvent.click(screen.getByRole('button', { name: 'Look at it', hidden: true }));
    await screen.findByText(/1 code in 1 week/);
    api().on('POST /imports/pacing', { committed: true, weeks: 1, codes: 1, problems: [], change: 'c1' });
    api().on('GET /pacing', { framework: 'us', weeks: [{ week: '2026-11-09', codes: [{ identifier: 'K.OA.A.4', code: 'K.OA.A.4' }] }] });
    await userEvent.click(screen.getByRole('button', { name: 'Keep it', hidden: true }));
    expect(await screen.findByText('this week')).toBeTruthy();
    expect(api().writes.map((w) => (w.body as { commit: boolean }).commit)).toEqual([false, false, true]);
  });
});
