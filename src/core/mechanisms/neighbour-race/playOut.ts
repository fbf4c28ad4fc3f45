import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { NeighbourParameters } from './parameters';
import { leadsTo, makeBoard, type RaceBoard, WAYS } from './rules';

const PLUS = 0;
const FACTOR = 1;

type Racer = Seat<NeighbourParameters>;

export function createTable(seats: readonly Racer[]): PlayGame {
  const board = makeBoard(seats[0]!.parameters)!;
  const count = seats.length;
  const places = new Int32Array(count);
  return (rng: Rng, log: GameLog): void => {
    places.fill(0);
    // A head start is rows: the first space of that row.
    for (let s = 0; s < count; s++)
      if (seats[s]!.headStart > 0)
        places[s] = 1 + (Math.min(seats[s]!.headStart, seats[s]!.parameters.rows) - 1) * seats[s]!.parameters.width;
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      takeTurn(seats[s]!, s, board, places, rng, log);
      // The round is played out, so that nobody is ahead by having begun.
      if (s < count - 1 || !places.includes(board.last)) continue;
      const home = (o: number): number => (places[o] === board.last ? 1 : 0);
      log.winner = bestOf(
        seats.map((_, o) => home(o)),
        count,
      );
      log.rounds = Math.ceil((turn + 1) / count);
      for (let o = 0; o < count; o++) log.scores[o] = board.row[places[o]!]!;
      return;
    }
    log.capped = true;
    log.rounds = Math.ceil(TURN_CAP / count);
  };
}

function takeTurn(seat: Racer, s: number, board: RaceBoard, places: Int32Array, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const here = places[s]!;
  let options = 0;
  let chosen = -1;
  let die = 0;
  // With two dice the second is looked at only where the first moves nobody.
  for (let d = 0; d < p.choose && chosen < 0; d++) {
    die = between(rng, 1, p.faces);
    for (let w = 0; w < WAYS; w++) {
      const ahead = board.ahead[here * WAYS + w]!;
      if (ahead >= 0 && p.rule === 'die-is-factor') log.item(s, FACTOR, board.number[ahead]!, die);
      const next = leadsTo(p, board, here, die, w);
      if (next < 0 || (p.occupied === 'is-blocked' && next !== board.last && holderOf(places, next, s) >= 0)) continue;
      options++;
      // Whoever looks takes the space with somebody to send back; otherwise any of them.
      const sends = p.occupied === 'sends-back' && holderOf(places, next, s) >= 0 && !slips(seat, rng);
      if (chosen < 0 || sends || below(rng, options) === 0) chosen = next;
    }
    if (p.rule === 'here-plus-die') log.item(s, PLUS, board.number[here]!, die);
  }
  log.turn(s, options);
  if (chosen < 0) {
    log.note(s, 1, die, board.number[here]!);
    return;
  }
  const other = p.occupied === 'sends-back' && chosen !== board.last ? holderOf(places, chosen, s) : -1;
  if (other >= 0) {
    places[other] = 0;
    log.stand(other, 0);
    log.extra[0]!++;
  }
  places[s] = chosen;
  log.stand(s, board.row[chosen]!);
  log.note(s, other >= 0 ? 2 : 0, die, board.number[chosen]!);
}

function holderOf(places: Int32Array, space: number, except: number): number {
  for (let o = 0; o < places.length; o++) if (o !== except && places[o] === space) return o;
  return -1;
}
