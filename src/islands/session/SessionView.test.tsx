// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { game, islandTest, learner, page, Refusal, session, variant } from '../island.testing';
import { changesSentence, worthSentence } from './planAgain';
import SessionView from './SessionView';

const { api, show, gone } = islandTest();

const ready = (plan: object = session()): void => {
  api()
    .on('GET /plans/plan-1', plan)
    .on('GET /learners', page(['wren', 'fern', 'moss'].map((id) => learner(id))))
    .on('GET /games', page([game('two-lamps'), game('levers'), game('high-signal')]))
    .on('GET /variants', page([variant('tens', 'two-lamps'), variant('fives', 'levers'), variant('one card', 'high-signal')]))
    .on('POST /plans/plan-1/check', (body: { rounds: unknown }) => ({
      violations: [],
      objective: 2,
      rounds: body.rounds,
      short: ['moss'],
      games: { different: 5, fresh: 2 },
    }))
    .on('GET /plans/plan-1/then', { items: [] })
    .on('POST /plans/plan-1/instead', {
      breaking: 2,
      items: [
        {
          game: 'high-signal',
          title: 'High Signal',
          value: 1,
          reasons: ['Wren: about 9 chances.'],
          seats: [
            { learner: 'wren', variant: 'one card', variantTitle: 'one card' },
            { learner: 'fern', variant: 'one card', variantTitle: 'one card' },
          ],
        },
      ],
    });
};
const rest = async (name: string) => {
  (await screen.findByRole('button', { name: new RegExp(`^${name}, `) })).focus();
  await userEvent.keyboard('{Enter}');
  screen.getByRole('button', { name: `let ${name} rest` }).focus();
  await userEvent.keyboard('{Enter}');
};
const save = () => screen.getByRole('button', { name: 'Save' });

const replanned = () => api().writes.find((w) => w.path.endsWith('/replan'))?.body;

describe('a session', () => {
  it('moves a child by keyboard, takes it back by Ctrl Z, and asks before unsaved edits go', async () => {
    ready();
    show(<SessionView id="plan-1" />);
    const wren = await screen.findByRole('button', { name: 'Wren, tens' });
    wren.focus();
    await userEvent.keyboard('{Enter}');
    screen.getByRole('button', { name: 'let Wren rest' }).focus();
    await userEvent.keyboard('{Enter}');
    expect(screen.getByRole('button', { name: 'Wren, resting' })).toBeTruthy();
    expect((await screen.findByText(/less than half of the best/)).textContent).toContain('for Moss alone');
    await waitFor(() => expect((document.activeElement as HTMLElement).dataset['learner']).toBe('wren'));
    expect(save()).toHaveProperty('disabled', false);
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    await userEvent.keyboard('{Control>}z{/Control}');
    expect(save()).toHaveProperty('disabled', true);
    const again = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(again);
    expect(again.defaultPrevented).toBe(false);
  });
  it('says what a table plays on with when its game is done early', async () => {
    ready();
    api().on('GET /plans/plan-1/then', {
      items: [
        {
          round: 0,
          table: 0,
          minutes: 3.4,
          then: { game: 'levers', title: 'Levers', variant: 'fives', variantTitle: 'fives', minutes: 9 },
        },
      ],
    });
    show(<SessionView id="plan-1" />);
    expect((await screen.findByText(/Done in about 3 minutes/)).textContent).toBe(
      'Done in about 3 minutes. And then Levers, fives, from the same things: about 9 minutes.',
    );
  });
  it('says where a table practises without playing a game', async () => {
    ready();
    const games = show(<SessionView id="plan-1" />);
    await screen.findByText(/table 1, round 1/);
    expect(screen.queryByText(/Practice, not a game/)).toBeNull();
    games.unmount();
    api().on('GET /variants', page(['tens', 'fives', 'one card'].map((id) => variant(id, id, { mechanism: 'fact-wheel' }))));
    show(<SessionView id="plan-1" />);
    expect(await screen.findByText(/Practice, not a game/)).toBeTruthy();
  });
  it('saves with the version it saw, and says when a rule is broken all the same', async () => {
    ready();
    api().on('PUT /plans/plan-1', { id: 'plan-1', version: 4, violations: [{ rule: 'size', message: 'x' }], objective: 1 });
    show(<SessionView id="plan-1" />);
    await rest('Moss');
    await userEvent.click(save());
    expect(await screen.findByText('Saved as you set it, though a rule is broken.')).toBeTruthy();
    expect(api().writes.find((w) => w.method === 'PUT')!.body).toMatchObject({ version: 3, rounds: [{ resting: ['moss'] }] });
  });
  it('gives both to choose from when somebody saved meanwhile', async () => {
    ready();
    api().on('PUT /plans/plan-1', new Refusal(409, { code: 'conflict', message: 'Somebody changed this in the meantime.' }));
    show(<SessionView id="plan-1" />);
    await rest('Moss');
    await userEvent.click(save());
    expect(await screen.findByText('Two of you at once')).toBeTruthy();
    api()
      .on('GET /plans/plan-1', session({ version: 7 }))
      .on('PUT /plans/plan-1', { id: 'plan-1', version: 8, violations: [], objective: 1 });
    await userEvent.click(screen.getByRole('button', { name: 'Keep mine over theirs' }));
    await waitFor(() =>
      expect(
        api()
          .writes.filter((w) => w.method === 'PUT')
          .at(-1)!.body,
      ).toMatchObject({ version: 7, rounds: [{ resting: ['moss'] }] }),
    );
    expect(await screen.findByText('Yours is kept.')).toBeTruthy();
  });
  it('keeps the session when planning again finds no seats, and says what would help', async () => {
    ready();
    const oneTable = { text: 'One more table.', relax: 'tables', by: 1 };
    api().on('POST /plans/plan-1/replan', {
      ...session(),
      failed: { unseated: 2, unseatedAfter: 0, games: 4, unknown: 0, steps: [oneTable] },
    });
    show(<SessionView id="plan-1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'Plan again' }));
    expect(await screen.findByText('One more table.')).toBeTruthy();
    expect(screen.getByText('This alone would give everybody a seat of their own:')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Wren, tens' })).toBeTruthy();
    expect(screen.getByText('Every rule is kept.')).toBeTruthy();
  });
  it('says what would be if a child held over a table sat there, for all of them, against now', async () => {
    ready();
    const seat = (more: object) => ({
      variantTitle: 'fives',
      skill: 'Pairs of five',
      chances: 8.2,
      success: 0.81,
      waiting: 0.75,
      beside: false,
      win: { mean: 0.25, standardError: 0.02 },
      ...more,
    });
    api().on('POST /plans/plan-1/whatif', {
      title: 'Two Lamps',
      games: 300,
      children: [
        { learner: 'wren', now: seat({ waiting: 0.5, win: { mean: 0.6, standardError: 0.02 } }), then: seat({}) },
        { learner: 'moss', now: null, then: seat({ skill: null, win: null, waiting: null, beside: true }) },
      ],
    });
    show(<SessionView id="plan-1" />);
    (await screen.findByRole('button', { name: /^Moss, / })).focus();
    await userEvent.keyboard('{Enter}');
    screen.getAllByRole('button', { name: 'put Moss here' })[0]!.focus();
    const panel = within(await screen.findByRole('complementary', { name: 'What if Moss sat here' }));
    expect(await panel.findByText('About 8 chances for “pairs of five”, 81 % likely right.')).toBeTruthy();
    expect(panel.getByText('Waits 75 % of the round instead of 50 %. Wins about 25 % (± 2) instead of 60 %.')).toBeTruthy();
    expect(panel.getByText('Nothing that is needed; good company.')).toBeTruthy();
    expect(panel.getAllByRole('listitem').map((li) => li.textContent!.slice(0, 4))).toEqual(['Moss', 'Wren']);
    expect(panel.getByText(/300 games played by the machine/)).toBeTruthy();
    expect(api().asked.find((a) => a.path.endsWith('/whatif'))!.body).toMatchObject({ round: 0, table: 0, learner: 'moss' });
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('complementary', { name: 'What if Moss sat here' })).toBeNull();
  });
  it('says what our ways of planning cost only when it is asked, one after another', async () => {
    ready(session({ considered: 235 }));
    api()
      .on('GET /wishes', { mix: true, together: [] })
      .on('POST /plans/plan-1/price', ({ aim }: { aim: string }) => ({
        aim,
        share: aim === 'games' ? 0.0312 : 0,
        games: 5,
        gamesWithout: aim === 'games' ? 9 : 5,
      }));
    show(<SessionView id="plan-1" />);
    const summary = await screen.findByText('What our ways of planning cost here');
    expect(await screen.findByText(/among the 235 ways to play it looked at closely/)).toBeTruthy();
    expect(api().asked.filter((a) => a.path.endsWith('/price'))).toEqual([]);
    (summary.parentElement as HTMLDetailsElement).open = true;
    fireEvent(summary.parentElement!, new Event('toggle'));
    expect(
      await screen.findByText('Few games to fetch and explain: costs 3.1 % of what all practise together. 5 different games instead of 9.'),
    ).toBeTruthy();
    expect(
      screen.getByText(
        'Nobody far below the best there is for that child alone: costs less than half a per cent; so little may be the search alone.',
      ),
    ).toBeTruthy();
    await screen.findByText(/^Who sits with whom: costs less/);
    expect(
      api()
        .asked.filter((a) => a.path.endsWith('/price'))
        .map((a) => (a.body as { aim: string }).aim),
    ).toEqual(['floor', 'games', 'companions']);
  });
  it('leads to the wish that stands in the way where it is one', async () => {
    const lively = {
      text: 'Let more than one lively or floor table be in a round; it stands under How we plan.',
      relax: 'lively' as const,
    };
    ready(session({ status: 'partial', missing: { unseated: 3, unseatedAfter: 0, games: 4, unknown: 0, steps: [lively] } }));
    show(<SessionView id="plan-1" />);
    expect(await screen.findByText(lively.text)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'How we plan' }).getAttribute('href')).toContain('/plan?wishes');
    expect(screen.queryByRole('button', { name: 'Plan it so' })).toBeNull();
  });
  it('is mended with few changes, shows who sits elsewhere and what that costs, and goes back to the first', async () => {
    const first = session();
    const rest = {
      ...first.rounds[0]!,
      tables: first.rounds[0]!.tables.map((t, i) => (i === 0 ? { ...t, game: 'high-signal', title: 'High Signal' } : t)),
    };
    const second = { ...first, version: 8, rounds: [rest, ...first.rounds.slice(1)] };
    let now: object = first;
    ready(first);
    api()
      .on('GET /plans/plan-1', () => now)
      .on('POST /plans/plan-1/replan', () => {
        now = second;
        return { ...second, changes: { seats: 2, of: 12, price: 0.021 } };
      });
    show(<SessionView id="plan-1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'Mend it' }));
    const compare = within(await screen.findByRole('region', { name: 'Before and now' }));
    expect(compare.getByText('2 seats of 12 changed; by this plan’s scoring 2 % under what planning it freely would give.')).toBeTruthy();
    expect(compare.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
      'Round 1: Wren Two Lamps → High Signal',
      'Round 1: Fern Two Lamps → High Signal',
    ]);
    expect(api().writes.find((w) => w.path.endsWith('/replan'))!.body).toMatchObject({ fewChanges: true });
    expect(save()).toHaveProperty('disabled', true);
    await userEvent.click(compare.getByRole('button', { name: 'Back to how it was' }));
    // What was there before is a draft again, to be saved or not.
    expect(await screen.findByRole('button', { name: 'Two Lamps' })).toBeTruthy();
    expect(save()).toHaveProperty('disabled', false);
    await userEvent.click(screen.getByRole('button', { name: 'Redo' }));
    expect(await screen.findByRole('button', { name: 'High Signal' })).toBeTruthy();
    expect(save()).toHaveProperty('disabled', true);
  });
  it.each([
    [10, 10.02, 'By this plan’s scoring it is as good as before.'],
    [10, 11, 'By this plan’s scoring it is 10 % better than before.'],
    [10, 9.4, 'By this plan’s scoring it is 6 % less good than before.'],
  ])('tells what planning again brought (%#)', (before, after, words) => expect(worthSentence(before, after)).toBe(words));
  it.each([
    [{ seats: 0, of: 12, price: 0 }, 'Nothing had to change.'],
    [{ seats: 1, of: 12, price: 0.004 }, 'One seat of 12 changed; by this plan’s scoring as good as planning it freely.'],
  ])('tells a small change in words (%#)', (changes, words) => expect(changesSentence(changes)).toBe(words));
  it('that seats not everybody names who rests, and does what would seat them with one click', async () => {
    const plan = session();
    const lock = { learner: 'wren', round: 0, game: 'two-lamps' };
    const missing = {
      unseated: 1,
      unseatedAfter: 0,
      games: 4,
      unknown: 0,
      steps: [
        { text: '2 more helpers.', relax: 'helpers', by: 2 },
        { text: 'Let go of Wren at Two Lamps in round 1.', relax: 'lock', lock },
        { text: '3 more of “pair cards”.', relax: 'stock', by: 3, kind: 'pair-cards' },
      ],
    };
    ready({ ...plan, status: 'partial', missing, locks: [lock, { ...lock, learner: 'fern' }] });
    api()
      .on('GET /kinds', page([{ id: 'pair-cards', title: 'Pair cards', quantity: 4, plentiful: false, smallParts: false, caution: null }]))
      .on('PUT /kinds/pair-cards/stock', { id: 'pair-cards', change: 'c' })
      .on('POST /plans/plan-1/replan', plan);
    show(<SessionView id="plan-1" />);
    const alert = within(await screen.findByRole('alert'));
    expect(alert.getByRole('heading', { name: 'Not everybody has a seat' })).toBeTruthy();
    expect(alert.getByText(/These together would/)).toBeTruthy();
    for (const r of plan.rounds) for (const l of r.resting) expect(alert.getByText(new RegExp(l, 'i'))).toBeTruthy();
    await userEvent.click(alert.getByRole('button', { name: 'They are here after all: count them in and plan' }));
    await waitFor(() => expect(api().writes.some((w) => w.path.endsWith('/replan'))).toBe(true));
    expect(api().writes.find((w) => w.path.endsWith('/stock'))!.body).toEqual({ quantity: 7 });
    expect(api().writes.find((w) => w.path.endsWith('/replan'))!.body).toMatchObject({
      helpers: plan.request.helpers + 2,
      locks: [{ ...lock, learner: 'fern' }],
    });
  });
  it('in which nobody can sit offers games to take where nothing else would help', async () => {
    ready(session({ status: 'infeasible', rounds: [], missing: { unseated: 3, unseatedAfter: 3, games: 4, unknown: 3, steps: [] } }));
    show(<SessionView id="plan-1" />);
    const alert = within(await screen.findByRole('alert'));
    expect(alert.getByRole('link', { name: 'Take games from the library' }).getAttribute('href')).toContain('/shelf/library');
    expect(alert.queryByRole('button', { name: /plan/i })).toBeNull();
    expect(alert.getByText(/Of 4 games here 3 cannot be planned yet/)).toBeTruthy();
    expect(alert.getByRole('link', { name: 'How is each played?' }).getAttribute('href')).toContain('/shelf/recognise');
  });
  it('shows who shares a seat, says that everybody plays, and gives a seat of the own again', async () => {
    const base = session();
    const [first, second] = base.rounds[0]!.tables;
    const moss = { ...second!.seats[0]!, variant: 'tens', with: 'wren' };
    const missing = { unseated: 1, unseatedAfter: 0, games: 4, unknown: 0, steps: [] };
    ready(
      session({
        status: 'partial',
        missing,
        rounds: [{ tables: [{ ...first!, seats: [...first!.seats, moss] }], resting: [], meanwhile: [] }],
      }),
    );
    show(<SessionView id="plan-1" />);
    expect(await screen.findByRole('heading', { name: 'Everybody plays, some as partners' })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Moss, partner of Wren/ })).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Moss on one seat with'), '');
    expect(screen.queryByRole('button', { name: /partner of/ })).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Fern on one seat with'), 'Moss');
    expect(screen.getByRole('button', { name: /^Fern, partner of Moss/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('checkbox', { name: 'a grown-up takes a seat here' }));
    expect(screen.getByText('a grown-up')).toBeTruthy();
  });
  it('says what those do who rest without having asked for it', async () => {
    const base = session();
    ready(session({ rounds: [{ ...base.rounds[0]!, resting: ['moss'], meanwhile: [{ learner: 'moss', text: 'Rain Gauge, alone' }] }] }));
    show(<SessionView id="plan-1" />);
    expect(await screen.findByText('Moss meanwhile: Rain Gauge, alone')).toBeTruthy();
  });
  it('makes a round for everybody of a game that seats all', async () => {
    ready();
    api()
      .on('GET /plans/plan-1/everybody', { items: [{ game: 'levers', title: 'Levers', most: 12, for: 2 }] })
      .on('POST /plans/plan-1/replan', session());
    show(<SessionView id="plan-1" />);
    await userEvent.click(await screen.findByText('A round for everybody'));
    expect(await screen.findByRole('option', { name: 'Levers, good for 2 of 3' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Plan it so' }));
    await waitFor(() => expect(replanned()).toMatchObject({ everybody: [{ round: 0, game: 'levers' }], fewChanges: true }));
  });
  it('lets tables come again in a round for everybody', async () => {
    ready(session({ request: { ...session().request, everybody: [{ round: 0, game: 'levers' }] } }));
    show(<SessionView id="plan-1" />);
    api().on('GET /plans/plan-1/everybody', { items: [] }).on('POST /plans/plan-1/replan', session());
    await userEvent.click(await screen.findByText(/^Round 1: Levers for everybody/));
    await userEvent.click(screen.getByRole('button', { name: 'Tables again' }));
    await waitFor(() => expect(replanned()).toMatchObject({ everybody: [] }));
  });
  it('says how near to the best it is only where that means something', async () => {
    ready(session({ objective: 1, bound: 1.02 }));
    const shown = show(<SessionView id="plan-1" />);
    expect(await screen.findByText(/within 2\.0 % of the best/)).toBeTruthy();
    expect(await screen.findByText('5 different games to fetch, 2 of them new to everybody here.')).toBeTruthy();
    shown.unmount();
    ready(session({ objective: 1, bound: 1.06 }));
    show(<SessionView id="plan-1" />);
    await screen.findByText('Every rule is kept.');
    expect(screen.queryByText(/% of the best/)).toBeNull();
  });
  it('swaps to the versions that were offered, under the game’s own name', async () => {
    ready();
    show(<SessionView id="plan-1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'Swap' }));
    const check = await waitFor(() => {
      const last = api()
        .writes.filter((w) => w.path.endsWith('/check'))
        .at(-1)!.body as { rounds: { tables: { game: string; seats: object[] }[] }[] };
      expect(last.rounds[0]!.tables[0]!.game).toBe('high-signal');
      return last;
    });
    expect(check.rounds[0]!.tables[0]!.seats).toEqual([
      { learner: 'wren', variant: 'one card' },
      { learner: 'fern', variant: 'one card' },
    ]);
    expect(screen.getByRole('button', { name: 'High Signal' })).toBeTruthy();
    expect(screen.getByText(/2 other games would break a rule here/)).toBeTruthy();
    expect(api().writes.find((w) => w.path.endsWith('/instead'))!.body).toMatchObject({ round: 0, table: 0, locks: [] });
  });
  const change = (...learners: string[]) => ({
    parameter: 'pairs',
    parameterTitle: 'Pairs',
    value: 6,
    children: learners.map((learner, i) => ({ learner, before: i === 0 ? 0.4 : 0.76, after: i === 0 ? 0.75 : 0.8 })),
    minutes: { mean: 7, standardError: 0.1 },
  });
  const lastSeats = () =>
    (
      api()
        .writes.filter((w) => w.path.endsWith('/check'))
        .at(-1)!.body as { rounds: { tables: { seats: object[] }[] }[] }
    ).rounds[0]!.tables[0]!.seats;
  it('makes a version easier for the whole table, and says it child by child', async () => {
    ready();
    api()
      .on('GET /variants/tens', variant('tens', 'two-lamps'))
      .on('POST /variants/tens/for', { variant: 'tens', changes: [change('wren', 'fern')] })
      .on('POST /variants', { id: 'tens-pairs-6' });
    show(<SessionView id="plan-1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'easier for this table' }));
    const group = within(await screen.findByRole('group', { name: 'Easier for this table' }));
    expect((await group.findByText(/Pairs/)).textContent).toMatch(
      /Wren about 8 of 10 right instead of 4; Fern hardly otherwise; about 7 min/,
    );
    await userEvent.click(group.getByRole('button', { name: 'Keep as a version' }));
    await waitFor(() =>
      expect(lastSeats()).toEqual([
        { learner: 'wren', variant: 'tens-pairs-6' },
        { learner: 'fern', variant: 'tens-pairs-6' },
      ]),
    );
    const asked = api().asked.find((a) => a.path === '/variants/tens/for')!.body;
    expect(asked).toEqual({ learners: ['wren', 'fern'], direction: 'easier' });
  });
  it('makes a version easier for one child, who then plays it here', async () => {
    ready();
    api()
      .on('GET /variants/tens', variant('tens', 'two-lamps'))
      .on('POST /variants/tens/for', {
        variant: 'tens',
        changes: [change('wren')],
      })
      .on('POST /variants', { id: 'tens-pairs-6' });
    show(<SessionView id="plan-1" />);
    await userEvent.click(await screen.findByRole('button', { name: 'easier for Wren' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Keep as a version' }));
    await waitFor(() =>
      expect(lastSeats()).toEqual([
        { learner: 'wren', variant: 'tens-pairs-6' },
        { learner: 'fern', variant: 'tens' },
      ]),
    );
    expect(api().asked.find((a) => a.path === '/variants/tens/for')!.body).toMatchObject({ learners: ['wren'], beside: ['tens'] });
    expect(save()).toHaveProperty('disabled', false);
  });
  it('that was played is not planned again or saved over', async () => {
    ready(session({ playedAt: '2026-11-10T11:00:00.000Z' }));
    show(<SessionView id="plan-1" />);
    expect(await screen.findByRole('button', { name: 'Plan again' })).toHaveProperty('disabled', true);
    await rest('Moss');
    expect(save()).toHaveProperty('disabled', true);
  });
  it('that cannot be read says why', async () => {
    api().on('GET /plans/plan-1', new Refusal(404, { code: 'not-found', message: 'There is no plan "plan-1".' }));
    show(<SessionView id="plan-1" />);
    expect(await screen.findByText('There is no plan "plan-1".')).toBeTruthy();
    expect(gone()).toBeNull();
  });
});
