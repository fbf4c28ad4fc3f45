import { fourOperations } from '../../play/arithmetic';
import { between, Deck } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { WheelParameters } from './parameters';

/** The operation that undoes each, by channel. */
const undoes = [1, 0, 3, 2] as const;

type Player = Seat<WheelParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const turns = Math.max(...seats.map((s) => s.parameters.turns));
  const decks = seats.map(({ parameters: p }) => new Deck(Array.from({ length: p.to - p.from + 1 }, (_, i) => p.from + i)));
  return (rng: Rng, log: GameLog): void => {
    for (const deck of decks) deck.reset();
    for (let turn = 0; turn < turns; turn++)
      for (let s = 0; s < seats.length; s++) if (turn < seats[s]!.parameters.turns) oneFact(seats[s]!, s, turn, decks[s]!, rng, log);
    settle(log, seats);
  };
}

function oneFact(seat: Player, s: number, turn: number, deck: Deck, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const op = fourOperations.indexOf(p.operation);
  log.turn(s, 1);
  const outer = outerNumber(p, turn, deck, rng);
  // Taking away and sharing start from what is made of the two, so that results are whole.
  const a = op === 1 ? outer + p.fixed : op === 3 ? outer * p.fixed : outer;
  log.item(s, op, a, p.fixed);
  log.note(s, 0, a, p.fixed);
  if (p.turnRound && (op === 0 || op === 2)) log.item(s, op, p.fixed, outer);
  if (p.turnRound && (op === 1 || op === 3) && (op === 1 || outer > 0)) log.item(s, op, a, outer);
  if (p.undo && (op !== 2 || outer > 0)) log.item(s, undoes[op]!, op === 0 ? outer + p.fixed : op === 2 ? outer * p.fixed : outer, p.fixed);
  if (slips(seat, rng)) log.extra[0]!++;
  else log.scores[s]!++;
}

function outerNumber(p: WheelParameters, turn: number, deck: Deck, rng: Rng): number {
  if (p.order === 'by-spinning') return between(rng, p.from, p.to);
  if (p.order === 'round') return p.from + (turn % (p.to - p.from + 1));
  if (deck.left === 0) deck.reset();
  return deck.draw(rng);
}
