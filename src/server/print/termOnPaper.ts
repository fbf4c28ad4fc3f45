import { termSheet } from '../../core/print/pack/termSheet';
import type { SheetPage } from '../../core/print/sheetPage';
import type { Paper } from '../../core/print/paper';
import { daysBetween } from '../../core/shared/days';
import type { Db } from '../db/db';
import { refuse } from '../http/problemError';
import { countryOf } from '../shared/country';
import { titles } from '../shared/titles';
import { dayText } from './dayText';
import { termView } from '../term/termStore';

/** The weeks of the term on paper, or one of them by its number from 1. @throws not-found where there is no term or week */
export function termOnPaper(
  db: Db,
  asked: { readonly week?: number; readonly paper?: Paper },
  today: string,
): { title: string; pages: SheetPage[] } {
  const { term, meetings } = termView(db, today);
  if (!term) throw refuse('not-found', 'There is no term yet. Set one under Plan: when it begins and ends, and on which days you meet.');
  const country = countryOf(db);
  const title = titles(db);
  const weekOf = (date: string): number => Math.floor(daysBetween(term.starts, date) / 7) + 1;
  const numbers = [...new Set(meetings.map((m) => weekOf(m.date)))].filter((n) => asked.week === undefined || n === asked.week);
  if (numbers.length === 0) throw refuse('not-found', `Nobody meets in week ${asked.week} of ${term.title}.`, 'week');
  const name = asked.week === undefined ? term.title : `${term.title}, week ${asked.week}`;
  return {
    title: name,
    pages: termSheet(
      name,
      numbers.map((n) => ({
        title: `week ${n}`,
        meetings: meetings
          .filter((m) => weekOf(m.date) === n)
          .map((m) => ({
            day: dayText(m.date, country.dates),
            time: m.startsAt,
            off: m.off ? `no meeting${m.offBecause ? `: ${m.offBecause}` : ''}` : '',
            games: m.plan?.games.map(title.game) ?? [],
          })),
      })),
      asked.paper ?? country.paper,
    ),
  };
}
