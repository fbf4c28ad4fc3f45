// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, meeting, page, Refusal } from '../island.testing';
import PlanView from './PlanView';

const { api, show, gone } = islandTest();

const term = {
  term: { id: 't', title: 'Autumn', starts: '2026-11-02', ends: '2026-12-13', version: 1 },
  meetings: [meeting('2026-11-10'), meeting('2026-11-13', { off: true, offBecause: 'holiday', state: 'off' })],
  today: '2026-11-10',
  door: null,
};

describe('the plan', () => {
  it('of a kitchen table asks for nothing but a session now, until more is asked for', async () => {
    api().on('GET /term', { term: null, meetings: [], today: '2026-11-10', door: 'kitchen' }).on('PUT /door', { door: null });
    show(<PlanView date={null} />);
    expect(await screen.findByRole('button', { name: 'A session now' })).toBeTruthy();
    expect(screen.queryByText('When do you meet?')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Plan a session' })).toBeNull();
    api().on('GET /term', { term: null, meetings: [], today: '2026-11-10', door: null });
    await userEvent.click(screen.getByRole('button', { name: 'Show them' }));
    expect(await screen.findByText('When do you meet?')).toBeTruthy();
    expect(api().writes.map((w) => w.body)).toEqual([{ door: null }]);
  });
  it('asks when you meet where there is no term, and tells a wrong time by its field', async () => {
    api()
      .on('GET /term', { term: null, meetings: [], today: '2026-11-10', door: null })
      .on('PUT /term', new Refusal(400, { code: 'malformed', message: '"startsAt" is not a time of day like 09:30.', field: 'startsAt' }));
    show(<PlanView date={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Set the term' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save', hidden: true }));
    expect(await screen.findByText(/not a time of day/)).toBeTruthy();
    // Twelve weeks from today, on today’s weekday.
    expect(api().writes[0]!.body).toMatchObject({ starts: '2026-11-10', ends: '2027-02-02', weekdays: [2] });
  });
  it('sends a session once however often it is pressed, and says why it was refused', async () => {
    api()
      .on('GET /term', term)
      .on('GET /learners', page([learner('wren'), learner('fern')]))
      .on('POST /plans', new Refusal(422, { code: 'no-tables', message: 'There is no table to sit at.', field: 'tables' }));
    show(<PlanView date="2026-11-10" />);
    const plan = await screen.findByRole('button', { name: 'Work it out', hidden: true });
    // Pressed before the children are known, it would plan for nobody.
    await waitFor(() => expect(plan).toHaveProperty('disabled', false));
    expect(screen.getByLabelText(/Wren/)).toBeTruthy();
    await userEvent.click(plan);
    expect(await screen.findByText('There is no table to sit at.')).toBeTruthy();
    await userEvent.click(plan);
    await waitFor(() => expect(api().writes).toHaveLength(2));
    expect(api().writes[0]!.key).toBe(api().writes[1]!.key);
    await userEvent.click(screen.getByLabelText(/Wren/));
    await userEvent.click(plan);
    await waitFor(() => expect(api().writes).toHaveLength(3));
    expect(api().writes[2]!.key).not.toBe(api().writes[0]!.key);
    expect(gone()).toBeNull();
  });
  it('takes the best so far of a plan that is still worked at', async () => {
    let ended = false;
    api()
      .on('GET /term', term)
      .on('GET /learners', page([learner('wren')]))
      .on('POST /plans', { job: 'j-1' })
      .on('POST /jobs/j-1/finish', () => {
        ended = true;
        return { id: 'j-1', status: 'running', progress: 0.3 };
      })
      .on('GET /jobs/j-1', () =>
        ended
          ? { id: 'j-1', status: 'failed', progress: 0.3, problem: { code: 'worker-lost', message: 'It was lost all the same.' } }
          : { id: 'j-1', status: 'running', progress: 0.3 },
      );
    show(<PlanView date="2026-11-10" />);
    await screen.findByLabelText(/Wren/);
    await userEvent.click(await screen.findByRole('button', { name: 'Work it out', hidden: true }));
    const enough = await screen.findByRole('button', { name: 'Take the best so far', hidden: true });
    await waitFor(() => expect(enough).toHaveProperty('disabled', false));
    await userEvent.click(enough);
    expect(await screen.findByText('It was lost all the same.')).toBeTruthy();
    expect(ended).toBe(true);
  });
  it('stops planning the weeks ahead, keeps those that are done and says how many', async () => {
    let ended = false;
    api()
      .on('GET /term', term)
      .on('POST /term/plan', { job: 'j-2' })
      .on('POST /jobs/j-2/finish', () => {
        ended = true;
        return { id: 'j-2', status: 'running', progress: 0.3 };
      })
      .on('GET /jobs/j-2', () =>
        ended
          ? { id: 'j-2', status: 'done', progress: 1, result: { planned: 3, kept: 0, of: 9 } }
          : { id: 'j-2', status: 'running', progress: 0.3 },
      );
    show(<PlanView date={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Plan the weeks ahead' }));
    const stop = await screen.findByRole('button', { name: 'Stop' });
    await waitFor(() => expect(stop).toHaveProperty('disabled', false));
    await userEvent.click(stop);
    expect(await screen.findByText('Stopped: 3 of 9 meetings are planned and kept.')).toBeTruthy();
  });
  it('takes a meeting off and back on', async () => {
    api().on('GET /term', term).on('PATCH /meetings/m-2026-11-13', { id: 'x', version: 2 });
    show(<PlanView date={null} />);
    expect(await screen.findByText('Autumn, 2 November to 13 December 2026')).toBeTruthy();
    const row = within((await screen.findByText('Friday 13 November')).closest('td')!);
    await userEvent.click(row.getByRole('button', { name: 'we do meet' }));
    await waitFor(() => expect(api().writes[0]).toMatchObject({ method: 'PATCH', body: { off: false, version: 1 } }));
  });
  it('prints this week and those ahead, on the paper that was chosen last', async () => {
    localStorage.setItem('zeitgeber.print', JSON.stringify({ paper: 'letter' }));
    const plan = {
      id: 'p',
      status: 'good',
      objective: 1,
      bound: 1,
      forecast: false,
      edited: false,
      playedAt: null,
      games: ['bees'],
    } as const;
    const on = (date: string, state: 'played' | 'ahead' = 'ahead') => meeting(date, { state, plan: { ...plan, games: ['bees'] } });
    const meetings = [on('2026-11-03', 'played'), on('2026-11-10'), on('2026-11-17'), meeting('2026-11-24')];
    api().on('GET /term', { ...term, meetings });
    show(<PlanView date={null} />);
    expect((await screen.findByRole('link', { name: 'Week 2 on paper' })).getAttribute('href')).toMatch(
      /\/term\/sheet\?week=2&paper=letter/,
    );
    expect(screen.getByRole('link', { name: 'Week 3 on paper' })).toBeTruthy();
    // Neither what is over nor what nobody has planned yet.
    expect(screen.getAllByRole('link', { name: /^Week/ })).toHaveLength(2);
    localStorage.clear();
  });
});
