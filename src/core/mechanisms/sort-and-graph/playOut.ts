import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { GraphParameters } from './parameters';

const COUNT = 0;
const RECORD = 1;
const READ = 2;
const MORE = 3;
const MOST = 4;
const ALTOGETHER = 5;
/** Seconds to sort one piece (common practice, no source). */
const sortSeconds = 2;

type Player = Seat<GraphParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const common = seats[0]!.parameters;
  const trays = new Int32Array(5);
  return (rng: Rng, log: GameLog): void => {
    const graphs = common.together ? 1 : count;
    for (let g = 0; g < graphs; g++) {
      const p = seats[g]!.parameters;
      sortPieces(p, trays, rng);
      if (common.together) for (let s = 0; s < count; s++) log.spend(s, (sortSeconds * p.pieces) / count);
      else log.spend(g, sortSeconds * p.pieces);
      for (let t = 0; t < p.trays; t++) recordTray(p, common.together ? t % count : g, trays[t]!, log);
      if (!common.together) askAll(seats[g]!, g, trays, rng, log);
    }
    if (common.together) for (let s = 0; s < count; s++) askAll(seats[s]!, s, trays, rng, log);
    settle(log, seats);
  };
}

function sortPieces(p: GraphParameters, trays: Int32Array, rng: Rng): void {
  trays.fill(0);
  const weights = (p.trays * (p.trays + 1)) / 2;
  for (let i = 0; i < p.pieces; i++) {
    if (p.uneven === 'evenly') {
      trays[below(rng, p.trays)]!++;
      continue;
    }
    let at = below(rng, weights);
    let t = 0;
    while (at > t) at -= ++t;
    trays[t]!++;
  }
}

function recordTray(p: GraphParameters, s: number, pieces: number, log: GameLog): void {
  log.turn(s, 1);
  log.item(s, COUNT, pieces, 0);
  if (p.record === 'tally') log.item(s, RECORD, pieces, 0);
  // On a scale the last square may be filled in part only.
  else for (let drawn = 0; drawn + p.scale <= pieces; drawn += p.scale) log.item(s, RECORD, drawn, p.scale);
  log.note(s, 0, pieces, Math.ceil(pieces / p.scale));
}

function askAll(seat: Player, s: number, trays: Int32Array, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  for (let q = 0; q < p.questions; q++) {
    log.turn(s, 1);
    const x = below(rng, p.trays);
    const y = (x + 1 + below(rng, p.trays - 1)) % p.trays;
    log.item(s, READ, trays[x]!, p.record === 'tally' ? 1 : p.scale);
    if (p.howManyMore) {
      log.item(s, READ, trays[y]!, p.record === 'tally' ? 1 : p.scale);
      log.item(s, MORE, Math.max(trays[x]!, trays[y]!), Math.min(trays[x]!, trays[y]!));
    } else if (q % 2 === 0) log.item(s, MOST, trays[x]!, trays[y]!);
    else log.item(s, ALTOGETHER, trays[x]!, trays[y]!);
    if (slips(seat, rng)) log.extra[0]!++;
    else log.scores[s]!++;
  }
}
