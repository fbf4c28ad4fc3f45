import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { PairMemoryParameters } from './parameters';
import { chooseFirst, chooseSecond, newMind, recall } from './policies';
import { flip, isPair, lay, type MemoryState, newState, pairsOf, take } from './rules';

/** Channels, in the order of `index.ts`. */
const PARTNER = 0;
const CHECK = 1;
const READ_FIRST = 2;
const READ_SECOND = 3;

export function createTable(seats: readonly Seat<PairMemoryParameters>[]): PlayGame {
  const p = seats[0]!.parameters;
  const state = newState(p);
  const pairs = pairsOf(p);
  const mind = newMind(state.value.length);
  const count = seats.length;
  const looks = [p.firstLook, p.secondLook].map((look) => look !== 'numerals' && look !== 'words');
  const fractions = p.relation === 'equal-fraction';
  const readsFirst = looks[0]! && !fractions;
  const readsSecond = looks[1]! && !fractions;
  return (rng: Rng, log: GameLog): void => {
    lay(state, pairs, rng);
    let s = 0;
    while (state.left > 0 && log.turns < TURN_CAP) {
      const seat = seats[s]!;
      log.turn(s, state.left > 2 ? state.left : 1);
      recall(state, seat, mind, rng);
      const x = chooseFirst(state, mind, rng);
      look(state, x, s, readsFirst, readsSecond, log);
      askPartner(p, s, state.value[x]!, log);
      const y = chooseSecond(state, mind, x, rng);
      look(state, y, s, readsFirst, readsSecond, log);
      const found = isPair(state, x, y);
      if (p.relation === 'equal' || p.relation === 'equal-fraction') log.item(s, PARTNER, state.value[x]!, state.value[y]!);
      else if (!found) checkPair(p, s, state.value[x]!, state.value[y]!, log);
      if (log.telling) log.note(s, found ? 1 : 2, state.value[x]!, state.value[y]!);
      if (found) {
        take(state, x, y);
        log.scores[s]!++;
      }
      if (!found || !p.extraTurn) s = (s + 1) % count;
    }
    log.extra[0] = state.flips;
    log.capped = state.left > 0;
    settle(log, seats);
  };
}

function look(state: MemoryState, place: number, seat: number, readsFirst: boolean, readsSecond: boolean, log: GameLog): void {
  flip(state, place);
  const side = state.look[place]!;
  if (side === 0 ? readsFirst : readsSecond) log.item(seat, side === 0 ? READ_FIRST : READ_SECOND, state.value[place]!, 0);
}

/** The first card says what the second must be; a difference may go either way, up first. */
function askPartner(p: PairMemoryParameters, s: number, value: number, log: GameLog): void {
  if (p.relation === 'sum') log.item(s, PARTNER, value, p.sum - value);
  if (p.relation === 'difference') log.item(s, PARTNER, value + p.gap <= p.highestCard ? value + p.gap : value, p.gap);
}

function checkPair(p: PairMemoryParameters, s: number, x: number, y: number, log: GameLog): void {
  if (p.relation === 'sum') log.item(s, CHECK, x, y);
  else log.item(s, CHECK, x > y ? x : y, x > y ? y : x);
}
