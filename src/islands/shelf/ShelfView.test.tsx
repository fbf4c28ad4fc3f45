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
    .on('GET /profiles', profiles);
};
const view = (skill: string | null = null) => show(<ShelfView text={null} skill={skill} />);
const shown = () =>
  screen
    .getAllByRole('link')
    .map((a) => a.textContent)
    .filter((t) => t === 'Two Lamps' || t === 'Levers');

describe('the shelf', () => {
  it('finds games by what they practise, whatever stands between the words, by bin and by thing', async () => {
    ready();
    view();
    const search = await screen.findByLabelText('Search the shelf');
    for (const [words, found] of [
      ['make ten', ['Two Lamps']],
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
