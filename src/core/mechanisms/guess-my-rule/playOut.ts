import { between } from '../../play/deck';
import { slips } from '../../play/outcome';
import { type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { MachineParameters } from './parameters';

const MACHINE = 0;
const ADD = 1;
const TAKE = 2;
const TIMES = 3;

type Player = Seat<MachineParameters>;

/** One is the machine, the others feed it; who is the machine goes round. All find it together. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    let found = 0;
    for (let m = 0; m < p.machines * count; m++) {
      const times = p.rules === 'adds' || p.rules === 'takes-away' ? 1 : between(rng, 2, p.most);
      const plus = p.rules === 'multiplies' ? 0 : between(rng, 1, p.adds);
      if (feed(seats, m % count, times, plus, rng, log)) found++;
    }
    log.extra[0] = found / p.machines / count;
    for (let s = 0; s < count; s++) log.scores[s] = found;
    log.rounds = p.machines;
    log.winner = count === 1 && found === p.machines ? 0 : -1;
  };
}

/** Numbers go in until two that differ have told the rule to somebody who does not slip; true when it is found. */
function feed(seats: readonly Player[], machine: number, times: number, plus: number, rng: Rng, log: GameLog): boolean {
  const p = seats[0]!.parameters;
  const count = seats.length;
  let known = -1;
  for (let t = 0; t < p.tries; t++) {
    const s = count === 1 ? 0 : (machine + 1 + (t % (count - 1))) % count;
    // A careful mind puts in nought or ten first, where the rule shows bare; others put in what comes.
    const low = p.rules === 'takes-away' ? p.adds : 0;
    const input = seats[s]!.policy === 'careful' && t < 2 ? (t === 0 ? low : low + 1) : between(rng, low, Math.max(low + 2, p.inputs));
    log.turn(s, p.inputs);
    log.turn(machine, 1);
    work(p, machine, input, times, plus, log);
    log.note(machine, 0, input, p.rules === 'takes-away' ? input - plus : times * input + plus);
    if (known < 0 || known === input) {
      known = input;
      // One pair tells the rule where only one thing is done to it.
      if (p.rules === 'multiplies-and-adds') continue;
    }
    if (slips(seats[s]!, rng)) continue;
    // The guess is tried on a number of one's own before it is said.
    const own = between(rng, low, Math.max(low + 2, p.inputs));
    work(p, s, own, times, plus, log);
    log.note(s, 1, times, plus);
    return true;
  }
  return false;
}

function work(p: MachineParameters, s: number, input: number, times: number, plus: number, log: GameLog): void {
  if (p.rules === 'adds') log.item(s, ADD, input, plus);
  else if (p.rules === 'takes-away') log.item(s, TAKE, input, plus);
  else if (p.rules === 'multiplies') log.item(s, TIMES, input, times);
  else log.item(s, MACHINE, input, times * 100 + plus);
}
