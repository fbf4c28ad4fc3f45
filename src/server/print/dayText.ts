import type { Country } from '../../core/play/country';

/** A day as it is said in a country, whatever zone the machine stands in. */
export const dayText = (day: string, dates: Country['dates']): string =>
  new Intl.DateTimeFormat(dates === 'month-first' ? 'en-US' : 'en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(new Date(`${day}T12:00:00Z`));
