// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, Refusal, variant } from '../island.testing';
import { App } from '../shared/App';
import { MakeItFit } from './MakeItFit';
import { settingWords, turnedVersion } from './turnedVersion';

const { api, show } = islandTest();
const tens = variant('tens', 'two-lamps', { version: 4, parameters: { highest: 10, wild: false } });
const change = {
  parameter: 'highest',
  parameterTitle: 'Highest number',
  value: 6,
  children: [{ learner: 'wren', before: 0.42, after: 0.78 }],
  minutes: { mean: 8.6, standardError: 0.2 },
};
const answer = (changes: object[]) => ({ variant: 'tens', changes });
const open = (): string[] => {
  const kept: string[] = [];
  show(
    <App>
      <MakeItFit variant={tens} who={[{ id: 'wren', nickname: 'Wren' }]} direction="easier" onDone={(id) => kept.push(id)} />
    </App>,
  );
  return kept;
};

describe('easier for one child', () => {
  it('keeps the change as a version that bears no child’s name, and says which', async () => {
    api()
      .on('POST /variants/tens/for', answer([change]))
      .on('POST /variants', { id: 'new-one' });
    const kept = open();
    await userEvent.click(await screen.findByRole('button', { name: 'Keep as a version' }));
    await waitFor(() => expect(kept).toEqual(['new-one']));
    const body = api().writes.find((w) => w.path === '/variants')!.body as Record<string, unknown>;
    expect(body).toMatchObject({ game: 'two-lamps', parameters: { highest: 6, wild: false }, minutes: 9 });
    expect(JSON.stringify(body)).not.toMatch(/wren/i);
  });
  it('says so where no single change does it', async () => {
    api().on('POST /variants/tens/for', answer([]));
    open();
    expect(await screen.findByText(/No single change makes it easier for Wren/)).toBeTruthy();
  });
  it('keeps nothing when that is refused', async () => {
    api()
      .on('POST /variants/tens/for', answer([change]))
      .on('POST /variants', new Refusal(422, { code: 'duplicate', message: 'There is such a version already.' }));
    const kept = open();
    await userEvent.click(await screen.findByRole('button', { name: 'Keep as a version' }));
    expect(await screen.findByText('There is such a version already.')).toBeTruthy();
    expect(kept).toEqual([]);
  });
});

describe('a version with one thing turned', () => {
  it('keeps all else, lasts a minute at least, and has a name that fits', () => {
    const long = turnedVersion({ ...tens, title: 'x'.repeat(79) }, { ...change, minutes: { mean: 0.2 } });
    expect(long.title.length).toBe(80);
    expect(long).toMatchObject({ minutes: 1, ages: tens.ages, players: tens.players, helper: tens.helper, materials: tens.materials });
  });
  it('tells settings in words', () => {
    expect([true, false, [2, 5], -7, 'how-many'].map(settingWords)).toEqual(['yes', 'no', '2, 5', '-7', 'how many']);
  });
});
