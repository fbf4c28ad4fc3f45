import type { StandIn } from '../materials/substitutes';

/** A variant as recommending and planning see it. */
export interface Offer {
  readonly variant: string;
  readonly game: string;
  readonly title: string;
  readonly gameTitle: string;
  /** Variants of one game with the same class can share a table. */
  readonly mixClass: string;
  /** Rule family; null when nobody has named it. */
  readonly mechanism: string | null;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly players: readonly [number, number];
  readonly ages: readonly [number, number];
  readonly minutes: number;
  readonly helper: 'alone' | 'nearby' | 'needed';
  /** How it goes on in the room; quietly at a table where nothing is said. */
  readonly room?: 'calm' | 'lively' | 'floor';
  readonly preparationMinutes: number;
  readonly materials: readonly { readonly kind: string; readonly quantity: number }[];
  /** What stands in there for what is not to be had. */
  readonly standIns?: readonly StandIn[];
  /** Chances per learner in ten minutes of play, by index of the skill graph. */
  readonly doses: Float64Array;
  /** The table those were counted at, and the share of a player's time there that was waiting; missing where nobody counted. */
  readonly counted?: { readonly seats: number; readonly waiting: number };
  /**
   * How the doses were made: played by the machine, the owner's word, or not at all: nobody has said how it is
   * played, it is being played now, or it cannot be played as it stands.
   */
  readonly source: 'calculated' | 'declared' | 'words' | 'none' | 'measuring' | 'faulty';
}

/** Whether anything is known of what a variant practises. */
export const isKnown = (o: Offer): boolean => o.source === 'calculated' || o.source === 'declared' || o.source === 'words';
