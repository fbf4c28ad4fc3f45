import { createRequire } from 'node:module';
import { shippedGraph } from '../src/contract/shippedData';
import { mechanismById } from '../src/core/mechanisms/registry';
import { seatsFor } from '../src/core/simulate/seats';
import { Simulation } from '../src/core/simulate/simulation';

const height = 10;
const seconds = 2;

interface Columns {
  readonly marks: number[];
}
/** What is used of the library: a client without server, and its seeded dice. */
interface GeneralClient {
  start(): void;
  stop(): void;
  readonly moves: { readonly roll: () => void };
  getState(): { readonly G: Columns; readonly ctx: { readonly gameover?: unknown; readonly turn: number } };
}
type Client = (options: object) => GeneralClient;

/** G1 as that library wants it written: moves that return a new state, chance from its own plugin. */
const columns = {
  setup: (): Columns => ({ marks: Array.from({ length: 13 }, () => 0) }),
  moves: {
    roll: ({ G, random, events }: { G: Columns; random: { D6(): number }; events: { endTurn(): void } }): void => {
      const sum = random.D6() + random.D6();
      G.marks[sum] = G.marks[sum]! + 1;
      events.endTurn();
    },
  },
  endIf: ({ G }: { G: Columns }): true | undefined => (G.marks.some((m) => m >= height) ? true : undefined),
};

/**
 * The engine against a general-purpose turn-based game library, on the columns game. The
 * library is not among our packages; with it at hand (`npm install --no-save boardgame.io`) it is measured.
 */
export function benchGeneral(): void {
  console.log('\nEngine against a general-purpose turn-based library, columns game, one core');
  const client = clientIfThere();
  if (!client) {
    console.log('  not installed, so nothing to compare with (npm install --no-save boardgame.io)');
    return;
  }
  const theirs = playedBy(client);
  const mechanism = mechanismById('sum-columns')!;
  const sim = new Simulation(
    mechanism,
    seatsFor(mechanism, { height, picks: 0, firstColumn: 2 }, [{ policy: 'careful' }]),
    shippedGraph(),
    { seed: 7, precision: { length: 1e-9, share: 1e-9 } },
  );
  for (let b = 0; b < 64; b++) sim.advance();
  const before = sim.games;
  const began = performance.now();
  while (performance.now() - began < seconds * 1000 && !sim.advance());
  const ours = (sim.games - before) / (performance.now() - began);
  console.log(`  ${Math.round(ours / theirs.perMs)} × as fast  (mean turns ${theirs.turns.toFixed(1)} there over ${theirs.games} games)`);
}

function clientIfThere(): Client | null {
  try {
    return (createRequire(`${process.cwd()}/package.json`)('boardgame.io/client') as { Client: Client }).Client;
  } catch {
    return null;
  }
}

function playedBy(client: Client): { perMs: number; turns: number; games: number } {
  const began = performance.now();
  let games = 0;
  let turns = 0;
  while (performance.now() - began < seconds * 1000) {
    const game = client({ game: { ...columns, seed: String(games) }, numPlayers: 2, debug: false });
    game.start();
    while (game.getState().ctx.gameover === undefined) {
      game.moves.roll();
      turns++;
    }
    game.stop();
    games++;
  }
  return { perMs: games / (performance.now() - began), turns: turns / games, games };
}
