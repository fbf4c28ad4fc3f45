import type { Standing } from '../mastery/standing';
import { atTable } from './atTable';
import type { Offer } from './offer';
import { practised } from './practised';

/** A seat of a session that took place. */
export interface Play {
  readonly learner: string;
  readonly variant: string;
  readonly players: number;
  /** Two played the seat as partners: each met half of its chances. */
  readonly shared?: boolean;
  readonly minutes: number;
  readonly date: string;
}

/** A step counts as met again from so many chances in a round on. */
export const metFrom = 4;

/** The day on which each skill was last met in a game that was played, by learner and index: calculated, never evidence. */
export function metInPlay(plays: readonly Play[], offers: readonly Offer[]): ReadonlyMap<string, ReadonlyMap<number, string>> {
  const offerOf = new Map(offers.map((o) => [o.variant, o]));
  const met = new Map<string, Map<number, string>>();
  for (const p of plays) {
    const offer = offerOf.get(p.variant);
    if (!offer) continue;
    let mine = met.get(p.learner);
    if (!mine) met.set(p.learner, (mine = new Map()));
    const { doses } = atTable(offer, p.players, p.minutes);
    for (const k of practised(doses))
      if (((p.shared ? 0.5 : 1) * doses[k]! * p.minutes) / 10 >= metFrom && p.date > (mine.get(k) ?? '')) mine.set(k, p.date);
  }
  return met;
}

/** What was seen once and met in play since has not rested: it fades from that day on. How well it went nobody knows, so nothing else changes. */
export const renewed = (skills: readonly Standing[], met: ReadonlyMap<number, string> | undefined): Standing[] =>
  skills.map((s, k) => {
    const day = met?.get(k);
    return day !== undefined && s.lastMet !== null && day > s.lastMet ? { ...s, lastMet: day } : s;
  });
