// @vitest-environment jsdom
import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal, session, unanswered } from '../island.testing';
import PrepView from './PrepView';

const { api, show, gone } = islandTest();

const item = (title: string, more: object = {}) => ({
  item: `kind:${title}`,
  title,
  quantity: 2,
  have: 2,
  state: 'there',
  forGames: ['Two Lamps'],
  rounds: [0],
  caution: null,
  notes: '',
  ticked: false,
  back: false,
  ...more,
});
const ready = (): void => {
  api()
    .on('GET /plans', page([{ id: 'plan-1', date: '2026-11-10', status: 'good', playedAt: null, forecast: false }]))
    .on('GET /plans/plan-1/gather', {
      date: '2026-11-10',
      bins: [{ bin: 'cupboard', title: 'Cupboard', items: [item('Pip die'), item('Number deck', { have: 0, state: 'missing' })] }],
      tables: [],
      ticked: 0,
      total: 2,
      smallParts: false,
    });
};

describe('gathering', () => {
  it('is titled by what one does', async () => {
    ready();
    show(<PrepView plan={null} />);
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Gather');
  });
  it('ticks at once, and takes the tick back when it was not kept', async () => {
    ready();
    api().on(
      'PUT /plans/plan-1/gather',
      new Refusal(507, { code: 'no-room', message: 'There is no room left on the disk, so this was not saved.' }),
    );
    show(<PrepView plan={null} />);
    const tick = await screen.findByRole('checkbox', { name: /Pip die/ });
    await userEvent.click(tick);
    expect(await screen.findByText(/There is no room left/)).toBeTruthy();
    await waitFor(() => expect(screen.getByRole('checkbox', { name: /Pip die/ })).toHaveProperty('checked', false));
    expect(within(document.body).getByText('Number deck')).toBeTruthy();
  });
  it('shows a tick in the moment of the tap, with the count, before anything was answered', async () => {
    ready();
    api().on('PUT /plans/plan-1/gather', unanswered);
    show(<PrepView plan={null} />);
    const tick = await screen.findByRole('checkbox', { name: /Pip die/ });
    act(() => tick.click());
    expect(tick).toHaveProperty('checked', true);
    expect(document.body.textContent).toContain('1 of 2 in the basket');
    act(() => tick.click());
    expect(tick).toHaveProperty('checked', false);
    expect(document.body.textContent).toContain('0 of 2 in the basket');
  });
  it('of nothing says what to do first', async () => {
    show(<PrepView plan={null} />);
    expect(await screen.findByText('Nothing to gather yet')).toBeTruthy();
    // Cards can be printed before anything is planned.
    expect(screen.getByRole('link', { name: 'Printer’s desk' })).toBeTruthy();
    expect(gone()).toBeNull();
  });
  it('leaves a session that found no seats out', async () => {
    api().on('GET /plans', page([{ id: 'plan-1', date: '2026-11-10', status: 'infeasible', playedAt: null, forecast: false }]));
    show(<PrepView plan={null} />);
    expect(await screen.findByText('Nothing to gather yet')).toBeTruthy();
    await userEvent.tab();
  });
  it('counts back what was counted out, each by itself', async () => {
    ready();
    api().on('PUT /plans/plan-1/gather', { item: 'back:kind:Pip die', ticked: true });
    show(<PrepView plan={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Count back' }));
    expect(screen.getByText(/back in their bins/)).toBeTruthy();
    await userEvent.click(screen.getByRole('checkbox', { name: /Pip die/ }));
    await waitFor(() => expect(api().writes[0]!.body).toEqual({ item: 'back:kind:Pip die', ticked: true }));
    await userEvent.click(screen.getByRole('button', { name: 'Count out' }));
    expect(screen.getByRole('checkbox', { name: /Pip die/ })).toHaveProperty('checked', false);
  });
  const make = (more: object) => ({
    batch: 'cut',
    variant: 'tens',
    step: '0',
    title: 'Two Lamps, tens',
    what: 'two sheets',
    minutes: 12,
    cost: null,
    first: '2026-11-10',
    done: false,
    ...more,
  });
  it('looks at the days ahead: what is to be made, by sorts of work, what it takes, and what leaves the bins', async () => {
    api()
      .on('GET /prep/ahead', {
        until: '2026-11-17',
        sessions: [{ plan: 'plan-1', date: '2026-11-10' }],
        bins: [
          { title: 'Cupboard', items: [{ item: 'kind:pip-die', title: 'Pip die', quantity: 4, dates: ['2026-11-10'], state: 'short' }] },
        ],
        make: [make({}), make({ batch: 'thing', variant: null, step: null, title: 'Beads', what: '3 are needed', minutes: 0, cost: 2.5 })],
        uses: [{ what: 'Card', quantity: 2, cost: null, for: ['Two Lamps, tens'] }],
        minutes: 12,
        doneMinutes: 5,
        cost: 2.5,
        unpriced: 1,
      })
      .on('PUT /prep/steps', { variant: 'tens', step: '0', ticked: true });
    show(<PrepView plan={null} ahead />);
    expect(await screen.findByText('12 min', { exact: false, selector: 'b' })).toBeTruthy();
    expect(screen.getByText(/about 12 minutes to get ready, 5 done; costs 2.50 and 1 to get without a price/)).toBeTruthy();
    expect(screen.getByText('4 ×')).toBeTruthy();
    expect(screen.getByText(/no price written; Two Lamps, tens/)).toBeTruthy();
    expect(screen.getByText(/3 are needed; costs 2.50/)).toBeTruthy();
    expect(screen.getAllByRole('checkbox')).toHaveLength(1);
    await userEvent.click(screen.getByRole('checkbox', { name: /Two Lamps, tens/ }));
    await waitFor(() => expect(api().writes.at(-1)!.body).toEqual({ variant: 'tens', step: '0', ticked: true }));
  });
  it('tells the same by table: each seat’s tool, and who takes what back', async () => {
    ready();
    const table = {
      round: 0,
      table: 1,
      game: 'two-lamps',
      title: 'Two Lamps',
      versions: ['tens'],
      things: [{ title: 'Pair cards', quantity: 1 }],
      tools: [{ learner: 'wren', tool: 'bead-frame' }],
      returns: { learner: 'wren', things: ['Two Lamps', 'Pair cards'] },
    };
    api()
      .on('GET /plans/plan-1/gather', {
        date: '2026-11-10',
        bins: [],
        tables: [table],
        ticked: 0,
        total: 0,
        smallParts: false,
        plan: 'plan-1',
      })
      .on('GET /learners', page([learner('wren')]))
      .on('GET /kinds', page([]));
    show(<PrepView plan={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'By table' }));
    const card = within(await screen.findByRole('article'));
    expect(card.getByRole('heading').textContent).toBe('Table 2: Two Lamps');
    expect((await card.findByText(/takes back/)).textContent).toBe('Wren takes back: Two Lamps, Pair cards.');
    expect(card.getByText(/for Wren:/)).toBeTruthy();
  });
});

describe('plan B', () => {
  const b = {
    madeOn: '2026-11-10',
    away: [
      {
        learners: ['fern'],
        cost: 0.2,
        lost: 0.0051,
        changes: 1,
        unseated: 0,
        say: [{ round: 0, text: 'Round 1: Wren plays Levers (to 10).' }],
      },
      {
        learners: ['moss'],
        cost: 0.1,
        lost: 0.005,
        changes: 2,
        unseated: 0,
        say: [{ round: 0, text: 'Round 1: Wren and Fern play Two Lamps (to 10).' }],
      },
    ],
    without: [
      {
        game: 'two-lamps',
        title: 'Two Lamps',
        rounds: [0],
        changes: 2,
        unseated: 0,
        say: [{ round: 0, text: 'Round 1: Wren and Fern play Levers (to 10).' }],
      },
    ],
    shorter: { count: 1, minutes: 10, changes: 0, unseated: 0, say: [{ round: null, text: 'Everybody plays what was planned.' }] },
  };
  const open = async (): Promise<void> => {
    ready();
    api()
      .on('GET /plans/plan-1', session())
      .on('GET /learners', page([learner('wren'), learner('fern'), learner('moss')]))
      .on('POST /plans/plan-1/plan-b', b);
    api().on('POST /plans/plan-1/replan', session());
    show(<PrepView plan={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Plan B' }));
    await screen.findByRole('region', { name: 'Plan B' });
  };
  const replanned = () => api().writes.find((w) => w.path === '/plans/plan-1/replan')?.body as Record<string, unknown>;

  it('says what changes for each trouble, and what the others lose', async () => {
    await open();
    const found = within(screen.getByRole('region', { name: 'Plan B' }));
    for (const words of [
      'Fern',
      'The others lose 1 % of what the plan is worth; 1 seat changes.',
      '2 seats change; the others lose next to nothing of what the plan is worth.',
      'Round 1: Wren plays Levers (to 10).',
      '1 round of 10 minutes',
    ])
      expect(found.getByText(words)).toBeTruthy();
  });

  it('plans it so with a button: without the child, without the game, or shorter', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Plan it so: Fern' }));
    await waitFor(() => expect(gone()).toContain('/plan/plan-1'));
    expect(replanned()).toMatchObject({ planB: true, version: 3, present: session().request.present.filter((l) => l !== 'fern') });
  });

  it('takes the game out of the plan where something of it is missing', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Plan it so: Two Lamps' }));
    await waitFor(() => expect(replanned()).toMatchObject({ withoutGames: ['two-lamps'] }));
  });

  it('makes the session shorter', async () => {
    await open();
    await userEvent.click(screen.getByRole('button', { name: /Plan it so: 1 round/ }));
    await waitFor(() => expect(replanned()).toMatchObject({ rounds: 1, minutes: 10 }));
  });

  it('can be tried again where it could not be worked out', async () => {
    ready();
    api()
      .on('GET /plans/plan-1', session())
      .on('GET /learners', page([]))
      .on(
        'POST /plans/plan-1/plan-b',
        new Refusal(500, { code: 'worker-lost', message: 'The calculation was ended before it was finished. Try again.' }),
      );
    show(<PrepView plan={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Plan B' }));
    await screen.findByText(/ended before it was finished/);
    api().on('POST /plans/plan-1/plan-b', b);
    await userEvent.click(screen.getByRole('button', { name: 'Work it out again' }));
    expect(await screen.findByRole('region', { name: 'Plan B' })).toBeTruthy();
  });
});
