// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { islandTest, learner, Refusal } from '../island.testing';
import { App } from '../shared/App';
import { EraseDialog } from './EraseDialog';
import { FactsSeen } from './FactsSeen';
import { NoteDialog } from './NoteDialog';
import { SheetDialog } from './SheetDialog';
import { shippedGraph } from '../../contract/shippedData';
import type { Skills } from '../shared/useSkills';

const { api, show, gone } = islandTest();

const graph = shippedGraph();
const skills = {
  list: graph.skills,
  strands: graph.strands,
  byId: new Map(graph.skills.map((s) => [s.id, s])),
  strandOf: () => undefined,
  title: (id: string) => graph.skills[graph.indexOf.get(id) ?? -1]?.title ?? id,
} as unknown as Skills;
const wren = learner('wren') as never;

describe('erasing', () => {
  it('wants the nickname, names what still holds the child, and leads back', async () => {
    api().on('DELETE /learners/wren', { erased: 'wren', evidence: 4, backups: ['before-migration-2.sqlite'], cleaned: false });
    const waiting = ['Wren', 'Wrenna'].map((label) => ({ sheet: 'call-cards', asked: { label } }));
    localStorage.setItem('zeitgeber.print.list', JSON.stringify(waiting));
    show(
      <App>
        <EraseDialog learner={wren} onClose={() => undefined} />
      </App>,
    );
    const button = screen.getByRole('button', { name: 'Erase everything', hidden: true });
    await userEvent.type(screen.getByLabelText('Type Wren to erase'), 'wren');
    expect(button).toHaveProperty('disabled', true);
    await userEvent.clear(screen.getByLabelText('Type Wren to erase'));
    await userEvent.type(screen.getByLabelText('Type Wren to erase'), 'Wren');
    await userEvent.click(button);
    expect(await screen.findByText('before-migration-2.sqlite')).toBeTruthy();
    // Nor does the desk of this browser keep the name; another child's stays.
    const labels = (JSON.parse(localStorage.getItem('zeitgeber.print.list')!) as typeof waiting).map((s) => s.asked.label);
    expect(labels).toEqual(['', 'Wrenna']);
    localStorage.clear();
    expect(screen.getByText(/no room to make the database file anew/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Close', hidden: true }));
    expect(gone()).toContain('/learners');
  });
  it('says when it was refused, and nothing else', async () => {
    api().on(
      'DELETE /learners/wren',
      new Refusal(507, { code: 'no-room', message: 'There is no room left on the disk, so this was not saved.' }),
    );
    show(
      <App>
        <EraseDialog learner={wren} onClose={() => undefined} />
      </App>,
    );
    await userEvent.type(screen.getByLabelText('Type Wren to erase'), 'Wren');
    await userEvent.click(screen.getByRole('button', { name: 'Erase everything', hidden: true }));
    expect(await screen.findByText(/There is no room left/)).toBeTruthy();
    expect(screen.queryByText('Wren is erased')).toBeNull();
  });
});

describe('noting', () => {
  it('needs a skill and how it went, and sends both with who saw it', async () => {
    let saved = 0;
    api().on('POST /evidence', { id: 'n1' });
    show(
      <App>
        <NoteDialog learner={wren} skill={null} skills={skills} onClose={() => undefined} onSaved={() => saved++} />
      </App>,
    );
    const note = screen.getByRole('button', { name: /^Note it/, hidden: true });
    expect(note).toHaveProperty('disabled', true);
    await userEvent.selectOptions(screen.getByLabelText('Skill'), 'make-ten');
    await userEvent.click(screen.getByRole('button', { name: 'with help', hidden: true }));
    await userEvent.click(screen.getByRole('button', { name: 'parent', hidden: true }));
    await userEvent.click(screen.getByLabelText('about the own child'));
    await userEvent.click(note);
    await waitFor(() => expect(saved).toBe(1));
    expect(api().writes[0]!.body).toMatchObject({
      learner: 'wren',
      skill: 'make-ten',
      result: 'support',
      by: { role: 'parent', ownChild: true },
    });
  });
  it('asks before typed things go, and keeps them', async () => {
    let closed = 0;
    show(
      <App>
        <NoteDialog learner={wren} skill="make-ten" skills={skills} onClose={() => closed++} onSaved={() => undefined} />
      </App>,
    );
    await userEvent.click(screen.getByRole('button', { name: 'a check-in sheet', hidden: true }));
    await userEvent.type(screen.getByLabelText('Right'), '7');
    await userEvent.click(screen.getByRole('button', { name: 'Close', hidden: true }));
    expect(screen.getByText('What you typed is not saved.')).toBeTruthy();
    expect(closed).toBe(0);
    await userEvent.click(screen.getByRole('button', { name: 'Go on', hidden: true }));
    expect(screen.queryByText('What you typed is not saved.')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Close', hidden: true }));
    await userEvent.click(screen.getAllByRole('button', { name: 'Leave it', hidden: true })[0]!);
    expect(closed).toBe(1);
  });
});

describe('a sheet of ten', () => {
  it('is printed with the same questions as stand there, each with its answer, and the name goes on the back', async () => {
    const graphSkills = { ...skills, strandOf: () => graph.strands[0] } as unknown as Skills;
    URL.createObjectURL = () => 'blob:sheet';
    URL.revokeObjectURL = () => undefined;
    const saved = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined);
    const asked: { parameters: { title: string; questions: string[]; answers: string[] } }[] = [];
    api().on('POST /sheets/question-sheet/pdf', (body: never) => {
      asked.push(body);
      return 'a file';
    });
    show(
      <App>
        <SheetDialog learner={wren} skill="make-ten" skills={graphSkills} onClose={() => undefined} onSaved={() => undefined} />
      </App>,
    );
    const sheet = within(screen.getByRole('dialog', { hidden: true }));
    await userEvent.click(sheet.getByText('These questions on paper'));
    await waitFor(() => expect(saved).toHaveBeenCalledOnce());
    const { questions, answers } = asked[0]!.parameters;
    expect(questions).toHaveLength(10);
    for (const [i, q] of questions.entries()) {
      expect(sheet.getByText(q)).toBeTruthy();
      // Put where it is asked for, the answer makes the sentence true.
      const [left, right] = q.replace('?', answers[i]!).split(' = ');
      const value = (text: string): number => text.split(' + ').reduce((sum, n) => sum + Number(n), 0);
      expect([q, value(left!)]).toEqual([q, value(right!)]);
    }
    saved.mockRestore();
  });
});

describe('facts that were noted', () => {
  it('become cards: what is to be practised, with two known ones to each, how often they are met, and a link to the desk', async () => {
    const note = (a: number, b: number, correct: boolean, n: number) => ({
      id: `${a}-${b}-${n}`,
      at: `2026-11-0${n}T10:00:00Z`,
      retracted: false,
      items: [{ op: 'add', a, b, correct }],
    });
    const secure = [2, 3, 4].flatMap((n) => [note(5, 5, true, n), note(2, 1, true, n)]);
    show(
      <App>
        <FactsSeen evidence={[...secure, note(8, 7, false, 5)] as never} nickname="Wren" />
      </App>,
    );
    const estimate = { mean: 0, standardError: 0 };
    const counted = (a: number, b: number) => ({ op: 'add', a, b, result: a + b, unknown: 'result', rep: 'words' });
    const simulated = {
      seed: 1,
      engine: 'e',
      seats: 3,
      turns: { ...estimate, quantiles: {} },
      rounds: { ...estimate, quantiles: {} },
      minuteHistogram: [],
      outcomes: { wins: [], ties: 0, capped: 0, score: estimate },
      measures: {},
      measureErrors: {},
      shares: {},
      distinctFacts: 2,
      doses: [],
    };
    // 60 of 180 chances of this seat in 100 games of 5 minutes: 1.2 of 3.6 in ten.
    api().on('POST /simulations', {
      ...simulated,
      games: 100,
      minutes: { mean: 5, standardError: 0.05 },
      items: [
        { ...counted(8, 7), seat: 0, count: 60 },
        { ...counted(5, 5), seat: 0, count: 120 },
        { ...counted(8, 7), seat: 1, count: 900 },
      ],
    });
    await userEvent.click(screen.getByText(/^Cards for /));
    const status = await screen.findByText((_, e) => e?.tagName === 'P' && (e.textContent ?? '').includes('meets about'));
    expect(status.textContent).toContain('Wren meets about 1.2 chances of those to practise (± 0.2) among 4');
    expect(api().asked.find((a) => a.path === '/simulations')?.body).toMatchObject({
      mechanism: 'call-and-claim',
      parameters: {
        operation: 'add',
        only: [
          [8, 7],
          [5, 5],
          [2, 1],
        ],
      },
      games: 2000,
    });
    const address = new URL(screen.getByRole('link', { name: /^Print these 3 cards/ }).getAttribute('href')!, 'http://x');
    expect(address.pathname).toBe('/prep/print');
    expect(address.searchParams.get('sheet')).toBe('call-cards');
    expect(address.searchParams.get('for')).toBe('Wren');
    expect(JSON.parse(address.searchParams.get('with')!)).toEqual({
      operation: 'add',
      only: [
        [8, 7],
        [5, 5],
        [2, 1],
      ],
    });
  });
});
