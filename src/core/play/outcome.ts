import { bestOf } from './bestOf';
import type { GameLog } from '../simulate/gameLog';
import { uniform, type Rng } from '../shared/rng';

interface Player {
  readonly policy: 'careful' | 'typical' | 'random';
  readonly errorRate: number;
  readonly headStart: number;
}

/** Whether a player slips this time: never when careful, by its rate when typical, half the time when guessing. */
export function slips(player: Player, rng: Rng): boolean {
  if (player.policy === 'careful') return false;
  return uniform(rng) < (player.policy === 'random' ? 0.5 : player.errorRate);
}

/** Settles a game by points, each player's head start added; a tie has no winner. */
export function settle(log: GameLog, players: readonly Player[]): void {
  for (let s = 0; s < players.length; s++) log.scores[s]! += players[s]!.headStart;
  log.winner = bestOf(log.scores, players.length);
  log.rounds = Math.ceil(log.turns / players.length);
}
