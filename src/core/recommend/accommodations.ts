import type { Offer } from './offer';

/** What a game must allow for, by child. Speed is the other way round: it must be welcomed. */
export const accommodations = ['speed-welcome', 'no-playing-cards', 'right-way-up', 'little-reading'] as const;
export type Accommodation = (typeof accommodations)[number];

/** Rule families that reward the fastest. */
const racing = ['call-and-claim'];
/** Rule families that ask for reading at the table. */
const reading = ['story-cards', 'task-hunt'];

/** What keeps a version from a child, or null. */
export function notFor(offer: Pick<Offer, 'mechanism' | 'parameters' | 'materials' | 'helper'>, child: readonly Accommodation[]): 'speed' | Exclude<Accommodation, 'speed-welcome'> | null {
  if (offer.mechanism !== null && racing.includes(offer.mechanism) && offer.parameters['form'] === 'race' && !child.includes('speed-welcome')) return 'speed';
  if (child.includes('no-playing-cards') && offer.materials.some((m) => m.kind === 'playing-cards')) return 'no-playing-cards';
  if (child.includes('right-way-up') && offer.mechanism === 'edge-tiles' && offer.parameters['turning'] === true) return 'right-way-up';
  if (child.includes('little-reading') && offer.mechanism !== null && reading.includes(offer.mechanism) && offer.helper === 'alone') return 'little-reading';
  return null;
}
