// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal } from '../island.testing';
import { App } from '../shared/App';
import { monthsAgo, SessionNow } from './SessionNow';

const { api, show, gone } = islandTest();
const view = () =>
  show(
    <App>
      <SessionNow onClose={() => undefined} />
    </App>,
  );

describe('a session now', () => {
  it('forgets that a nickname was refused as soon as another is written', async () => {
    api()
      .on('GET /learners', page([learner('ada')]))
      .on(
        'POST /learners',
        new Refusal(422, { code: 'duplicate', field: 'nickname', message: 'The nickname "Ada" is taken. Choose another.' }),
      );
    view();
    await screen.findByLabelText(/^Ada/);
    await userEvent.type(screen.getByLabelText('A child'), 'Ada');
    await userEvent.type(screen.getByLabelText('Years old'), '7{Enter}');
    expect(await screen.findByText(/is taken/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('A child'), 'm');
    expect(screen.queryByText(/is taken/)).toBeNull();
  });
  it('adds children by name and age, and plays with those who are there', async () => {
    let here = [learner('ada')];
    api()
      .on('GET /learners', () => page(here))
      .on('POST /learners', () => {
        here = [learner('ada'), learner('ben')];
        return { id: 'ben' };
      })
      .on('POST /sessions/now', { plan: 'plan-7', taken: ['Two Lamps'] });
    view();
    await screen.findByLabelText(/^Ada/);
    await userEvent.type(screen.getByLabelText('A child'), 'Ben');
    await userEvent.type(screen.getByLabelText('Years old'), '7{Enter}');
    await userEvent.click(await screen.findByLabelText(/^Ada/));
    await waitFor(() => expect(screen.getByLabelText(/^Ben/)).toHaveProperty('checked', true));
    const { nickname, born } = api().writes[0]!.body as { nickname: string; born: string };
    expect([nickname, /^\d{4}-\d{2}$/.test(born)]).toEqual(['Ben', true]);
    await userEvent.click(screen.getByRole('button', { name: 'Play', hidden: true }));
    await waitFor(() => expect(gone()).toContain('/play?plan=plan-7'));
    expect(api().writes[1]!.body).toEqual({ present: ['ben'], minutes: 15, rounds: 2 });
  });
  it('says what stands in the way', async () => {
    api()
      .on('GET /learners', page([learner('ada')]))
      .on('POST /sessions/now', new Refusal(422, { code: 'malformed', message: 'Tick what else you have.', field: 'things' }));
    view();
    await screen.findByLabelText(/^Ada/);
    await userEvent.click(screen.getByRole('button', { name: 'Play', hidden: true }));
    expect(await screen.findByText('Tick what else you have.')).toBeTruthy();
  });
  it('reckons the month of birth from the years', () => {
    expect([
      monthsAgo(7 * 12 + 6, '2026-11-10'),
      monthsAgo(66, '2026-03-01'),
      monthsAgo(11, '2026-11-30'),
      monthsAgo(0, '2026-12-01'),
    ]).toEqual(['2019-05', '2020-09', '2025-12', '2026-12']);
  });
});
