import { between, Deck } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { MatchParameters } from './parameters';
import { halves, partsDrawn } from './halves';

const MATCH = 0;
const SAY = 1;
/** Seconds to look through the halves on the table, each (common practice, no source). */
const lookSeconds = 0.7;

/** All match against the timer; nobody plays against another. */
export function createTable(seats: readonly Seat<MatchParameters>[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const matches = halves[p.halves].list(p);
  const drawn = partsDrawn.includes(p.halves);
  const deck = new Deck(matches.map((_, i) => i));
  /** Pairs that were met and have no partner yet, and which two numbers make the whole on such a half. */
  const pairs = new Int32Array(p.sets);
  const parts = new Int32Array(p.sets);
  const meet = (at: number, rng: Rng): void => {
    pairs[at] = deck.draw(rng);
    parts[at] = drawn ? between(rng, 1, matches[pairs[at]!]![0] - 1) : 0;
  };
  return (rng: Rng, log: GameLog): void => {
    deck.reset();
    let left = p.sets;
    let met = 0;
    let s = below(rng, count);
    for (let tries = 0; left > 0 && tries < p.sets * 6; tries++) {
      // Any pair that still lies there; one that went wrong before is known, another is met now.
      const at = met === 0 ? 0 : below(rng, left);
      if (at >= met) meet(met, rng);
      const here = Math.min(at, met);
      met = Math.max(met, here + 1);
      const [x, y] = matches[pairs[here]!]!;
      const part = parts[here]!;
      const a = drawn ? part : x;
      const b = drawn ? x - part : y;
      log.turn(s, left);
      log.spend(s, lookSeconds * 2 * left);
      log.item(s, MATCH, a, b);
      if (slips(seats[s]!, rng)) {
        log.extra[1]!++;
        log.note(s, 1, a, b);
        // The wrong partner is noticed, the half goes back and is looked at again.
        log.item(s, MATCH, a, b);
      } else {
        left--;
        met--;
        pairs[here] = pairs[met]!;
        parts[here] = parts[met]!;
        log.scores[s]!++;
        log.note(s, 0, a, b);
        if (p.sayIt) log.item(s, SAY, a, b);
      }
      s = (s + 1) % count;
    }
    log.rounds = Math.ceil(log.turns / count);
    const seconds = p.play === 'all-at-once' ? log.longestSeconds() : log.allSeconds();
    log.extra[0] = seconds <= p.timer * 60 ? 1 : 0;
    log.winner = count === 1 && log.extra[0] === 1 ? 0 : -1;
  };
}
