// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { islandTest, thing } from '../island.testing';
import { App } from '../shared/App';
import { AskThings, untold } from './AskThings';

const { api, show } = islandTest();
const kind = (id: string, state: KindWire['state'], more: Partial<KindWire> = {}): KindWire =>
  thing(id, { title: id[0]!.toUpperCase() + id.slice(1), quantity: 0, owned: 0, state, plentiful: state === 'unsure', ...more });

describe('a game that is taken asks once', () => {
  it('for what nobody has told, the most that a version takes, and for nothing else', () => {
    const versions = [
      {
        materials: [
          { kind: 'dice', quantity: 1 },
          { kind: 'deck', quantity: 1 },
        ],
      },
      { materials: [{ kind: 'dice', quantity: 2 }] },
    ];
    const needs = untold(versions, [kind('dice', 'unsure'), kind('deck', 'none')]);
    expect(needs.map((n) => [n.kind.id, n.quantity])).toEqual([['dice', 2]]);
    expect(untold(versions, [])).toEqual([]);
  });
  it('writes all answers as one, and nothing for what stays unsure', async () => {
    api().on('PUT /kinds', { id: 'things', change: 'c1' });
    const closed = vi.fn();
    const lent = kind('deck', 'unsure', { loans: [{ who: 'Ash', quantity: 1, until: null }] });
    show(
      <App>
        <AskThings
          game="Two Lamps"
          needs={[
            { kind: kind('dice', 'unsure'), quantity: 2 },
            { kind: lent, quantity: 1 },
            { kind: kind('pegs', 'unsure'), quantity: 4 },
          ]}
          onClose={closed}
        />
      </App>,
    );
    const group = (name: string) => within(screen.getByRole('group', { name }));
    expect(screen.getByText('Not now')).toBeTruthy();
    await userEvent.click(group('Dice').getByText('we have it'));
    await userEvent.click(group('Deck').getByText('we have none'));
    await userEvent.click(screen.getByText('That is so'));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(api().writes[0]!.body).toEqual({
      things: [
        { id: 'dice', quantity: 2, told: 'number' },
        // What is lent is ours all the same.
        { id: 'deck', quantity: 1, told: 'number' },
      ],
    });
  });
});
