// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { CoveredWire } from '../../contract/wire/coverage';
import { islandTest } from '../island.testing';
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
  ...more,
});
const game = { game: 'two-lamps', title: 'Two Lamps', variant: 'tens', variantTitle: 'tens', skill: 'Pairs of ten', dose: 9.2 };
const nothingNext = { open: 0, within: 0, covered: 0, missing: [], minutes: 0, proven: true, atMost: 0, chosen: [] };
const ready = (): void => {
  api().on('GET /coverage/next', nothingNext);
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
      minutes: 12,
      proven: true,
      atMost: 2,
      chosen: [
        { game: 'levers', title: 'Levers', minutes: 12, closes: [{ skill: 'make-ten', title: 'Make a ten', learners: ['Ada', 'Ben'] }] },
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
      minutes: 12,
      proven: false,
      atMost: 3,
      chosen: [{ game: 'levers', title: 'Levers', minutes: 12, closes: [] }],
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
});
