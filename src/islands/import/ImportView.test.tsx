// @vitest-environment jsdom
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderToString } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { islandTest, Refusal } from '../island.testing';
import ImportView from './ImportView';

const { api, show, gone } = islandTest();
beforeEach(() => localStorage.clear());

const file = (name = 'list.csv') => new File(['nickname,born\nWren,2018-09\n'], name, { type: 'text/csv' });
const preview = (more: object = {}) => ({
  committed: false,
  tables: [],
  drafts: [{ row: 2, nickname: 'Wren', born: '2018-09', bornFrom: 'month', framework: 'us', group: '' }],
  problems: [],
  remarks: [],
  added: 0,
  ...more,
});

describe('bringing a file in', () => {
  it('looks first, then brings all of it in, each time with a key of its own', async () => {
    api().on('POST /imports/roster', (body: { commit?: boolean }) => (body.commit ? preview({ committed: true, added: 1 }) : preview()));
    show(<ImportView kind="roster" />);
    await userEvent.upload(screen.getByLabelText('File'), file());
    expect(await screen.findByText('Wren')).toBeTruthy();
    expect(api().writes.map((w) => [(w.body as { commit?: boolean }).commit, w.key])).toEqual([[undefined, null]]);
    await userEvent.click(screen.getByRole('button', { name: /Bring everybody in/ }));
    await waitFor(() => expect(api().writes).toHaveLength(2));
    expect(api().writes[1]).toMatchObject({ key: expect.any(String), body: { commit: true } });
  });
  it('takes a file that was chosen before the page came to life', async () => {
    api().on('POST /imports/roster', preview());
    const box = document.createElement('div');
    document.body.append(box);
    box.innerHTML = renderToString(<ImportView kind="roster" />);
    await userEvent.upload(box.querySelector('input')!, file());
    expect(api().writes).toHaveLength(0);
    const { unmount } = render(<ImportView kind="roster" />, { container: box, hydrate: true });
    expect(await screen.findByText('Wren')).toBeTruthy();
    unmount();
    box.remove();
  });
  it('tells every fault by row and offers nothing to bring in', async () => {
    api().on(
      'POST /imports/roster',
      preview({ problems: [{ code: 'malformed', row: 3, field: 'born', message: 'Row 3, born: "5" is not a month.' }] }),
    );
    show(<ImportView kind="roster" />);
    await userEvent.upload(screen.getByLabelText('File'), file());
    expect(within(await screen.findByRole('alert')).getByText(/Row 3, born/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Bring everybody in/ })).toBeNull();
  });
  it('leaves the rows out that need mending, where that is wanted', async () => {
    const row = {
      row: 2,
      game: 'Moss Race',
      variant: 'as it comes',
      bin: 'Unsorted',
      ages: [4, 12],
      players: [2, 4],
      minutes: 12,
      materials: [],
      source: 'made',
      condition: '',
      notes: '',
      mechanism: null,
      parameters: {},
      declared: [],
      already: false,
      table: '',
      changes: [],
    };
    const found = {
      committed: false,
      tables: [],
      rows: [row],
      problems: [{ code: 'malformed', row: 3, field: 'game', message: 'Row 3, game: The game has no name.' }],
      remarks: [],
      proposedKinds: [],
      added: { games: 0, variants: 0, kinds: 0, changed: 0 },
      change: null,
    };
    api().on('POST /imports/shelf', (body: { commit?: boolean }) =>
      body.commit ? { ...found, committed: true, added: { games: 1, variants: 1, kinds: 0, changed: 0 }, change: 'c1' } : found,
    );
    show(<ImportView kind="shelf" />);
    await userEvent.upload(screen.getByLabelText('File'), file());
    await userEvent.click(await screen.findByRole('button', { name: 'Leave them out and bring in the other 1 version' }));
    expect(await screen.findByText('1 version of 1 new game is on the shelf.')).toBeTruthy();
    expect(api().writes.at(-1)!.body).toMatchObject({ commit: true, skip: true });
  });
  it('says what is wrong with a file that is none', async () => {
    api().on('POST /imports/shelf', new Refusal(422, { code: 'not-csv', message: 'This is not a text file.', field: 'file' }));
    show(<ImportView kind="shelf" />);
    await userEvent.upload(screen.getByLabelText('File'), file('picture.csv'));
    expect(await screen.findByText(/This is not a text file/)).toBeTruthy();
    expect(gone()).toBeNull();
  });

  const table = (more: object = {}) => ({
    table: '',
    use: true,
    headerRow: 1,
    columns: ['nickname', null],
    asAbove: [],
    headers: ['Kid', 'When born'],
    samples: [['Wren'], ['2018-09']],
    rowCount: 1,
    ...more,
  });
  const sent = (): Record<string, unknown>[] => api().writes.map((w) => w.body as Record<string, unknown>);

  it('asks which column is which where none could be told, and reads anew as it is answered', async () => {
    api().on('POST /imports/roster', (body: { choices?: { columns: (string | null)[] }[] }) =>
      body.choices
        ? preview({ tables: [table({ columns: body.choices[0]!.columns })] })
        : preview({
            tables: [table({ columns: [null, null] })],
            problems: [
              { code: 'missing-column', field: 'nickname', row: 1, message: 'Say which column is the nickname.', detail: { table: '' } },
            ],
          }),
    );
    show(<ImportView kind="roster" />);
    await userEvent.upload(screen.getByLabelText('File'), file());
    await userEvent.selectOptions(await screen.findByLabelText('Kid is taken as'), 'nickname');
    expect(await screen.findByRole('button', { name: /Bring everybody in/ })).toBeTruthy();
    expect(sent().at(-1)!['choices']).toEqual([{ table: '', use: true, headerRow: 1, columns: ['nickname', null], asAbove: [] }]);
    // Kept when it was brought in, and read so again.
    api().on('POST /imports/roster', (body: { commit?: boolean; choices?: unknown }) =>
      preview({
        tables: [table(body.choices ? {} : { columns: [null, null] })],
        committed: body.commit === true,
        added: body.commit ? 1 : 0,
      }),
    );
    await userEvent.click(screen.getByRole('button', { name: /Bring everybody in/ }));
    await screen.findByText('1 learners are here.');
    await userEvent.upload(screen.getByLabelText('File'), file('again.csv'));
    expect(await screen.findByText(/read as you mended it last time/)).toBeTruthy();
  });

  it('mends a cell in the page, and leaves a row out', async () => {
    const problem = {
      code: 'malformed',
      row: 2,
      field: 'born',
      message: 'Row 2, born: "x" is not a month.',
      detail: { table: '', game: 'Wren', value: 'x' },
    };
    api().on('POST /imports/roster', (body: { mended?: unknown[]; left?: unknown[] }) =>
      preview({ tables: [table()], problems: body.mended || body.left ? [] : [problem] }),
    );
    show(<ImportView kind="roster" />);
    await userEvent.upload(screen.getByLabelText('File'), file());
    const cell = await screen.findByLabelText('born of Wren');
    expect((cell as HTMLInputElement).value).toBe('x');
    await userEvent.clear(cell);
    await userEvent.type(cell, '2018-09{Enter}');
    await screen.findByRole('button', { name: /Bring everybody in/ });
    expect(sent().at(-1)!['mended']).toEqual([{ table: '', row: 2, column: 'born', value: '2018-09' }]);
  });

  it('takes pasted cells', async () => {
    api().on('POST /imports/roster', preview());
    show(<ImportView kind="roster" />);
    await userEvent.click(screen.getByText('or paste cells'));
    await userEvent.click(screen.getByLabelText(/Cells, the names/));
    await userEvent.paste('nickname\tborn\nWren\t2018-09');
    await userEvent.click(screen.getByRole('button', { name: 'Look at them' }));
    expect(await screen.findByText('Wren')).toBeTruthy();
    expect(sent()[0]).toEqual({ text: 'nickname\tborn\nWren\t2018-09' });
  });
});
