// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { game, islandTest, page, Refusal, variant } from '../island.testing';
import ShelfView from './ShelfView';

const { api, show, gone } = islandTest();

const profile = (v: string, of: string, more: object = {}) => ({
  variant: v,
  game: of,
  source: 'calculated',
  minutes: 12,
  doses: [{ skill: 'make-ten', perTenMinutes: 14 }],
  ...more,
});
const ready = (profiles: object = { ...page([profile('tens', 'two-lamps')]), measuring: null }): void => {
  api()
    .on('GET /games', page([game('two-lamps'), game('levers', { bin: 'blue' })]))
    .on('GET /variants', page([variant('tens', 'two-lamps'), variant('small', 'levers', { mechanism: null, materials: [] })]))
    .on(
      'GET /bins',
      page([
        { id: 'green', title: 'Green bin' },
        { id: 'blue', title: 'Blue bin' },
      ]),
    )
    .on('GET /kinds', page([{ id: 'pair-cards', title: 'Pair cards', quantity: 0, plentiful: false, smallParts: false, caution: null }]))
    .on('GET /profiles', profiles)
    .on('GET /recognise', { items: [], total: 0, sure: 0 })
    .on('GET /look-alike', { items: [] });
};
const view = (skill: string | null = null) => show(<ShelfView text={null} skill={skill} />);
const shown = () =>
  screen
    .getAllByRole('link')
    .map((a) => a.textContent)
    .filter((t) => t === 'Two Lamps' || t === 'Levers');

describe('the shelf', () => {
  it('asks the machine what words mean, in its order, and says by which step it is sorted', async () => {
    ready();
    api().on('GET /search', {
      steps: [{ skill: 'pairs-of-10', title: 'Pairs of ten' }],
      items: [
        { game: 'levers', variant: 'small', skill: 'pairs-of-10', perTenMinutes: 9 },
        { game: 'two-lamps', variant: 'tens' },
      ],
    });
    view();
    await userEvent.type(await screen.findByLabelText('Search the shelf'), 'bonds to 10');
    await waitFor(() => expect(shown()).toEqual(['Levers', 'Two Lamps']));
    await userEvent.click(screen.getByRole('button', { name: 'Pairs of ten' }));
    expect(screen.getByRole('button', { name: 'Pairs of ten ×' })).toBeTruthy();
  });
  it('opens at the bin whose label was read', async () => {
    ready();
    show(<ShelfView text={null} skill={null} bin="blue" />);
    await screen.findByLabelText('Search the shelf');
    await waitFor(() => expect(shown()).toEqual(['Levers']));
    expect(screen.getByRole('button', { name: /^Blue bin/ }).getAttribute('aria-pressed')).toBe('true');
  });
  it('looks in what is shown until the machine has answered: by name, step, bin and thing', async () => {
    ready();
    api().on('GET /search', () => new Promise(() => undefined));
    view();
    const search = await screen.findByLabelText('Search the shelf');
    for (const [words, found] of [
      ['make-ten', ['Two Lamps']],
      ['Blue bin', ['Levers']],
      ['pair cards', ['Two Lamps']],
      ['lev', ['Levers']],
    ] as const) {
      await userEvent.clear(search);
      await userEvent.type(search, words);
      await waitFor(() => expect([words, shown()]).toEqual([words, found]));
    }
    await userEvent.type(search, ' zebra');
    expect(screen.queryByRole('link', { name: 'Levers' })).toBeNull();
  });
  it('leaves out what is not for that age, number or length, or whose things are not here', async () => {
    ready();
    api().on(
      'GET /variants',
      page([
        variant('tens', 'two-lamps', { ages: [5, 7] }),
        variant('small', 'levers', { mechanism: null, materials: [], ages: [8, 10], helper: 'needed' }),
      ]),
    );
    view();
    await userEvent.selectOptions(await screen.findByLabelText('age'), '6 years, grade 1');
    expect(shown()).toEqual(['Two Lamps']);
    await userEvent.click(screen.getByRole('button', { name: 'show all ×' }));
    await userEvent.click(screen.getByLabelText('things at hand'));
    expect(shown()).toEqual(['Levers']);
    await userEvent.click(screen.getByLabelText('runs alone'));
    expect(screen.queryByRole('link', { name: 'Levers' })).toBeNull();
  });
  it('leaves out practice, and what is not quiet, where that is asked', async () => {
    ready();
    api().on(
      'GET /variants',
      page([
        variant('tens', 'two-lamps', { mechanism: 'fact-wheel' }),
        variant('small', 'levers', { mechanism: 'track-race', room: 'floor' }),
      ]),
    );
    view();
    await userEvent.click(await screen.findByLabelText('no practice'));
    expect(shown()).toEqual(['Levers']);
    await userEvent.click(screen.getByLabelText('no practice'));
    await userEvent.click(screen.getByLabelText('quiet'));
    expect(shown()).toEqual(['Two Lamps']);
  });
  it('makes one game of two that look alike', async () => {
    ready();
    api()
      .on('GET /look-alike', { items: [{ first: 'two-lamps', firstTitle: 'Two Lamps', second: 'levers', secondTitle: 'Two Lampes' }] })
      .on('POST /games/two-lamps/merge', { id: 'two-lamps', change: 'c1' });
    view();
    await userEvent.click(await screen.findByText(/Two games look like one/));
    await userEvent.click(screen.getByRole('button', { name: 'One game: Two Lamps' }));
    await waitFor(() => expect(api().writes.at(-1)).toMatchObject({ path: '/games/two-lamps/merge', body: { other: 'levers' } }));
    expect(await screen.findByText('They are one game now.')).toBeTruthy();
  });
  it('moves or puts away several games at once', async () => {
    ready();
    api().on('POST /games/together', { id: 'two-lamps', change: 'c1' });
    view();
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Choose Two Lamps' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Choose Levers' }));
    await userEvent.selectOptions(screen.getByLabelText('Move to'), 'Blue bin');
    await waitFor(() => expect(api().writes.at(-1)!.body).toEqual({ games: ['two-lamps', 'levers'], bin: 'Blue bin' }));
    expect(await screen.findByText('2 games moved to Blue bin.')).toBeTruthy();
    expect(screen.queryByRole('group', { name: 'With the chosen games' })).toBeNull();
    await userEvent.click(screen.getByRole('checkbox', { name: 'Choose Levers' }));
    await userEvent.click(screen.getByRole('button', { name: 'Put away' }));
    await waitFor(() => expect(api().writes.at(-1)!.body).toEqual({ games: ['levers'], away: true }));
  });
  it('folds the versions of a game under it, unfolds them, and finds a game by its unit', async () => {
    ready();
    api()
      .on('GET /games', page([game('two-lamps', { tags: ['unit 3'] }), game('levers', { bin: 'blue' })]))
      .on('GET /variants', page([variant('tens', 'two-lamps'), variant('twenties', 'two-lamps'), variant('small', 'levers')]))
      .on('POST /games/together', { id: 'levers', change: 'c1' });
    view();
    await userEvent.click(await screen.findByRole('button', { name: 'and 1 more version' }));
    expect(shown()).toEqual(['Two Lamps', 'Two Lamps', 'Levers']);
    await userEvent.click(screen.getByRole('button', { name: 'fold its versions' }));
    expect(shown()).toEqual(['Two Lamps', 'Levers']);
    await userEvent.click(screen.getByRole('button', { name: 'unfold all' }));
    expect(shown()).toHaveLength(3);
    await userEvent.selectOptions(screen.getByLabelText('tag'), 'unit 3');
    expect(shown()).toEqual(['Two Lamps', 'Two Lamps']);
    await userEvent.selectOptions(screen.getByLabelText('tag'), '');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Choose Levers' }));
    await userEvent.type(screen.getByLabelText('Tag for all of them'), 'winter');
    await userEvent.click(screen.getByRole('button', { name: 'Tag' }));
    await waitFor(() => expect(api().writes.at(-1)!.body).toEqual({ games: ['levers'], tag: 'winter' }));
  });
  it('shows nothing as true before it is known', async () => {
    ready();
    api().on('GET /kinds', () => new Promise(() => undefined));
    view();
    expect(await screen.findByText('Opening the bins …')).toBeTruthy();
    expect(screen.queryByText(/steps have no game yet/)).toBeNull();
  });
  it('says that versions are being played, and that one cannot be', async () => {
    ready({
      ...page([
        profile('tens', 'two-lamps', { source: 'measuring', doses: [] }),
        profile('small', 'levers', { source: 'faulty', doses: [] }),
      ]),
      measuring: { job: 'j', left: 1 },
    });
    view();
    expect(await screen.findByText(/1 version is being played by the machine/)).toBeTruthy();
    expect(screen.getByText(/cannot be played as it stands/)).toBeTruthy();
  });
  it('walks over its dots by arrows, with one stop', async () => {
    ready();
    view();
    const dots = await waitFor(() => {
      const all = document.querySelectorAll<SVGGElement>('[data-skill]');
      expect(all.length).toBeGreaterThan(150);
      return all;
    });
    expect([...dots].filter((d) => d.getAttribute('tabindex') === '0')).toHaveLength(1);
    dots[0]!.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowLeft}');
    expect((document.activeElement as unknown as SVGGElement).dataset['skill']).toBe(dots[1]!.dataset['skill']);
    await userEvent.keyboard('{Enter}');
    expect(screen.getByRole('button', { name: /×$/ })).toBeTruthy();
  });
  it('that is empty says how to begin, and what went wrong with an undo', async () => {
    api().on('POST /undo', new Refusal(404, { code: 'not-found', message: 'There is nothing to undo.' }));
    api().on('GET /look-alike', { items: [] }).on('GET /recognise', { items: [], total: 0, sure: 0 });
    view();
    expect(await screen.findByText('The shelf is empty')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Undo last change' }));
    expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
    expect(gone()).toBeNull();
  });
  it('opened for a skill shows its games, that skill first', async () => {
    ready({
      ...page([
        profile('tens', 'two-lamps', {
          doses: [
            { skill: 'add-in-20', perTenMinutes: 20 },
            { skill: 'make-ten', perTenMinutes: 4 },
          ],
        }),
      ]),
      measuring: null,
    });
    view('make-ten');
    await screen.findByRole('link', { name: 'Two Lamps' });
    expect(within(screen.getAllByRole('row')[1]!).getAllByText(/^\d+$/)[0]!.textContent).toBe('4');
    expect(shown()).toEqual(['Two Lamps']);
  });
});
