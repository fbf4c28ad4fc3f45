import { eq } from 'drizzle-orm';
import { asWritten, countries, countryById } from '../../contract/countries';
import type { Country } from '../../core/play/country';
import type { Db } from '../db/db';
import { settings } from '../db/schema';
import { refuse } from '../http/problemError';

const key = 'country';

/** Whose coins, rulers, paper, dates and words the owner uses; as everything is written, until somebody says. */
export const countryOf = (db: Db): Country =>
  countryById(db.select().from(settings).where(eq(settings.key, key)).get()?.value ?? null) ?? asWritten;

export function setCountry(db: Db, id: string): Pick<Country, 'dates'> & { country: string } {
  const country = countryById(id);
  if (!country)
    throw refuse('unknown-value', `There is no country "${id}"; choose one of ${countries.map((c) => c.id).join(', ')}.`, 'country');
  db.insert(settings)
    .values({ key, value: id })
    .onConflictDoUpdate({ target: settings.key, set: { value: id } })
    .run();
  return { country: id, dates: country.dates };
}
