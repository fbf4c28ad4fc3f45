// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { MechanismWire } from '../../contract/wire/families';
import { mechanismById } from '../../core/mechanisms/registry';
import { islandTest, variant } from '../island.testing';
import { App } from '../shared/App';
import { Watch } from './Watch';

const { api, show } = islandTest();
const mechanism = mechanismById('pair-memory')! as unknown as MechanismWire;

const item = { op: 'add', a: 4, b: 6, result: 10, unknown: 'result', rep: 'numerals' };
const story = {
  events: [
    { kind: 'turn', seat: 0, options: 1 },
    { kind: 'item', seat: 0, item },
    { kind: 'turn', seat: 1, options: 3 },
  ],
  winner: 1,
  scores: [0, 2],
  turns: 2,
  minutes: 3,
};
const version = variant('tens', 'two-lamps', { title: 'Tens' });
const watch = (howTo: object | null) => {
  api().on('POST /stories', story).on('GET /variants/tens/how-to', { howTo, quick: null });
  show(
    <App>
      <Watch variant={version} mechanism={mechanism} />
    </App>,
  );
};

describe('watching one game', () => {
  it('goes turn by turn by the keys to who ends ahead', async () => {
    watch(null);
    await screen.findByText(/Turn 1 of 2/);
    expect(screen.getByText(/4 \+ 6 = \[10\]/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Next turn' }));
    expect(screen.getByText(/Turn 2 of 2/)).toBeTruthy();
    expect(screen.getByText(/Player 2 ends ahead/)).toBeTruthy();
  });
  it('tells the rules of this very version beside, not those of the family', async () => {
    watch({
      setUp: ['Lay all cards face down.'],
      turn: ['Lay two cards that make 10.'],
      scoring: ['A pair is one point.'],
      end: 'Stop when all lamps are lit.',
    });
    for (const line of ['Lay all cards face down.', 'Lay two cards that make 10.', 'A pair is one point.', 'Stop when all lamps are lit.'])
      expect(await screen.findByText(line)).toBeTruthy();
    for (const line of mechanism.words) expect(screen.queryByText(line)).toBeNull();
  });
});
