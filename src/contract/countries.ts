import list from '../../data/countries/countries.json';
import type { Country } from '../core/play/country';

/** Countries whose coins, rulers, paper, dates and words the app knows; the first is how everything is written. */
export const countries = list as unknown as readonly Country[];
export const asWritten = countries[0]!;

export const countryById = (id: string | null): Country | undefined => countries.find((c) => c.id === id);
