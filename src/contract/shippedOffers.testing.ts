import type { Offer } from '../core/recommend/offer';
import { libraryOffers } from './libraryOffers';
import { shippedGraph } from './shippedData';

/** The whole library as it ships; things are no matter. */
export const shippedOffers = (): Offer[] => libraryOffers(shippedGraph()).map((o) => ({ ...o, materials: [] }));
