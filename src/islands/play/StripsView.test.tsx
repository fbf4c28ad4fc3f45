// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, page, Refusal, session } from '../island.testing';
import StripsView from './StripsView';

const { api, show, gone } = islandTest();

const short = { id: 'plan-1', date: '2026-11-09', status: 'good', playedAt: null, forecast: false, number: 7 };
const seat = session().rounds[0]!.tables[0]!.seats[0]!;
const ready = (more: object = {}, notes: object[] = []): void => {
  const first = session().rounds[0]!;
  const table = first.tables[0]!;
  const of = (learnerId: string) => ({ ...seat, learner: learnerId, tool: learnerId === 'fern' ? 'ten-frame' : null });
  const rounds = [
    { ...first, tables: [{ ...table, lookFor: 'fern', seats: [of('wren'), of('fern')] }] },
    {
      ...first,
      tables: [
        {
          ...table,
          lookFor: 'wren',
          seats: [
            { ...of('wren'), variant: 'levers-1' },
            { ...of('moss'), variant: 'levers-1' },
          ],
        },
      ],
    },
  ];
  api()
    .on('GET /plans', page([short, { ...short, id: 'plan-2', date: '2026-11-12', number: 9 }]))
    .on('GET /plans/plan-1', session({ date: '2026-11-09', rounds, ...more }))
    .on('GET /learners', page([learner('wren'), learner('fern'), learner('moss')]))
    .on('GET /evidence', page(notes))
    .on('POST /evidence/batch', { ids: ['n'] })
    .on('POST /plans/plan-1/played', { id: 'plan-1', playedAt: 'now' });
};
const lines = (): string[] => screen.getAllByRole('group', { name: /strip/ }).map((g) => g.getAttribute('aria-label')!);

describe('notes from paper', () => {
  it('asks first for those that change what comes next, then for all others as the cards lie', async () => {
    ready();
    show(<StripsView plan="plan-1" strip={null} />);
    await screen.findByText(/First those with the arrow/);
    expect(lines()).toEqual(['Fern, strip 7-1-1', 'Wren, strip 7-2-1', 'Wren, strip 7-1-1', 'Moss, strip 7-2-1']);
  });

  it('takes a session with a key a child, and sends each table once', async () => {
    ready();
    show(<StripsView plan={null} strip="7" />);
    const first = await screen.findByRole('group', { name: 'Fern, strip 7-1-1' });
    await waitFor(() => expect(document.activeElement).toBe(first));
    // The tool, with help; on; nothing, on; stuck.
    await userEvent.keyboard('t2{ArrowDown}13');
    await userEvent.click(screen.getByRole('button', { name: 'Keep 3 notes' }));
    await screen.findByText('3 notes are kept.');
    expect(api().writes.map((w) => w.path)).toEqual(['/evidence/batch', '/evidence/batch', '/plans/plan-1/played']);
    expect((api().writes[0]!.body as { items: object[] }).items).toMatchObject([
      { learner: 'wren', result: 'stuck', session: 'plan-1', at: '2026-11-09' },
      { learner: 'fern', result: 'support', support: 'ten-frame' },
    ]);
    expect((api().writes[1]!.body as { items: object[] }).items).toMatchObject([{ learner: 'moss', result: 'alone', variant: 'levers-1' }]);
    expect(
      new Set(
        api()
          .writes.slice(0, 2)
          .map((w) => w.key),
      ).size,
    ).toBe(2);
    expect(Object.keys(localStorage).filter((k) => k.startsWith('zeitgeber-notes'))).toEqual([]);
  });

  it('takes a sign back with nought, and keeps what is not sent', async () => {
    ready();
    const shown = show(<StripsView plan="plan-1" strip="7-2-1" />);
    const wren = await screen.findByRole('group', { name: 'Wren, strip 7-2-1' });
    await waitFor(() => expect(document.activeElement).toBe(wren));
    await userEvent.keyboard('3{ArrowUp}0');
    expect(screen.getByRole('button', { name: 'Nothing to keep yet' })).toHaveProperty('disabled', true);
    await userEvent.keyboard('1');
    shown.unmount();
    show(<StripsView plan="plan-1" strip={null} />);
    expect(await screen.findByRole('button', { name: 'Keep one note' })).toBeTruthy();
  });

  it('loses nothing where the program does not answer, and does not send twice what it has', async () => {
    ready();
    let n = 0;
    api().on('POST /evidence/batch', () =>
      ++n === 2 ? new Refusal(507, { code: 'no-room', message: 'There is no room left.' }) : { ids: ['n'] },
    );
    show(<StripsView plan="plan-1" strip="7" />);
    await screen.findByRole('group', { name: 'Fern, strip 7-1-1' });
    await userEvent.keyboard('33');
    await userEvent.click(await screen.findByRole('button', { name: 'Keep 2 notes' }));
    await screen.findByText(/There is no room left/);
    expect(await screen.findByRole('button', { name: 'Keep one note' })).toHaveProperty('disabled', false);
  });

  it('shows what was noted at the table already, and leaves it', async () => {
    ready({}, [{ id: 'e', learner: 'fern', variant: seat.variant, result: 'alone', retracted: false }]);
    show(<StripsView plan="plan-1" strip="7" />);
    const fern = within(await screen.findByRole('group', { name: 'Fern, strip 7-1-1' }));
    expect(fern.getByText(/noted: on their own/)).toBeTruthy();
    await userEvent.keyboard('1');
    expect(screen.getByRole('button', { name: 'Nothing to keep yet' })).toBeTruthy();
  });

  it('says what a strip looks like where there is none, and goes to another session by its number', async () => {
    ready();
    show(<StripsView plan="plan-1" strip={null} />);
    const box = await screen.findByRole('textbox', { name: 'Strip' });
    await userEvent.type(box, 'lamp{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain('as in 37-2-1');
    await userEvent.clear(box);
    await userEvent.type(box, '9-1-1{Enter}');
    await waitFor(() => expect(gone()).toContain('/play/strips?strip=9-1-1'));
  });

  it('has a way on where nobody has such a strip', async () => {
    ready();
    show(<StripsView plan={null} strip="88-1-1" />);
    expect(await screen.findByText('There is no strip 88-1-1')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'The latest session' })).toBeTruthy();
  });
});
