import { cubeNets, oppositeFace } from '../../items/acts/shapes';
import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { BoxesParameters } from './parameters';

const LAYER = 0;
const VOLUME = 1;
const NET = 2;
const BUILD = 3;

const cubeSeconds = 1.5;
const foldSeconds = 25;
const pieceSeconds = 4;

type Player = Seat<BoxesParameters>;

/** The active player works a card out and makes it; the others bet whether it will turn out so. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const most = Math.max(...seats.map((s) => s.parameters.cards));
  return (rng: Rng, log: GameLog): void => {
    for (let card = 0; card < most; card++)
      for (let s = 0; s < count; s++) {
        const { parameters: p } = seats[s]!;
        if (card >= p.cards) continue;
        log.turn(s, 1);
        const right = work(seats[s]!, s, rng, log);
        if (right) log.scores[s]! += 2;
        if (p.bets === 'nobody-bets') continue;
        for (let o = 0; o < count; o++) {
          if (o === s) continue;
          // Who bets looks at the same card; a sharp eye sees a slip.
          const sees = seats[o]!.policy === 'random' ? below(rng, 2) === 0 : !slips(seats[o]!, rng);
          if (sees) log.scores[o]!++;
        }
      }
    settle(log, seats);
  };
}

function work(seat: Player, s: number, rng: Rng, log: GameLog): boolean {
  const { parameters: p } = seat;
  const wrong = slips(seat, rng);
  if (p.task === 'how-many-cubes') {
    const [x, y, z] = [between(rng, 2, p.longest), between(rng, 2, p.longest), between(rng, 2, p.longest)];
    log.item(s, LAYER, x, y);
    log.item(s, VOLUME, x * y, z);
    log.spend(s, cubeSeconds * Math.min(40, x * y * z));
    log.note(s, 0, x * y * z, z);
  } else if (p.task === 'which-face-opposite') {
    const net = below(rng, cubeNets.length);
    const face = below(rng, 6);
    log.item(s, NET, net, face);
    log.spend(s, foldSeconds);
    log.note(s, 1, face + 1, oppositeFace(net, face) + 1);
  } else {
    const n = between(rng, 2, p.pieces);
    log.item(s, BUILD, n, 0);
    log.spend(s, pieceSeconds * n);
    log.note(s, 2, n, 0);
  }
  return !wrong;
}
