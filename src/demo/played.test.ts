import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import { checkTable } from '../contract/parameters';
import { shippedLibrary } from '../contract/shippedLibrary';
import type { Policy } from '../core/mechanisms/mechanism';
import type * as Decks from '../core/play/deck';
import type * as Random from '../core/shared/rng';
import { createRng } from '../core/shared/rng';
import { GameLog } from '../core/simulate/gameLog';
import { tallyShape } from '../core/simulate/itemChannel';
import { DEFAULT_TIME } from '../core/simulate/timeModel';
import { toldText } from '../text/itemText';

/** Draws of a family, tried one after another instead of being left to chance. */
interface Draws {
  below(limit: number): number;
  uniform(): number;
  bits(): number;
}
const trying = vi.hoisted((): { draws: Draws | null } => ({ draws: null }));
vi.mock('../core/shared/rng', async (original) => {
  const real = await original<typeof Random>();
  return {
    ...real,
    below: (rng: never, limit: number) => (trying.draws ? trying.draws.below(limit) : real.below(rng, limit)),
    uniform: (rng: never) => (trying.draws ? trying.draws.uniform() : real.uniform(rng)),
    nextUint: (rng: never) => (trying.draws ? trying.draws.bits() : real.nextUint(rng)),
  };
});

const folder = 'docs/played/';

interface Play {
  readonly version: string;
  readonly players: number;
  readonly moves: readonly (readonly [player: number, what: string])[];
  readonly scores: readonly number[];
  readonly winner: number;
  /** Numbers that were drawn before they could be seen, in their order. */
  readonly cards: readonly number[];
  readonly prices: readonly number[];
}

function playOf(text: string): Play {
  const list = (after: RegExp): number[] => (after.exec(text)?.[1] ?? '').split(', ').filter(Boolean).map(Number);
  return {
    version: /Version `([^`]+)`/.exec(text)![1]!,
    players: Number(/, (\d+) players/.exec(text)![1]),
    moves: [...text.matchAll(/^\| (\d+) \| (.+) \|$/gm)].map((m) => [Number(m[1]) - 1, m[2]!] as const),
    scores: list(/^Scores: (.+?)\. /m),
    winner: Number(/Player (\d+) has won/.exec(text)?.[1] ?? 0) - 1,
    cards: list(/cards in the order of the pile.*: (.+)\.$/m),
    prices: list(/Prices in the order.*: (.+)\.$/m),
  };
}

const plays = readdirSync(folder)
  .filter((name) => /^\d/.test(name))
  .map((name) => ({ name, play: playOf(readFileSync(folder + name, 'utf8')) }));

/** How a family is asked: who chooses, which draws are known, what it tells beside the moves. */
interface Asked {
  readonly policy?: Policy;
  readonly ignore?: readonly number[];
  /** Long draws matter only by which side of a limit they fall on. */
  readonly ends?: boolean;
}
const asked: Readonly<Record<string, Asked>> = {
  // Only points that the hider's answers leave open are legal, and cards go by what is held.
  'find-the-spot': { policy: 'typical' },
  'sets-and-runs': { policy: 'careful' },
  'digit-placement': { ignore: [2] },
  'split-and-spill': { ends: true },
};

class NotSo extends Error {}

/** Goes through the draws of a family like an odometer; a draw that leads elsewhere is turned on. */
class Odometer implements Draws {
  private readonly places: { at: number; of: number }[] = [];
  private next = 0;
  private given: { cards: number[]; prices: number[] } = { cards: [], prices: [] };

  constructor(
    private readonly play: Play,
    private readonly ends: boolean,
  ) {}

  begin(): void {
    this.next = 0;
    this.given = { cards: [...this.play.cards], prices: [...this.play.prices] };
  }

  private turn(of: number): number {
    const place = this.places[this.next] ?? (this.places[this.next] = { at: 0, of });
    this.next++;
    return place.at;
  }

  below(limit: number): number {
    if (this.given.prices.length > 0 && limit === prices) return this.given.prices.shift()! / priceStep - 1;
    if (this.ends && limit > 6) return this.turn(2) * (limit - 1);
    return this.turn(limit);
  }

  uniform(): number {
    return this.turn(2) === 0 ? 0.99 : 0.001;
  }

  /** As many low bits as one likes. */
  bits(): number {
    return 2 ** this.turn(20) - 1;
  }

  /** The card that lies next in a pile whose order is known. */
  card(): number | undefined {
    return this.given.cards.shift();
  }

  /** The next course that begins as far as this one went right; false when there is none. */
  on(): boolean {
    this.places.length = Math.min(this.places.length, this.next);
    while (this.places.length > 0) {
      const last = this.places.at(-1)!;
      if (++last.at < last.of) return true;
      this.places.pop();
    }
    return false;
  }
}
/** Prices go by five hundredths up to eight. */
const priceStep = 5;
const prices = 800 / priceStep;

vi.mock('../core/play/deck', async (original) => {
  const real = await original<typeof Decks>();
  class KnownDeck extends real.Deck {
    override draw(rng: never): number {
      const known = trying.draws instanceof Odometer ? trying.draws.card() : undefined;
      if (known === undefined) return super.draw(rng);
      this.left--;
      return known;
    }
  }
  return { ...real, Deck: KnownDeck };
});

/** A log that follows a written play and stops where the family tells something else. */
class FollowingLog extends GameLog {
  override readonly telling: boolean = true;
  moves = 0;
  constructor(
    private readonly play: Play,
    private readonly told: readonly string[],
    private readonly ignore: readonly number[],
    private readonly fractions: boolean,
    ...rest: ConstructorParameters<typeof GameLog>
  ) {
    super(...rest);
  }
  override begin(): void {
    super.begin();
    this.moves = 0;
  }
  override note(seat: number, sentence: number, x: number, y: number): void {
    if (this.ignore.includes(sentence)) return;
    const move = this.play.moves[this.moves++];
    if (move?.[0] !== seat || move[1] !== toldText(this.told[sentence]!, x, y, this.fractions)) throw new NotSo();
  }
}

const mostCourses = 3_000_000;

/** Whether some course of the family tells these moves in this order and ends with these scores. */
function replay(play: Play): { found: boolean; farthest: number } {
  const [gameId, variantId] = play.version.split('/');
  const game = shippedLibrary.find((g) => g.id === gameId)!;
  const variant = game.variants.find((v) => v.id === variantId)!;
  const { policy = 'random', ignore = [], ends = false } = asked[game.mechanism] ?? {};
  const table = checkTable(
    game.mechanism,
    variant.parameters,
    Array.from({ length: play.players }, () => ({ policy })),
  );
  if (!table.ok) throw new Error(table.problem.message);
  const { mechanism, seats } = table.value;
  const channels = mechanism.channels(seats[0]!.parameters, seats);
  const fractions = channels.some((c) => c.op.includes('fraction'));
  const log = new FollowingLog(
    play,
    mechanism.told,
    ignore,
    fractions,
    tallyShape(seats.length, channels, mechanism.range(seats)),
    DEFAULT_TIME,
  );
  const draws = new Odometer(play, ends);
  trying.draws = draws;
  let farthest = 0;
  try {
    const start = mechanism.createTable(seats);
    for (let course = 0; course < mostCourses; course++) {
      log.begin();
      draws.begin();
      try {
        start(createRng(1), log);
        const same = log.moves === play.moves.length && play.scores.every((x, s) => Math.abs(x - log.scores[s]!) < 1e-9);
        if (same && log.winner === play.winner) return { found: true, farthest: log.moves };
      } catch (error) {
        if (!(error instanceof NotSo)) throw error;
      }
      farthest = Math.max(farthest, log.moves);
      if (!draws.on()) break;
    }
    return { found: false, farthest };
  } finally {
    trying.draws = null;
  }
}

describe('what was played from the rules alone', () => {
  it('is twenty versions, over all ages', () => {
    expect(plays).toHaveLength(20);
    expect(new Set(plays.map((p) => p.play.version)).size).toBe(20);
    for (const { name, play } of plays) expect([name, play.moves.length >= 3, play.scores.length]).toEqual([name, true, play.players]);
  });
  it.each(plays.map((p) => [p.name, p.play] as const))('%s is legal, move by move, with the same score', (_, play) => {
    const { found, farthest } = replay(play);
    expect([found, found ? '' : `stuck at move ${farthest}: ${play.moves[farthest - 1]?.[1]}`]).toEqual([true, '']);
  });
  it('would not be found if a move were another', () => {
    const { play } = plays.find((p) => p.play.version === 'ferry-across/one-throw')!;
    const [player] = play.moves[5]!;
    expect(replay({ ...play, moves: play.moves.with(5, [player, 'shares 31 by 2 and moves by the rest']) }).found).toBe(false);
    expect(replay({ ...play, scores: play.scores.map((x) => x + 1) }).found).toBe(false);
    expect(replay({ ...play, winner: 1 }).found).toBe(false);
  });
});
