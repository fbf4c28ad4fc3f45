// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { game, islandTest, page, thing } from '../island.testing';
import { answered, none, readProgress, writeProgress } from './progress';
import StockTakeView from './StockTakeView';

const { api, show } = islandTest();
const kind = (id: string, title: string, more: Partial<KindWire> = {}): KindWire =>
  thing(id, { title, unit: 'set', quantity: 3, owned: 3, bin: 'blue', drawer: 'Blue tote', ...more });
beforeEach(() => {
  localStorage.clear();
  api()
    .on(
      'GET /kinds',
      page([
        kind('dot-cards', 'Dot cards', { owned: 3, quantity: 2, loans: [{ who: 'Ash', quantity: 1, until: null }] }),
        kind('pip-die', 'Pip die'),
      ]),
    )
    .on('GET /games', page([game('two-lamps', { bin: 'blue' })]))
    .on(
      'GET /bins',
      page([
        { id: 'blue', title: 'Blue tote', position: 1 },
        { id: 'hall', title: 'Hall closet', position: 2 },
      ]),
    )
    .on('GET /kinds/dot-cards/left', {
      still: [{ game: 'quick', title: 'Quick Look', steps: ['See five at a glance'] }],
      lost: [{ game: 'two-lamps', title: 'Two Lamps', steps: [] }],
      lostSteps: ['Make a ten'],
      becomes: [{ game: 'levers', title: 'Levers', steps: ['Count on'] }],
    })
    .on('GET /kinds/pip-die/left', { still: [], lost: [], lostSteps: [], becomes: [] })
    .on('PUT /kinds/dot-cards/stock', { id: 'dot-cards', change: 'c1' })
    .on('PUT /kinds/pip-die/stock', { id: 'pip-die', change: 'c2' })
    .on('PATCH /kinds/dot-cards', { id: 'dot-cards', change: 'c3' })
    .on('PATCH /games/two-lamps', { id: 'two-lamps', change: 'c4' });
});
const begin = async (): Promise<void> => userEvent.click(await screen.findByRole('button', { name: 'Begin' }));
const sent = (path: string): unknown => api().writes.find((w) => w.path === path)?.body;

describe('stock-take', () => {
  it('counts one thing after another, and says what is with somebody', async () => {
    show(<StockTakeView />);
    await begin();
    expect(screen.getByText('2 here and 1 with Ash make 3: nothing is lost.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'One less' }));
    expect(screen.getByText('1 here and 1 with Ash make 2; last time there were 3.')).toBeTruthy();
    // What is left is still good for something, and could become another game.
    expect((await screen.findByText(/Still good/)).parentElement!.textContent).toContain('Quick Look (see five at a glance)');
    expect(screen.getByText(/nothing here plays make a ten then/)).toBeTruthy();
    api().on('POST /library/levers/take', { id: 'levers', change: 'c7' });
    await userEvent.click(screen.getByRole('button', { name: 'Levers' }));
    expect(await screen.findByText('Levers is on your shelf.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: '1 set, next' }));
    // What is lent is ours beside what is here.
    await waitFor(() => expect(sent('/kinds/dot-cards/stock')).toEqual({ quantity: 2, told: 'number' }));
    expect(screen.getByRole('heading', { name: 'Pip die' })).toBeTruthy();
    await userEvent.keyboard('12');
    await userEvent.click(screen.getByRole('button', { name: '312 sets, next' }));
    await waitFor(() => expect(sent('/kinds/pip-die/stock')).toEqual({ quantity: 312, told: 'number' }));
  });

  it('has one verdict for what is gone, and tells it at the end', async () => {
    show(<StockTakeView />);
    await begin();
    await userEvent.click(screen.getByRole('button', { name: 'some gone' }));
    await userEvent.type(screen.getByLabelText('What is gone?'), '3 of 20 cards');
    await userEvent.click(screen.getByRole('button', { name: 'To be made: on the list' }));
    await waitFor(() => expect(sent('/kinds/dot-cards')).toEqual({ incomplete: '3 of 20 cards: to be made' }));
    await userEvent.click(screen.getByRole('button', { name: '‹ bins' }));
    const found = screen.getByRole('region', { name: 'What was found' });
    expect(within(found).getByText('Dot cards: 3 of 20 cards')).toBeTruthy();
    expect(screen.getByText('1 of 3 looked at')).toBeTruthy();
  });

  it('goes on where it stopped, and moves what lay in the wrong bin', async () => {
    writeProgress({ 'Blue tote': { done: ['kind:dot-cards', 'kind:pip-die'], found: [], day: new Date().toISOString().slice(0, 10) } });
    show(<StockTakeView />);
    await userEvent.click(await screen.findByRole('button', { name: 'Go on' }));
    expect(screen.getByRole('heading', { name: 'Two Lamps' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'wrong bin' }));
    await userEvent.selectOptions(screen.getByLabelText('Where does it belong?'), 'Hall closet');
    await userEvent.click(screen.getByRole('button', { name: 'wrong bin, done' }));
    await waitFor(() => expect(sent('/games/two-lamps')).toEqual({ bin: 'Hall closet', version: 1 }));
    expect(screen.getByText('Blue tote is looked at')).toBeTruthy();
  });

  it('leaves what was written of a game that is here, and forgets only that it was lost', async () => {
    api()
      .on('GET /kinds', page([]))
      .on(
        'GET /games',
        page([
          game('two-lamps', { bin: 'blue', condition: 'laminated' }),
          game('levers', { bin: 'blue', condition: 'not found in its bin' }),
        ]),
      );
    api().on('PATCH /games/levers', { id: 'levers', change: 'c5' });
    show(<StockTakeView />);
    await begin();
    await userEvent.click(screen.getByRole('button', { name: 'here, next' }));
    await userEvent.click(await screen.findByRole('button', { name: 'here, done' }));
    await waitFor(() => expect(sent('/games/levers')).toEqual({ condition: '', version: 1 }));
    expect(sent('/games/two-lamps')).toBeUndefined();
  });

  it('says what to do where there is no bin', async () => {
    api().on('GET /kinds', page([])).on('GET /games', page([])).on('GET /bins', page([]));
    show(<StockTakeView />);
    expect(await screen.findByText('There is no bin yet')).toBeTruthy();
  });
});

describe('where it stopped', () => {
  it('keeps an answer once, lets an older one of the same thing go, and forgets an old stock-take', () => {
    const once = answered(none, 'kind:a', 'A', [{ what: 'mend', title: 'A', words: 'worn' }], '2026-11-01');
    const again = answered(once, 'kind:a', 'A', [], '2026-11-02');
    expect(again).toEqual({ done: ['kind:a'], found: [], day: '2026-11-02' });
    writeProgress({ Blue: once });
    expect(readProgress('2026-11-20')).toEqual({ Blue: once });
    expect(readProgress('2027-03-01')).toEqual({});
    localStorage.setItem('zeitgeber.stock-take', 'broken');
    expect(readProgress('2026-11-20')).toEqual({});
  });
});
