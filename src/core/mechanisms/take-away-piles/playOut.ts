import { between } from '../../play/deck';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { TakeAwayParameters } from './parameters';
import { canForce } from './rules';

const TAKE = 0;
const SAY = 1;

type Player = Seat<TakeAwayParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const table = seats[0]!.parameters;
  const piles = new Int32Array(table.piles);
  return (rng: Rng, log: GameLog): void => {
    piles.fill(table.size);
    let left = table.size * table.piles;
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      const p = seats[s]!.parameters;
      log.turn(s, choices(piles, p.most));
      const move = choose(piles, seats[s]!, count, rng);
      const pile = Math.floor(move / 32);
      const take = move % 32;
      if (p.form === 'take-away') {
        log.item(s, TAKE, piles[pile]!, take);
        log.note(s, 0, take, piles[pile]! - take);
      } else {
        log.item(s, SAY, p.size - piles[pile]!, take);
        log.note(s, 1, take, p.size - piles[pile]! + take);
      }
      piles[pile]! -= take;
      left -= take;
      if (left > 0) continue;
      log.rounds = Math.ceil((turn + 1) / count);
      log.winner = p.last === 'wins' ? s : (s + count - 1) % count;
      log.scores[log.winner] = 1;
      return;
    }
    log.capped = true;
  };
}

function choices(piles: Int32Array, most: number): number {
  let n = 0;
  for (let i = 0; i < piles.length; i++) n += piles[i]! < most ? piles[i]! : most;
  return n;
}

/** A winning move if there is one and the player sees it, any move otherwise; pile × 32 + number. */
function choose(piles: Int32Array, seat: Player, players: number, rng: Rng): number {
  const p = seat.parameters;
  const sees = players === 2 && seat.policy !== 'random' && (seat.policy === 'careful' || uniform(rng) >= 0.4 + 0.6 * seat.errorRate);
  if (sees) {
    for (let i = 0; i < piles.length; i++)
      for (let take = 1; take <= p.most && take <= piles[i]!; take++) {
        piles[i]! -= take;
        const wins = !canForce(piles, p.most, p.last === 'wins') && !(p.last === 'loses' && empty(piles));
        piles[i]! += take;
        if (wins) return i * 32 + take;
      }
  }
  let pile = below(rng, piles.length);
  while (piles[pile] === 0) pile = (pile + 1) % piles.length;
  return pile * 32 + between(rng, 1, Math.min(p.most, piles[pile]!));
}

function empty(piles: Int32Array): boolean {
  for (let i = 0; i < piles.length; i++) if (piles[i]! > 0) return false;
  return true;
}
