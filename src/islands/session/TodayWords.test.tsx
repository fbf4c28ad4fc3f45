// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { islandTest, session } from '../island.testing';
import { App } from '../shared/App';
import type { Easing } from './Missing';
import { TodayWords } from './TodayWords';

const { api, show } = islandTest();
const wishes = { fewerGames: false, longestWait: null, mix: false, oneLively: false, together: [], apart: [['fern', 'moss']], version: 4 };
const open = async (onAgain: (easing: Easing) => void): Promise<void> => {
  const plan = session();
  show(
    <App>
      <TodayWords
        plan={{ ...plan, request: { ...plan.request, present: ['wren', 'fern', 'moss'], withoutGames: ['levers'] } }}
        table={{
          game: 'two-lamps',
          seats: [
            { learner: 'wren', variant: 'tens' },
            { learner: 'fern', variant: 'tens' },
          ],
        }}
        nickname={(id) => id[0]!.toUpperCase() + id.slice(1)}
        gameTitle={() => 'Two Lamps'}
        busy={false}
        onAgain={onAgain}
      />
    </App>,
  );
  await userEvent.click(screen.getByText('Something is otherwise today'));
};

describe('what is otherwise today, as words', () => {
  it('says who is absent, and which game is not wanted beside those that are not', async () => {
    const again = vi.fn();
    await open(again);
    await userEvent.click(screen.getByRole('button', { name: 'Wren is absent today' }));
    expect(again).toHaveBeenLastCalledWith({ present: ['fern', 'moss'] });
    await userEvent.click(screen.getByRole('button', { name: 'Not Two Lamps today' }));
    expect(again).toHaveBeenLastCalledWith({ withoutGames: ['levers', 'two-lamps'] });
    await userEvent.click(screen.getByRole('button', { name: 'every game again' }));
    expect(again).toHaveBeenLastCalledWith({ withoutGames: [] });
  });
  it('keeps two apart from now on, each pair once', async () => {
    const again = vi.fn();
    api().on('GET /wishes', wishes).on('PUT /wishes', wishes);
    await open(again);
    await userEvent.selectOptions(screen.getByLabelText('One of them'), 'Wren');
    await userEvent.selectOptions(screen.getByLabelText('The other'), 'Fern');
    await userEvent.click(screen.getByRole('button', { name: 'Not together, from now on' }));
    await waitFor(() => expect(again).toHaveBeenCalledWith({}));
    expect(api().writes.find((w) => w.path === '/wishes')!.body).toMatchObject({
      version: 4,
      apart: [
        ['fern', 'moss'],
        ['fern', 'wren'],
      ],
    });
  });
});
