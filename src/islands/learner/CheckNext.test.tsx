// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, learner, Refusal } from '../island.testing';
import { App } from '../shared/App';
import type { Skills } from '../shared/useSkills';
import { CheckNext } from './CheckNext';

const { api, show } = islandTest();
const skills = { title: (id: string) => `<${id}>` } as unknown as Skills;
const steps = [
  { skill: 'make-ten', also: ['near-doubles'] },
  { skill: 'times-2', also: [] },
];
const open = (answer: unknown): string[] => {
  const taken: string[] = [];
  api().on('GET /learners/wren/check', answer);
  show(
    <App>
      <CheckNext learner={learner('wren')} skills={skills} onSheet={(s) => taken.push(s)} />
    </App>,
  );
  return taken;
};

describe('a sheet that would tell most', () => {
  it('is offered by name, with what else it tells and others next to it', async () => {
    const taken = open({ due: true, last: null, steps });
    await userEvent.click(await screen.findByRole('button', { name: 'Take this sheet' }));
    expect(screen.getByText(/they tell something of “<near-doubles>” as well/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: '<times-2>' }));
    expect(taken).toEqual(['make-ten', 'times-2']);
  });
  it('waits for two weeks of play after the last look', async () => {
    open({ due: false, last: '2026-11-10', steps });
    expect(await screen.findByText(/Two weeks of play first/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take this sheet' })).toBeNull();
  });
  it('is not there where nothing can be asked, or nothing answers', async () => {
    open(new Refusal(500, { code: 'internal', message: 'no' }));
    await new Promise((r) => setTimeout(r, 50));
    expect(screen.queryByText('A sheet that would tell most')).toBeNull();
  });
});
