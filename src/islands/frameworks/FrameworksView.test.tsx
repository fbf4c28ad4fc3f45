// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, page, Refusal } from '../island.testing';
import FrameworksView from './FrameworksView';

const { api, show } = islandTest();

const framework = (id: string, more: object = {}) => ({
  id,
  title: `Framework ${id}`,
  creator: 'Somebody',
  notes: '',
  licence: null,
  shipped: true,
  expectations: 12,
  tied: 3,
  ...more,
});
const found = {
  committed: false,
  id: 'valley',
  title: 'Valley Schools',
  creator: 'The valley',
  expectations: 2,
  remarks: ['One tie leads out of the package.'],
  sample: [{ code: 'V.1', statement: 'Counts to ten.', band: null }],
};
const file = () => new File(['{"CFDocument":{}}'], 'valley.json', { type: 'application/json' });

describe('frameworks', () => {
  it('are looked at before anything is changed, and then come in', async () => {
    api()
      .on('GET /frameworks', page([framework('us')]))
      .on('POST /imports/framework', (body: { commit?: boolean }) => ({ ...found, committed: body.commit === true }));
    show(<FrameworksView />);
    await userEvent.upload(await screen.findByLabelText('CASE file'), file());
    expect(await screen.findByText('One tie leads out of the package.')).toBeTruthy();
    expect(api().writes.map((w) => (w.body as { commit?: boolean }).commit)).toEqual([undefined]);
    await userEvent.click(screen.getByRole('button', { name: 'Bring it in' }));
    expect(await screen.findByText(/Valley Schools is here/)).toBeTruthy();
    expect(api().writes.at(-1)!.body).toEqual({ text: '{"CFDocument":{}}', commit: true });
  });
  it('say what is wrong with a file, and where', async () => {
    api()
      .on('GET /frameworks', page([framework('us')]))
      .on('POST /imports/framework', new Refusal(422, { code: 'malformed', message: 'Item 3 has no statement.', field: 'CFItems' }));
    show(<FrameworksView />);
    await userEvent.upload(await screen.findByLabelText('CASE file'), file());
    expect((await screen.findByRole('alert')).textContent).toBe('Item 3 has no statement.');
    expect(screen.queryByRole('button', { name: 'Bring it in' })).toBeNull();
  });
  it('that ship cannot be taken away; one’s own can, and back', async () => {
    api()
      .on('GET /frameworks', page([framework('us'), framework('valley', { shipped: false })]))
      .on('DELETE /frameworks/valley', { change: 'c1' });
    show(<FrameworksView />);
    const own = await screen.findByRole('tab', { name: /Framework valley/ });
    expect(screen.queryByRole('button', { name: 'Take it away' })).toBeNull();
    await userEvent.click(own);
    await userEvent.click(screen.getByRole('button', { name: 'Take it away' }));
    await waitFor(() => expect(screen.getByText('Taken away, with its ties.')).toBeTruthy());
    expect(screen.getByRole('button', { name: /undo/i })).toBeTruthy();
  });
});
