import { expect, it } from 'vitest';
import { byTable, type LaidTable } from './gatherTables';

const title = { game: (id: string) => id, kind: (id: string) => id, version: (id: string) => id };
const laid = (round: number, game: string, learners: string[], things: Record<string, number>, tool: string | null = null): LaidTable => ({
  round,
  table: 0,
  of: { game, helper: false, seats: learners.map((learner) => ({ learner, variant: `${game}-v`, why: '', tool })) },
  things: new Map(Object.entries(things)),
});

it('what goes back goes back after its last round, and whose turn it is goes round', () => {
  const tables = byTable(
    [
      laid(0, 'lamps', ['a', 'b'], { die: 2, card: 1 }),
      laid(1, 'levers', ['a', 'b'], { die: 1 }),
      laid(2, 'lamps', ['a', 'b'], { paper: 0 }),
    ],
    title,
  );
  expect(tables.map((t) => t.returns)).toEqual([
    { learner: 'a', things: ['card'] },
    { learner: 'b', things: ['levers', 'die'] },
    { learner: 'a', things: ['lamps'] },
  ]);
  expect(tables[2]!.things).toEqual([]);
});

it('names the tool of each seat that has one, and nobody where nothing goes back', () => {
  const [first] = byTable(
    [laid(0, 'lamps', ['a'], { 'bead-frame': 1, pegs: 2 }, 'bead-frame'), laid(1, 'lamps', ['a'], { 'bead-frame': 1, pegs: 1 })],
    title,
  );
  expect(first!.things).toEqual([{ title: 'pegs', quantity: 2 }]);
  expect(first!.tools).toEqual([{ learner: 'a', tool: 'bead-frame' }]);
  expect(first!.returns).toBeNull();
});
