// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal } from '../island.testing';
import LearnersView from './LearnersView';

const { api, show } = islandTest();

const lines = Array.from({ length: 10 }, () => ({
  held: 2,
  arms: [
    [0.9, true],
    [0.3, false],
  ],
}));
const map = (id: string, more: object = {}) => ({ learner: id, seen: true, next: ['make-ten'], lines, ...more });

describe('learners', () => {
  it('come with all their maps in one request', async () => {
    api()
      .on('GET /learners', page([learner('wren', { group: 'Lamps' }), learner('fern')]))
      .on('GET /maps', page([map('wren'), map('fern', { seen: false })]));
    show(<LearnersView />);
    expect(await screen.findByRole('link', { name: 'Wren' })).toBeTruthy();
    expect(await screen.findByText('place again')).toBeTruthy();
    expect(screen.getByText('place')).toBeTruthy();
    expect(screen.getAllByRole('img', { name: /2 of \d+ on their own/ }).length).toBe(20);
    expect(api().asked.filter((a) => a.path.includes('mastery') || a.path === '/maps')).toHaveLength(1);
  });
  it('of whom there are none are asked for', async () => {
    show(<LearnersView />);
    expect(await screen.findByText('Nobody is here yet')).toBeTruthy();
    expect(within(document.body).queryByRole('table')).toBeNull();
  });
  it('that are three hundred are drawn in part, and by their groups', async () => {
    const many = Array.from({ length: 300 }, (_, i) => learner(`child-${i}`, { group: `Room ${i % 3}` }));
    api()
      .on('GET /learners', page(many))
      .on('GET /maps', page(many.map((l) => map(l.id))));
    const { container } = show(<LearnersView />);
    await screen.findByText('300, youngest first');
    expect(container.querySelectorAll('tbody tr').length).toBeLessThan(250);
  });
  it('tell what is wrong with each field of the form', async () => {
    api().on(
      'POST /learners',
      new Refusal(422, {
        code: 'duplicate',
        message: 'The nickname "Wren" is taken.',
        field: 'nickname',
        detail: {
          problems: [
            { code: 'duplicate', message: 'The nickname "Wren" is taken.', field: 'nickname' },
            { code: 'malformed', message: 'A birth month is needed.', field: 'born' },
          ],
        },
      }),
    );
    show(<LearnersView />);
    await userEvent.click((await screen.findAllByRole('button', { name: 'Add a learner' }))[0]!);
    await userEvent.type(screen.getByLabelText('Nickname or initials'), 'Wren');
    await userEvent.type(screen.getByLabelText(/Birth month/), '5');
    await userEvent.click(screen.getByRole('button', { name: 'Save', hidden: true }));
    expect(await screen.findByText('The nickname "Wren" is taken.')).toBeTruthy();
    expect(screen.getByText('A birth month is needed.')).toBeTruthy();
    expect(api().writes[0]!.body).toMatchObject({ group: null });
  });
  it('may be given by a grade or a school year, or a month as one writes it', async () => {
    api().on('POST /learners', { id: 'wren' });
    show(<LearnersView />);
    await userEvent.click((await screen.findAllByRole('button', { name: 'Add a learner' }))[0]!);
    await userEvent.selectOptions(screen.getByLabelText(/^or grade/), 'grade 2');
    const born = screen.getByLabelText(/Birth month/) as HTMLInputElement;
    const at = Number(born.value.slice(0, 4));
    expect(born.value).toMatch(/^20\d\d-03$/);
    await userEvent.selectOptions(screen.getByLabelText(/^or grade/), 'kindergarten');
    expect(Number(born.value.slice(0, 4))).toBe(at + 2);
    await userEvent.clear(born);
    await userEvent.type(born, 'Sep 2019');
    await userEvent.tab();
    expect(born.value).toBe('2019-09');
  });
  it('that cannot be read are not shown as none', async () => {
    api().on('GET /learners', new Error('no network'));
    show(<LearnersView />);
    expect(await screen.findByText(/The program does not answer/)).toBeTruthy();
    expect(screen.queryByText('Nobody is here yet')).toBeNull();
  });
});
