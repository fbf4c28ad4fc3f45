// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { AskedWire } from '../../contract/wire/recognise';
import { mechanisms } from '../../core/mechanisms/registry';
import { islandTest, page, Refusal } from '../island.testing';
import RecogniseView from './RecogniseView';

const { api, show } = islandTest();
const families = mechanisms
  .filter((m) => ['pair-memory', 'quick-look'].includes(m.id))
  .map((m) => ({
    id: m.id,
    family: m.id,
    title: m.title,
    words: m.words,
    earlyEnding: m.earlyEnding,
    told: m.told,
    parametersSchema: m.parametersSchema,
    policies: ['careful', 'typical', 'random'],
    example: { ...m.defaults },
    seats: m.seats,
  }));
const asked = (id: string, title: string, more: Partial<AskedWire> = {}): AskedWire => ({
  variant: id,
  game: `${id}-game`,
  version: 1,
  title,
  versionTitle: '',
  notes: ['flip two, keep them if they make 10'],
  things: '',
  bin: 'Blue',
  ages: [5, 7],
  players: { min: 2, max: 4 },
  minutes: 15,
  said: 'words',
  sure: true,
  guesses: [
    {
      mechanism: 'pair-memory',
      title: 'Pair memory',
      chance: 0.97,
      decided: [{ field: 1, from: 0, to: 4 }],
      parameters: {},
      twin: { game: 'two-lamps-lit', title: 'Two Lamps Lit', version: 'tens', versionTitle: 'tens', differs: [] },
      practice: [{ skill: 'pairs-of-10', perTenMinutes: 7 }],
    },
    { mechanism: 'quick-look', title: 'Quick look', chance: 0.02, decided: [], parameters: {}, twin: null, practice: [] },
  ],
  skills: [{ skill: 'pairs-of-10', title: 'Pairs of ten', decided: [] }],
  ...more,
});
const story = {
  turns: 4,
  minutes: 5,
  winner: 0,
  scores: [1, 0],
  events: [
    { kind: 'turn', seat: 0, options: 1 },
    { kind: 'told', seat: 0, sentence: 2, x: 7, y: 4 },
    { kind: 'told', seat: 1, sentence: 1, x: 6, y: 4 },
  ],
};
const put = (...rows: AskedWire[]): void => {
  api()
    .on('GET /mechanisms', page(families))
    .on('GET /recognise', { ...page(rows), sure: rows.filter((r) => r.sure).length })
    .on('POST /stories', story);
};
const known = (id: string): unknown => api().writes.find((w) => w.path === `/variants/${id}/known`)?.body;
beforeEach(() => {
  for (const id of ['a', 'b', 'c']) api().on(`POST /variants/${id}/known`, { id, version: 2, change: `change-${id}` });
});

describe('how is each played?', () => {
  it('shows her words, what decided, one turn with its numbers and what follows', async () => {
    put(asked('a', 'Make ten pairs'));
    show(<RecogniseView />);
    expect(await screen.findByText('Two Lamps Lit, tens')).toBeTruthy();
    expect(document.querySelector('mark')?.textContent).toBe('flip');
    expect(screen.getByText('Sure.')).toBeTruthy();
    expect(await screen.findByText(/turns over 7 and 4: not a pair/)).toBeTruthy();
    expect(screen.getByText(/a child meets about 7 × pairs of ten/)).toBeTruthy();
  });

  it('takes Enter for yes and asks the next one; answered rows stay where they were', async () => {
    put(asked('a', 'Make ten pairs'), asked('b', 'Dot flash'));
    show(<RecogniseView />);
    await screen.findByText('Two Lamps Lit, tens');
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(known('a')).toEqual({ version: 1, mechanism: 'pair-memory', parameters: {} }));
    expect(screen.getByRole('heading', { name: 'Dot flash' })).toBeTruthy();
    const rows = within(screen.getByRole('list', { name: 'Rows in order' })).getAllByRole('button');
    expect(rows.map((r) => r.textContent)).toEqual(['Make ten pairsanswered', 'Dot flashto do']);
  });

  it('takes another proposal by its number', async () => {
    put(asked('a', 'Dot flash'));
    show(<RecogniseView />);
    await screen.findByText('Two Lamps Lit, tens');
    await userEvent.keyboard('2');
    expect(screen.getByText('Perhaps.')).toBeTruthy();
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(known('a')).toMatchObject({ mechanism: 'quick-look' }));
    expect(await screen.findByText('That was the last one')).toBeTruthy();
  });

  it('puts off with L, and takes the last answer back with Z', async () => {
    put(asked('a', 'One'), asked('b', 'Two'));
    api().on('POST /undo', { undone: 'change-b', what: 'x' });
    show(<RecogniseView />);
    await screen.findByRole('heading', { name: 'One' });
    await userEvent.keyboard('l');
    await screen.findByRole('heading', { name: 'Two' });
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(known('b')).toBeDefined());
    await userEvent.keyboard('z');
    await waitFor(() => expect(api().writes.find((w) => w.path === '/undo')?.body).toEqual({ change: 'change-b' }));
    expect(await screen.findByRole('heading', { name: 'Two' })).toBeTruthy();
  });

  it('brings a row back with the reason when it could not be taken', async () => {
    put(asked('a', 'One'));
    api().on('POST /variants/a/known', new Refusal(409, { code: 'conflict', message: 'Somebody else changed it.' }));
    show(<RecogniseView />);
    await screen.findByRole('heading', { name: 'One' });
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByText('Somebody else changed it.')).toBeTruthy();
    expect(screen.getByRole('button', { name: /Yes, that is it/ })).toBeTruthy();
  });

  it('asks in pictures at once where no family speaks, and takes the owner’s word on what it teaches', async () => {
    put(asked('c', 'Tangram', { guesses: [], sure: false }));
    show(<RecogniseView />);
    expect(await screen.findByText(/No family of ours speaks/)).toBeTruthy();
    expect(await screen.findByRole('region', { name: 'How is it played?' }, { timeout: 10_000 })).toBeTruthy();
    await userEvent.keyboard('s');
    await userEvent.click(await screen.findByRole('button', { name: 'Save' }));
    await waitFor(() => expect(known('c')).toEqual({ version: 1, declared: [{ skill: 'pairs-of-10' }] }));
  });

  it('opens the picture questions filled in, and the numbers as read', async () => {
    put(asked('a', 'Make ten pairs', { guesses: [{ ...asked('a', '').guesses[0]!, parameters: { sum: 9 } }] }));
    show(<RecogniseView />);
    await screen.findByText('Two Lamps Lit, tens');
    await userEvent.keyboard('p');
    const pictures = await screen.findByRole('region', { name: 'How is it played?' }, { timeout: 10_000 });
    expect(within(pictures).getAllByRole('button', { pressed: true })).toHaveLength(5);
    await userEvent.click(screen.getByRole('button', { name: 'Back to the proposal' }));
    await userEvent.keyboard('n');
    const sum = (await screen.findAllByRole('spinbutton')).find((f) => (f as HTMLInputElement).value === '9');
    expect(sum).toBeDefined();
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(known('a')).toMatchObject({ parameters: { sum: 9 } }));
  });

  it('says so when nothing is left to ask', async () => {
    put();
    show(<RecogniseView />);
    expect(await screen.findByText('Every game has been answered')).toBeTruthy();
  });
  it('leaves letters alone where single keys are switched off; Enter is no letter', async () => {
    localStorage.setItem('zeitgeber.single-keys', 'off');
    put(asked('a', 'One'), asked('b', 'Two'));
    show(<RecogniseView />);
    await screen.findByRole('heading', { name: 'One' });
    await userEvent.keyboard('l');
    expect(screen.getByRole('heading', { name: 'One' })).toBeTruthy();
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByRole('heading', { name: 'Two' })).toBeTruthy();
    localStorage.removeItem('zeitgeber.single-keys');
  });
});
