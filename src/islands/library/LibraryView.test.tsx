// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, page, Refusal, thing } from '../island.testing';
import { asWritten } from '../../contract/countries';
import { howToWire } from '../../contract/howToOf';
import { mechanismById } from '../../core/mechanisms/registry';
import LibraryView from './LibraryView';

const { api, show, gone } = islandTest();

const entry = (id: string, title: string, more: object = {}) => ({
  id,
  title,
  bin: 'Green bin',
  plays: 'Pair memory',
  story: 'The lamps are out.',
  onShelf: false,
  sort: 'game',
  mood: 'calm',
  variants: [
    {
      id: 'tens',
      title: 'tens',
      ages: [5, 8],
      players: { min: 2, max: 4 },
      minutes: 12,
      materials: [{ kind: 'pair-cards', quantity: 1 }],
      missing: [],
      standIns: [],
      picture: { draw: 'cards', values: [3, null] },
      presence: { is: 'alone', for: '' },
      first: id === 'a',
      profile: { doses: [['make-ten', 9, 0.1]], mix: [['add', 1]], minutes: [8, 12, 16], games: 512, seats: 3, idleTurns: 0 },
    },
  ],
  ...more,
});

describe('the library', () => {
  it('is searched by meaning and age, and a game is taken with an undo', async () => {
    api()
      .on('GET /library', page([entry('a', 'Two Lamps'), entry('b', 'Levers', { variants: [] })]))
      .on('POST /library/a/take', { id: 'a', change: 'c1' })
      .on('POST /undo', { undone: 'c1', what: 'took Two Lamps' });
    show(<LibraryView text={null} />);
    await userEvent.type(await screen.findByLabelText('Search the library'), 'make-ten');
    expect(screen.getByText('Two Lamps')).toBeTruthy();
    expect(screen.queryByText('Levers')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take it: Two Lamps' }));
    const notice = within((await screen.findByText('Two Lamps is on your shelf.')).parentElement!);
    await userEvent.click(notice.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(api().writes.map((w) => w.path)).toEqual(['/library/a/take', '/undo']));
    await userEvent.click(screen.getByRole('button', { name: 'grade 6' }));
    expect(screen.getByText(/Nothing in the library fits/)).toBeTruthy();
    expect(gone()).toBeNull();
  });
  it('shows what a game needs, and only those that can be played with what is there', async () => {
    const needy = entry('b', 'Levers');
    const away = [{ kind: 'fact-wheel', quantity: 2 }];
    api()
      .on(
        'GET /library',
        page([entry('a', 'Two Lamps'), { ...needy, variants: needy.variants.map((v) => ({ ...v, materials: away, missing: away })) }]),
      )
      .on('GET /kinds', page([thing('fact-wheel', { title: 'Fact wheel', state: 'none', quantity: 0 })]));
    show(<LibraryView text={null} />);
    expect(await screen.findByRole('button', { name: '2 × fact wheel: missing. What to do' })).toBeTruthy();
    await userEvent.click(screen.getByLabelText('with what we have'));
    expect(screen.getByText('Two Lamps')).toBeTruthy();
    expect(screen.queryByText('Levers')).toBeNull();
  });
  it('folds its choices where there is little room, until they are asked for', async () => {
    api().on('GET /library', page([entry('a', 'Two Lamps')]));
    show(<LibraryView text={null} />);
    const more = await screen.findByRole('button', { name: /^Choose by grade/ });
    expect(more.getAttribute('aria-expanded')).toBe('false');
    await userEvent.click(more);
    expect(screen.getByRole('button', { name: 'Fewer choices' }).getAttribute('aria-expanded')).toBe('true');
  });
  it('is chosen from by grade, mood, length and for a beginning, and shows all again in one click', async () => {
    const lively = entry('b', 'Storm', { mood: 'lively' });
    const practice = entry('c', 'Milestones', { sort: 'practice' });
    api().on('GET /library', page([entry('a', 'Two Lamps'), lively, practice]));
    show(<LibraryView text={null} />);
    const names = () => screen.getAllByRole('article').map((a) => a.getAttribute('aria-label'));
    expect((await screen.findAllByRole('article')).length).toBe(2);
    await userEvent.click(screen.getByRole('button', { name: 'practice' }));
    await waitFor(() => expect(names()).toEqual(['Milestones']));
    await userEvent.click(screen.getByRole('button', { name: 'both' }));
    await userEvent.click(screen.getByRole('button', { name: 'calm' }));
    await waitFor(() => expect(names()).toEqual(['Two Lamps', 'Milestones']));
    await userEvent.click(screen.getByRole('button', { name: 'First thirty' }));
    await waitFor(() => expect(names()).toEqual(['Two Lamps']));
    // Nine of ten plays end in sixteen minutes, so it does not fit fifteen.
    await userEvent.selectOptions(screen.getByLabelText('Minutes'), '15');
    expect(await screen.findByText(/Nothing in the library fits/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Show all' }));
    await waitFor(() => expect(names()).toEqual(['Two Lamps', 'Storm']));
    await userEvent.click(screen.getByRole('button', { name: 'grade 1' }));
    await userEvent.click(screen.getByRole('button', { name: 'grade 5' }));
    await waitFor(() => expect(names()).toHaveLength(2));
    await userEvent.click(screen.getByRole('button', { name: 'grade 1' }));
    expect(await screen.findByText(/Nothing in the library fits/)).toBeTruthy();
  });
  it('finds by grade what is practised there, not who may play it, shows the version that has most of it, and counts what fits', async () => {
    const two = entry('a', 'Two Lamps', { mood: 'calm' });
    const at = (id: string, ages: number[], doses: [string, number, number][]) => ({
      ...two.variants[0]!,
      id,
      title: id,
      ages,
      first: false,
      profile: { ...two.variants[0]!.profile, doses },
    });
    const version = [
      at('ones', [9, 12], [['add-in-5', 9, 0.1]]),
      at('few', [5, 8], [['decimal-compare', 2, 0.1]]),
      at('many', [5, 8], [['decimal-compare', 6, 0.1]]),
      at('hardly', [5, 8], [['decimal-compare', 0.4, 0.1]]),
    ];
    api().on('GET /library', page([{ ...two, variants: version }]));
    show(<LibraryView text={null} />);
    const found = (await screen.findByText(/games fit/)).closest('p')!;
    expect(found.textContent).toContain('1 of 1 games fit, 4 versions.');
    await userEvent.click(screen.getByRole('button', { name: 'grade 4' }));
    await waitFor(() => expect(found.textContent).toContain('1 of 1 games fit, 2 versions.'));
    expect(within(screen.getByRole('article')).getByText('many')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'grade 4' }));
    await userEvent.click(screen.getByRole('button', { name: 'grade K' }));
    await waitFor(() => expect(found.textContent).toContain('1 of 1 games fit, 1 version.'));
    expect(within(screen.getByRole('article')).getByText('ones')).toBeTruthy();
  });
  it('lets a turn be tried before a game is taken, version by version', async () => {
    const two = entry('a', 'Two Lamps', { mechanism: 'pair-memory' });
    const nines = { ...two.variants[0]!, id: 'nines', title: 'nines', parameters: { sum: 9 } };
    const told = (parameters: object) => howToWire(mechanismById('pair-memory')!, parameters, 3, [5, 8], (k) => k, asWritten);
    api()
      .on('GET /library', page([{ ...two, variants: [{ ...two.variants[0]!, parameters: {} }, nines] }]))
      .on('POST /how-to', (body: unknown) => told((body as { parameters: object }).parameters));
    show(<LibraryView text={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Try a turn: Two Lamps' }));
    const sheet = within(await screen.findByRole('dialog'));
    expect(await sheet.findByText(/if the two make 10/)).toBeTruthy();
    expect(sheet.getByText('The lamps are out.')).toBeTruthy();
    await userEvent.click(sheet.getByRole('button', { name: 'nines' }));
    expect(await sheet.findByText(/if the two make 9/)).toBeTruthy();
  });
  it('says why a game was not taken', async () => {
    api()
      .on('GET /library', page([entry('a', 'Two Lamps')]))
      .on('POST /library/a/take', new Refusal(422, { code: 'duplicate', message: 'Two Lamps is on the shelf already.' }));
    show(<LibraryView text="two" />);
    await userEvent.click(await screen.findByRole('button', { name: 'Take it: Two Lamps' }));
    expect(await screen.findByText('Two Lamps is on the shelf already.')).toBeTruthy();
  });
});
