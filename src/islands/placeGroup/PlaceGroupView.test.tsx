// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal } from '../island.testing';
import PlaceGroupView from './PlaceGroupView';

const { api, show } = islandTest();
const two = (): void => void api().on('GET /learners', page([learner('wren'), learner('fern')]));
const press = async (name: string | RegExp): Promise<void> => userEvent.click(await screen.findByRole('button', { name }));

describe('placing a group', () => {
  it('lays names along a line, the next at hand at once, and sends one question each', async () => {
    two();
    api().on('POST /evidence/batch', { ids: ['a', 'b'] });
    show(<PlaceGroupView />);
    await press('Wren');
    await press('Lay Wren at Make a ten on the way');
    // Fern is taken up by itself.
    await press('Lay Fern at Add within ten');
    await press('Save 2 names');
    await waitFor(() => expect(api().writes.filter((w) => w.path === '/evidence/batch')).toHaveLength(1));
    expect(api().writes[0]!.body).toEqual({
      items: [
        { learner: 'wren', kind: 'placement', skill: 'make-ten', result: 'alone', by: { role: 'organiser' } },
        { learner: 'fern', kind: 'placement', skill: 'add-in-10', result: 'alone', by: { role: 'organiser' } },
      ],
    });
    expect(api().writes[0]!.key).toBeTruthy();
    expect(await screen.findByRole('button', { name: 'Save 0 names' })).toHaveProperty('disabled', true);
  });
  it('keeps what was laid when the page is left, and takes a name off again', async () => {
    two();
    const first = show(<PlaceGroupView />);
    await press('Wren');
    await press('Lay Wren at Make a ten on the way');
    first.unmount();
    show(<PlaceGroupView />);
    expect(await screen.findByRole('button', { name: 'Save 1 name' })).toHaveProperty('disabled', false);
    await press('Wren');
    await press('take Wren off the line');
    expect(within(screen.getByRole('region', { name: 'Names not laid yet' })).getByRole('button', { name: 'Wren' })).toBeTruthy();
  });
  it('keeps the names when they cannot be saved, and says why', async () => {
    two();
    api().on('POST /evidence/batch', new Refusal(507, { code: 'no-room', message: 'There is no room left on the disk.' }));
    show(<PlaceGroupView />);
    await press('Wren');
    await press('Lay Wren at Make a ten on the way');
    await press('Save 1 name');
    expect(await screen.findByText('There is no room left on the disk.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save 1 name' })).toHaveProperty('disabled', false);
  });
  it('without anybody leads to the learners', async () => {
    api().on('GET /learners', page([]));
    show(<PlaceGroupView />);
    expect((await screen.findByRole('link', { name: 'To the learners' })).getAttribute('href')).toContain('/learners');
  });
});
