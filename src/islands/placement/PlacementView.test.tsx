// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, Refusal } from '../island.testing';
import PlacementView from './PlacementView';

const { api, show, gone } = islandTest();

const order = ['count-to-10', 'add-in-10', 'make-ten'];
interface Asked {
  answers: { skill: string; result: string }[];
  leaveOut: string[];
  strands: string[];
  thorough: boolean;
}
const ready = (): void => {
  api()
    .on('GET /learners/wren', learner('wren'))
    .on('POST /learners/wren/placement', (body: Asked) => {
      const used = new Set([...body.answers.map((a) => a.skill), ...body.leaveOut]);
      const next = body.thorough ? 'pairs-of-10' : (order.find((s) => !used.has(s)) ?? null);
      return { next, strand: next ? 'add' : null, because: next ? (body.answers.length === 0 ? 'sure' : 'below') : null, about: 4 };
    });
};
const answer = async (name: string): Promise<void> => userEvent.click(await screen.findByRole('button', { name }));

describe('placement', () => {
  it('asks one question after the other, and sends what was said once', async () => {
    ready();
    api().on('POST /evidence/batch', { ids: ['a', 'b'] });
    show(<PlacementView id="wren" />);
    await answer('can');
    await waitFor(() => expect(screen.getByText('One answer of about 4; just begun.')).toBeTruthy());
    await answer('not yet');
    await waitFor(() => expect(screen.getByText('2 answers of about 4; about half way.')).toBeTruthy());
    expect(document.body.textContent).not.toContain('%');
    await answer('Save 2 answers');
    await waitFor(() => expect(gone()).toContain('/learners/wren'));
    const sent = api().writes.filter((w) => w.path === '/evidence/batch');
    expect(sent).toHaveLength(1);
    expect(sent[0]!.body).toEqual({
      items: [
        { learner: 'wren', kind: 'placement', skill: 'count-to-10', result: 'alone', by: { role: 'organiser' } },
        { learner: 'wren', kind: 'placement', skill: 'add-in-10', result: 'stuck', by: { role: 'organiser' } },
      ],
    });
    expect(sent[0]!.key).toBeTruthy();
  });
  it('keeps what was said when the page is left, and goes back one step', async () => {
    ready();
    const first = show(<PlacementView id="wren" />);
    await answer('with help');
    await screen.findByText(/One answer/);
    first.unmount();
    show(<PlacementView id="wren" />);
    expect(await screen.findByRole('button', { name: 'Save 1 answer' })).toHaveProperty('disabled', false);
    await answer('Back');
    expect(await screen.findByRole('button', { name: 'Save 0 answers' })).toHaveProperty('disabled', true);
  });
  it('takes "I do not know" for no answer, and says when another question tells little', async () => {
    ready();
    show(<PlacementView id="wren" />);
    for (const _ of order) {
      const before = await screen.findByRole('button', { name: 'I do not know' });
      const shown = before.closest('section')!.querySelector('h2')!.textContent;
      await userEvent.click(before);
      await waitFor(() => expect(document.querySelector('section h2')!.textContent).not.toBe(shown));
    }
    expect(await screen.findByText('Enough for now')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save 0 answers' })).toHaveProperty('disabled', true);
    await answer('Ask on all the same');
    expect(await screen.findByRole('button', { name: 'can' })).toBeTruthy();
  });
  it('keeps the answers when they cannot be saved, and says why', async () => {
    ready();
    api().on('POST /evidence/batch', new Refusal(404, { code: 'not-found', message: 'There is no learner "wren".' }));
    show(<PlacementView id="wren" />);
    await answer('can');
    await answer('Save 1 answer');
    expect(await screen.findByText('There is no learner "wren".')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save 1 answer' })).toHaveProperty('disabled', false);
    expect(gone()).toBeNull();
  });
});
