// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { GameDialog } from '../shelf/GameDialog';
import { game, islandTest, page, Refusal } from '../island.testing';
import { App } from './App';

const { api, show } = islandTest();
const bins = [{ id: 'top', title: 'Top shelf', position: 1 }];
const opened = game('lamps', { title: 'Lamps', notes: 'old', condition: '', bin: 'top', version: 3 });
const conflict = new Refusal(409, { code: 'conflict', message: 'Somebody changed this in the meantime. Look at both and save again.' });

function clashing(now: Partial<typeof opened>) {
  const [closed, saved] = [vi.fn(), vi.fn()];
  let first = true;
  api()
    .on('GET /bins', page(bins))
    .on('GET /games/lamps', { ...opened, version: 4, ...now })
    .on('PATCH /games/lamps', () => {
      const answer = first ? conflict : { id: 'lamps', version: 5, change: 'c' };
      first = false;
      return answer;
    });
  const dialog = (version: number) => (
    <App>
      <GameDialog game={{ ...opened, version }} bins={bins} onClose={closed} onSaved={saved} />
    </App>
  );
  const { rerender } = show(dialog(3));
  return { closed, saved, readAnew: () => rerender(dialog(4)) };
}
const write = async (label: string, text: string): Promise<void> => {
  await userEvent.clear(screen.getByLabelText(label));
  await userEvent.type(screen.getByLabelText(label), text);
};
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save', hidden: true }));
const sent = () => api().writes.map((w) => w.body as Record<string, unknown>);
const choose = (name: string) => userEvent.click(screen.getByRole('button', { name, hidden: true }));

/** A line whose first word is set apart. */
const line = (text: string) => (_: string, element: Element | null) => element?.tagName === 'DD' && element.textContent === text;

describe('two at one form', () => {
  it('who changed the same are shown side by side, and keeping one’s own keeps the rest of theirs', async () => {
    const { saved } = clashing({ notes: 'theirs', condition: 'worn' });
    await write('Notes', 'mine');
    await save();
    expect(await screen.findByText(line('theirs: theirs'))).toBeTruthy();
    expect(screen.getByText(line('yours: mine'))).toBeTruthy();
    expect(screen.queryByText(line('yours: nothing'))).toBeNull();
    await choose('Keep mine');
    await waitFor(() => expect(saved).toHaveBeenCalledWith('lamps', 'c'));
    expect(sent()[0]).toMatchObject({ notes: 'mine', version: 3 });
    expect(sent()[1]).toMatchObject({ notes: 'mine', condition: 'worn', bin: 'Top shelf', version: 4 });
  });
  it('who changed other things both keep theirs', async () => {
    clashing({ condition: 'worn' });
    await write('Notes', 'mine');
    await save();
    expect(await screen.findByText(/changed other things here/)).toBeTruthy();
    await choose('Keep both');
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent()[1]).toMatchObject({ notes: 'mine', condition: 'worn', version: 4 });
  });
  it('may take what stands, and nothing more is sent', async () => {
    const { closed } = clashing({ notes: 'theirs' });
    await write('Notes', 'mine');
    await save();
    await screen.findByText(line('theirs: theirs'));
    await choose('Take theirs');
    expect(closed).toHaveBeenCalled();
    expect(sent()).toHaveLength(1);
  });
  it('what the page read since does not make an old form a new one', async () => {
    const { readAnew } = clashing({ notes: 'theirs' });
    await write('Notes', 'mine');
    readAnew();
    await save();
    await waitFor(() => expect(sent()[0]).toMatchObject({ version: 3 }));
  });
});
