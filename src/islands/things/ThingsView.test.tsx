// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { KindWire, PlayableWire } from '../../contract/wire/thingsOwned';
import { drawn } from '../../ui/things/ThingDrawing';
import { shippedKinds } from '../../contract/shippedData';
import { islandTest, page, Refusal, thing } from '../island.testing';
import { App } from '../shared/App';
import { needState, ThingNeed } from './ThingNeed';
import ThingsView from './ThingsView';
import { stateWords } from './useThings';

const { api, show } = islandTest();
const dice = thing('pip-die', { title: 'Pip die', unit: 'die', quantity: 6, owned: 6, state: 'number' });
const deck = thing('number-deck-1-10', {
  title: 'Number deck',
  unit: 'deck',
  drawer: 'Cards',
  place: 1,
  state: 'none',
  quantity: 0,
  owned: 0,
});
const pairs = thing('pair-cards', {
  title: 'Pair cards',
  unit: 'set',
  drawer: 'Cards',
  place: 1,
  state: 'unsure',
  quantity: 0,
  owned: 0,
  plentiful: true,
});
const playing = thing('playing-cards', {
  title: 'Playing cards',
  unit: 'pack',
  drawer: 'Cards',
  place: 1,
  state: 'number',
  quantity: 2,
  owned: 2,
});
const game = (id: string, where: 'shelf' | 'library', learners: string[]) => ({
  game: id,
  title: id,
  where,
  versions: ['one'],
  learners,
  standIns: [],
});
const playable: PlayableWire = {
  games: [game('Two Lamps', 'shelf', ['ada']), game('High Signal', 'library', ['ada', 'cleo'])],
  children: [
    { learner: 'ada', nickname: 'Ada', games: 6 },
    { learner: 'cleo', nickname: 'Cleo', games: 1 },
  ],
  away: {
    kind: 'number-deck-1-10',
    title: 'Number deck',
    needed: 2,
    games: ['Signal Frame'],
    learners: [{ learner: 'cleo', nickname: 'Cleo', games: 1 }],
  },
};
const ready = (things: KindWire[] = [dice, deck, pairs, playing]): void => {
  api()
    .on('GET /kinds', page(things))
    .on('GET /things/playable', playable)
    .on('GET /bins', page([{ id: 'tin', title: 'The tin', position: 1 }]))
    .on(
      'GET /substitutes',
      page([
        {
          for: 'number-deck-1-10',
          use: 'playing-cards',
          title: 'Playing cards',
          say: 'Take out the faces.',
          minutes: 1,
          automatic: true,
          effect: { sort: 'none', say: 'Nothing changes.' },
        },
        {
          for: 'pip-die',
          use: 'number-deck-1-10',
          title: 'Number deck',
          say: 'Draw, put back.',
          minutes: 1,
          automatic: false,
          effect: { sort: 'draws', say: 'The chances stay as they are.' },
        },
      ]),
    );
};
const lastWrite = () => api().writes.at(-1)!;
const cell = (name: RegExp) => screen.findByRole('group', { name });

describe('the page of things', () => {
  it('says what can be played and by whom, and shows the games of one child on a tap', async () => {
    ready();
    show(<ThingsView tick={false} />);
    expect(await screen.findByText('1 on the shelf, 1 in the library')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Cleo: 1 game' }));
    const list = within(screen.getByRole('region', { name: 'Games for Cleo' }));
    expect(list.getAllByRole('link').map((a) => a.textContent)).toEqual(['High Signal']);
    expect(screen.getByText(/would open/).textContent).toBe('One thing away: 2 number deck would open 1 game more, for Cleo.');
  });
  it('tells a count by digits, plenty, not sure and none by their keys, at once', async () => {
    ready();
    api().on('PUT /kinds/pip-die/stock', { id: 'pip-die', change: 'c1' });
    show(<ThingsView tick={false} />);
    (await cell(/^Pip die: 6 dice/)).focus();
    await userEvent.keyboard('12');
    await waitFor(() => expect(api().writes.map((w) => w.body)).toEqual([{ quantity: 1 }, { quantity: 12 }]));
    await userEvent.keyboard('p');
    await waitFor(() => expect(lastWrite().body).toEqual({ told: 'plenty' }));
    await userEvent.keyboard('?');
    await waitFor(() => expect(lastWrite().body).toEqual({ told: 'unsure' }));
    await userEvent.keyboard('0');
    await waitFor(() => expect(lastWrite().body).toEqual({ quantity: 0 }));
  });
  it('counts what is here: what is lent is ours beside it', async () => {
    ready([{ ...dice, owned: 2, quantity: 0, state: 'none', loans: [{ who: 'Ash', quantity: 2, until: null }] }]);
    api().on('PUT /kinds/pip-die/stock', { id: 'pip-die', change: 'c9' });
    show(<ThingsView tick={false} />);
    await userEvent.click(await screen.findByRole('button', { name: 'we have it: Pip die' }));
    await waitFor(() => expect(lastWrite().body).toEqual({ quantity: 3 }));
  });
  it('shows a tap before it is answered, and takes it back when it was refused', async () => {
    ready();
    let refuse = (): void => undefined;
    api().on(
      'PUT /kinds/pip-die/stock',
      () => new Promise((_, no) => (refuse = () => no(new Refusal(500, { code: 'internal', message: 'No.' })))),
    );
    show(<ThingsView tick={false} />);
    (await cell(/^Pip die: 6 dice/)).focus();
    await userEvent.keyboard('9');
    expect(await cell(/^Pip die: 9 dice/)).toBeTruthy();
    refuse();
    expect(await cell(/^Pip die: 6 dice/)).toBeTruthy();
  });
  it('tells what stands in for what is not there, and opens on a name', async () => {
    ready();
    show(<ThingsView tick={false} />);
    await userEvent.click(await screen.findByRole('button', { name: /Cards/ }));
    expect(within(await cell(/^Number deck: none/)).getByText('playing cards stand in for it')).toBeTruthy();
    expect(within(await cell(/^Pair cards: not sure/)).getByText('used as if there')).toBeTruthy();
    api().on('PATCH /kinds/number-deck-1-10', { id: 'number-deck-1-10', change: 'c2' });
    await userEvent.click(screen.getByRole('button', { name: 'Number deck' }));
    await userEvent.type(await screen.findByLabelText('What is missing of it'), 'two cards');
    await userEvent.click(screen.getByRole('button', { name: 'Lend some', hidden: true }));
    await userEvent.type(screen.getByLabelText('With whom'), 'Ash');
    await userEvent.click(screen.getByRole('button', { name: 'Save', hidden: true }));
    await waitFor(() =>
      expect(lastWrite().body).toEqual({
        bin: '',
        condition: '',
        incomplete: 'two cards',
        loans: [{ who: 'Ash', quantity: 1, until: null }],
        standIn: null,
        price: null,
      }),
    );
  });
  it('ticks a whole cupboard on one page: what is not ticked is none', async () => {
    ready();
    api().on('PUT /kinds', { id: 'kinds', change: 'c3' });
    show(<ThingsView tick />);
    expect(await screen.findByRole('checkbox', { name: 'Pip die', checked: true })).toBeTruthy();
    await userEvent.click(screen.getByRole('checkbox', { name: 'Number deck' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Playing cards' }));
    expect(api().asked.filter((a) => a.path === '/things/playable').length).toBeGreaterThan(2);
    await userEvent.click(screen.getByRole('button', { name: 'That is all we have' }));
    await waitFor(() =>
      expect(lastWrite().body).toEqual({
        things: [
          { id: 'number-deck-1-10', told: 'unsure' },
          { id: 'pair-cards', quantity: 0 },
          { id: 'playing-cards', quantity: 0 },
        ],
      }),
    );
  });
  it('adds something else, and says when it is only another word', async () => {
    ready();
    api().on(
      'POST /kinds',
      new Refusal(422, { code: 'duplicate', message: 'That is “Pip die”, which stands here already.', field: 'title' }),
    );
    show(<ThingsView tick={false} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Add a thing' }));
    await userEvent.type(screen.getByLabelText('What is it called?'), 'Cubes with dots');
    await userEvent.click(screen.getByRole('button', { name: 'Save', hidden: true }));
    expect(await screen.findByText(/stands here already/)).toBeTruthy();
    expect(lastWrite().body).toMatchObject({ title: 'Cubes with dots', quantity: 1 });
  });
});

describe('a thing that is needed', () => {
  it('is told by what is there', () => {
    expect([needState(dice, 6), needState(dice, 7), needState(deck, 1), needState(pairs, 9), needState(undefined, 1)]).toEqual([
      'there',
      'short',
      'missing',
      'unsure',
      'there',
    ]);
    expect([dice, { ...dice, quantity: 1 }, deck, pairs].map(stateWords)).toEqual(['6 dice', '1 die', 'none', 'not sure']);
  });
  it('is a button where it is missing: we have it, something else will do, borrowed', async () => {
    ready();
    api().on('PUT /kinds/pip-die/stock', { id: 'pip-die', change: 'c4' }).on('PATCH /kinds/pip-die', { id: 'pip-die', change: 'c5' });
    show(
      <App>
        <ThingNeed id="pip-die" kind={dice} quantity={8} />
      </App>,
    );
    const open = () => userEvent.click(screen.getByRole('button', { name: '8 × pip die: short. What to do' }));
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'We have it', hidden: true }));
    await waitFor(() => expect(lastWrite()).toMatchObject({ method: 'PUT', body: { quantity: 8 } }));
    await open();
    await userEvent.click(await screen.findByRole('button', { name: 'Use it instead', hidden: true }));
    await waitFor(() => expect(lastWrite()).toMatchObject({ method: 'PATCH', body: { standIn: 'number-deck-1-10' } }));
    await open();
    await userEvent.type(screen.getByLabelText('From whom'), 'Ash');
    await userEvent.click(screen.getByRole('button', { name: 'Borrowed', hidden: true }));
    await waitFor(() => expect(lastWrite()).toMatchObject({ method: 'PUT', body: { quantity: 8 } }));
    expect(api().writes.at(-2)!.body).toEqual({ condition: 'borrowed from Ash' });
  });
});

it('a thing that something stands in for is there, and still tells what else could be done', async () => {
  show(
    <App>
      <ThingNeed id="pip-die" kind={dice} quantity={8} standIn="A spinner does for a die." />
    </App>,
  );
  const need = await screen.findByRole('button', { name: '8 × pip die: A spinner does for a die. What to do' });
  expect(need.textContent).toContain('something stands in');
});

it('every thing that ships has a drawing of its own', () => {
  expect(shippedKinds.map((k) => k.id).filter((id) => !drawn.includes(id))).toEqual([]);
});
