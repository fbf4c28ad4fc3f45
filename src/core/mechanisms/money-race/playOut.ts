import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { MoneyParameters } from './parameters';

const SPENT = 0;
const LEFT = 1;
const COMPARE = 2;

/** Thousandths of a unit in a hundredth: money is counted as every decimal is. */
const hundredth = 10;
const unit = 1000;

type Player = Seat<MoneyParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const spent = new Int32Array(count);
  const things = new Int32Array(count);
  const common = seats[0]!.parameters;
  const stall = new Int32Array(common.stall);
  return (rng: Rng, log: GameLog): void => {
    spent.fill(0);
    things.fill(0);
    const price = (): number => between(rng, 1, (common.dearest * 100) / common.priceStep) * common.priceStep * hundredth;
    for (let i = 0; i < stall.length; i++) stall[i] = price();
    for (let turn = 0; turn < common.turns * count; turn++) {
      const s = turn % count;
      const { parameters: p } = seats[s]!;
      const left = p.purse * unit - spent[s]!;
      const pick = choose(seats[s]!, stall, left, rng, log, s);
      if (pick < 0) {
        log.note(s, 1, left / unit, 0);
        // Nothing can be paid for: the stall gets one other thing.
        stall[below(rng, stall.length)] = price();
        continue;
      }
      const cost = stall[pick]!;
      pay(p, s, cost, left, log);
      if (spent[s]! > 0) log.item(s, SPENT, spent[s]!, cost);
      spent[s]! += cost;
      things[s]!++;
      log.stand(s, p.aim === 'buys-most-things' ? things[s]! : spent[s]! / unit);
      stall[pick] = price();
      log.note(s, 0, cost / unit, spent[s]! / unit);
    }
    for (let s = 0; s < count; s++) {
      const p = seats[s]!.parameters;
      log.scores[s] = p.aim === 'buys-most-things' ? things[s]! : spent[s]! / unit;
      log.extra[0]! += (p.purse * unit - spent[s]!) / hundredth / count;
    }
    settle(log, seats);
  };
}

/** The dearest that can be paid for leaves least; who wants many things takes the cheapest. */
function choose(seat: Player, stall: Int32Array, left: number, rng: Rng, log: GameLog, s: number): number {
  const thinks = seat.policy !== 'random' && !slips(seat, rng);
  const many = seat.parameters.aim === 'buys-most-things';
  let best = -1;
  let open = 0;
  for (let i = 0; i < stall.length; i++) {
    if (stall[i]! > left) continue;
    open++;
    if (best >= 0 && thinks) log.item(s, COMPARE, stall[i]!, stall[best]!);
    const better = best < 0 || (thinks ? (many ? stall[i]! < stall[best]! : stall[i]! > stall[best]!) : below(rng, open) === 0);
    if (better) best = i;
  }
  log.turn(s, open);
  return best;
}

/** With a note of the next whole units there is change to be worked out. */
function pay(p: MoneyParameters, s: number, cost: number, left: number, log: GameLog): void {
  if (p.pays === 'the-exact-sum') {
    log.item(s, LEFT, left, cost);
    return;
  }
  const note = [1, 2, 5, 10, 20, 50].find((n) => n * unit >= cost && n * unit <= left) ?? 0;
  log.item(s, LEFT, note > 0 ? note * unit : left, cost);
}
