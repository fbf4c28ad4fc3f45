// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal } from '../island.testing';
import { App } from '../shared/App';
import { WishesDialog } from './WishesDialog';

const { api, show } = islandTest();
const start = { fewerGames: false, longestWait: null, mix: true, oneLively: false, together: [], apart: [['moss', 'fern']], version: 4 };
const open = (): { closed: number } => {
  const seen = { closed: 0 };
  api()
    .on('GET /wishes', start)
    .on('GET /learners', page(['wren', 'fern', 'moss'].map((id) => learner(id))));
  show(
    <App>
      <WishesDialog onClose={() => seen.closed++} />
    </App>,
  );
  return seen;
};

describe('how we plan', () => {
  it('keeps companions, waits and few games, by keyboard alone', async () => {
    const seen = open();
    api().on('PUT /wishes', { ...start, version: 5 });
    await userEvent.click(await screen.findByLabelText(/Rather fewer different games/));
    await userEvent.click(screen.getByLabelText(/At most one lively or floor table/));
    await userEvent.selectOptions(screen.getByLabelText('Waiting for a turn, at most'), 'two thirds, as with three in turn');
    await screen.findAllByRole('option', { name: 'Wren', hidden: true });
    const add = screen.getByRole('button', { name: 'Add', hidden: true });
    expect(add).toHaveProperty('disabled', true);
    await userEvent.selectOptions(screen.getByLabelText('One child'), 'wren');
    await userEvent.selectOptions(screen.getByLabelText('Another'), 'wren');
    // Nobody is a pair alone.
    expect(add).toHaveProperty('disabled', true);
    await userEvent.selectOptions(screen.getByLabelText('Another'), 'fern');
    await userEvent.click(add);
    await userEvent.click(screen.getByRole('button', { name: 'let go of Moss and Fern', hidden: true }));
    await userEvent.click(screen.getByRole('button', { name: 'Save', hidden: true }));
    await waitFor(() => expect(seen.closed).toBe(1));
    expect(api().writes.at(-1)!.body).toEqual({
      fewerGames: true,
      longestWait: 0.67,
      mix: true,
      oneLively: true,
      together: [['wren', 'fern']],
      apart: [],
      version: 4,
    });
  });
  it('stays open with what is wrong', async () => {
    const seen = open();
    api().on('PUT /wishes', new Refusal(409, { code: 'conflict', message: 'Somebody else changed this meanwhile.' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Save', hidden: true }));
    expect(await screen.findByText('Somebody else changed this meanwhile.')).toBeTruthy();
    expect(seen.closed).toBe(0);
  });
});
