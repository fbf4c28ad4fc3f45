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
  return (rng: Rng, log: GameLog): void => {
    deck.reset();
    let left = p.sets;
    let s = below(rng, count);
    for (let tries = 0; left > 0 && tries < p.sets * 6; tries++) {
      const [x, y] = matches[deck.left > 0 ? deck.draw(rng) : below(rng, matches.length)]!;
      const part = drawn ? between(rng, 1, x - 1) : 0;
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
