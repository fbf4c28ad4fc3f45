// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { game, islandTest, learner, page, Refusal, session } from '../island.testing';
import { mechanismById } from '../../core/mechanisms/registry';
import { asWritten } from '../../contract/countries';
import { howToWire } from '../../contract/howToOf';
import PlayView from './PlayView';

const { api, show, gone } = islandTest();

const ready = (): void => {
  api()
    .on('GET /plans', page([{ id: 'plan-1', date: '2026-11-10', status: 'good', playedAt: null, forecast: false }]))
    .on('GET /plans/plan-1', session())
    .on('GET /learners', page([learner('wren', { actions: ['sits at the window'] }), learner('fern'), learner('moss')]))
    .on('GET /plans/plan-1/then', { items: [] })
    .on('GET /games', page([game('two-lamps'), game('levers')]));
};
const open = async () => {
  show(<PlayView plan={null} />);
  await userEvent.click(await screen.findByRole('button', { name: /Two Lamps/ }));
};
const ofWren = () => within(screen.getByRole('region', { name: 'Wren' }));

describe('playing', () => {
  it('sends one tap about one named skill, once, and goes on', async () => {
    ready();
    api().on('POST /evidence/batch', { ids: ['n1'] });
    await open();
    expect(ofWren().getByText(/sits at the window/)).toBeTruthy();
    await userEvent.click(ofWren().getByRole('button', { name: 'on their own' }));
    await userEvent.click(screen.getByRole('button', { name: 'Done here' }));
    await waitFor(() => expect(api().writes).toHaveLength(1));
    expect(api().writes[0]).toMatchObject({
      path: '/evidence/batch',
      key: expect.stringMatching(/^[0-9a-f]{32}$/),
      body: { items: [{ learner: 'wren', skill: 'make-ten', result: 'alone', session: 'plan-1' }] },
    });
    expect(localStorage.length).toBe(0);
  });
  it('keeps who would like to play it again, without a word on how it went', async () => {
    ready();
    api().on('POST /games/two-lamps/liked', { ok: true });
    await open();
    await userEvent.click(ofWren().getByRole('checkbox', { name: /play it again/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Done here' }));
    await screen.findByText(/^Noted\./);
    expect(api().writes.map((w) => [w.path, w.body])).toEqual([['/games/two-lamps/liked', { learners: ['wren'], liked: true }]]);
  });
  it('tells how each version at the table is played, whole or in pictures, and what to do when a child is stuck', async () => {
    ready();
    const at = session().rounds[0]!.tables[0]!.seats[0]!.variant;
    const m = mechanismById('pair-memory')!;
    api().on('GET /plans/plan-1/how-to', {
      items: [
        {
          variant: at,
          title: 'tens',
          own: ['Whisper, please.'],
          cautions: ['Small parts: count out, count back.'],
          howTo: howToWire(m, { sum: 12 }, 3, [7, 9], (k) => k, asWritten),
        },
      ],
    });
    await open();
    const table = within(screen.getByRole('region', { name: 'How it is played' }));
    expect(table.getAllByRole('listitem')).toHaveLength(5);
    expect(table.getByText('Small parts: count out, count back.')).toBeTruthy();
    expect(table.getByText(/if the two make 12/)).toBeTruthy();
    expect(table.getByText(/Stuck\? Lay the number with counters/)).toBeTruthy();
    expect(table.queryByText('Time is up')).toBeNull();
    await userEvent.click(table.getByRole('button', { name: 'all rules' }));
    expect(table.getByText('Time is up')).toBeTruthy();
    expect(table.getByText('Whisper, please.')).toBeTruthy();
    await userEvent.click(table.getByRole('button', { name: 'in pictures' }));
    expect(table.queryByText('Time is up')).toBeNull();
    expect(table.getByText('Keep the pair.')).toBeTruthy();
  });
  it('goes back from a table to all tables with the browser’s own Back, and the keys stand where they stood', async () => {
    ready();
    await open();
    expect(document.activeElement?.tagName).toBe('H1');
    history.back();
    const table = await screen.findByRole('button', { name: /Two Lamps/ });
    await waitFor(() => expect(document.activeElement).toBe(table));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/^Play/);
  });
  it('shows what was noted already, and takes it back', async () => {
    ready();
    const { seats } = session().rounds[0]!.tables[0]!;
    const note = {
      id: 'e1',
      learner: 'wren',
      at: '2026-11-10T10:00:00.000Z',
      kind: 'note',
      skill: 'make-ten',
      result: 'support',
      correct: null,
      total: null,
      how: 'counted-on',
      support: null,
      variant: seats.find((s) => s.learner === 'wren')!.variant,
      session: 'plan-1',
      items: [],
      by: { role: 'helper', ownChild: false },
      retracted: false,
      retractedBecause: null,
    };
    let notes = [note];
    api()
      .on('GET /evidence', () => page(notes))
      .on('POST /evidence/e1/retract', () => {
        notes = [{ ...note, retracted: true }];
        return { id: 'e1' };
      });
    await open();
    const noted = within(await screen.findByRole('list', { name: 'Noted already' }));
    expect(noted.getByText(/Noted:/).textContent).toMatch(/with help, .*counted on/);
    await userEvent.click(noted.getByRole('button', { name: 'take it back' }));
    await waitFor(() => expect(screen.queryByRole('list', { name: 'Noted already' })).toBeNull());
    expect(api().writes).toMatchObject([{ path: '/evidence/e1/retract', body: { because: 'corrected at the table' } }]);
  });
  it('means nothing where nothing was tapped', async () => {
    ready();
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Done here' }));
    await screen.findByText(/^Noted\./);
    expect(api().writes).toEqual([]);
  });
  it('keeps taps on the device when they cannot be sent, says so on the first page, and sends the same write again', async () => {
    ready();
    api().on('POST /evidence/batch', new Error('no network'));
    await open();
    await userEvent.click(ofWren().getByRole('button', { name: 'stuck' }));
    await userEvent.click(screen.getByRole('button', { name: 'Done here' }));
    expect(await screen.findByText(/Your taps are kept here; try again/)).toBeTruthy();
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: /tables/ }));
    expect(await screen.findByText(/One tap is on this device only/)).toBeTruthy();
    expect(screen.getByText('1 not sent yet')).toBeTruthy();
    api().on('POST /evidence/batch', { ids: ['n1'] });
    await userEvent.click(screen.getByRole('button', { name: /Two Lamps/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Done here' }));
    await waitFor(() => expect(api().writes).toHaveLength(2));
    expect(api().writes[1]!.key).toBe(api().writes[0]!.key);
  });
  it('says what to do when there is nothing to play', async () => {
    show(<PlayView plan={null} />);
    expect(await screen.findByText('No session to play yet')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Plan a session' }).getAttribute('href')).toContain('/plan');
  });
  it('says so when the session cannot be ended', async () => {
    ready();
    api().on('POST /plans/plan-1/played', new Refusal(422, { code: 'in-the-future', message: 'This session is planned for later.' }));
    show(<PlayView plan={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'The session is over' }));
    expect(await screen.findByText('This session is planned for later.')).toBeTruthy();
    expect(gone()).toBeNull();
  });
});
