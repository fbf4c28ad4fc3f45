import type { TermWire } from '../../contract/wire/term';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { daysBetween } from '../../core/shared/days';
import { call, link } from '../shared/api';
import { App } from '../shared/App';
import { dayWords } from '../shared/words';
import { isTyping, placeKeys, singleKeysOn } from './keys';
import styles from './strip.module.css';
import { TermLine } from './TermLine';

// Both are opened seldom and weigh more than the strip.
const CommandPalette = lazy(() => import('./CommandPalette'));
const KeyList = lazy(() => import('./KeyList'));

/** Where we are in time, on every page, and the way to everywhere. */
export default function TermStrip({ place }: { place: string }) {
  return (
    <App>
      <Strip place={place} />
    </App>
  );
}

function Strip({ place }: { place: string }) {
  const { data } = useQuery({ queryKey: ['term'], queryFn: () => call('GET /term') });
  const [open, setOpen] = useState<'palette' | 'keys' | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen((o) => (o === 'palette' ? null : 'palette'));
        return;
      }
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) return;
      if (event.key === '?') {
        // The sign itself is not to land in a field.
        event.preventDefault();
        setOpen('keys');
      }
      const goal = placeKeys[event.key];
      if (goal && singleKeysOn()) location.href = link(goal.path);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  return (
    <header className={styles.strip} data-place={place}>
      <div className={styles.name}>
        <strong>{data?.term?.title ?? 'Zeitgeber'}</strong>
        <span>{data?.term ? weekWords(data) : data ? (data.door === 'kitchen' ? dayWords(data.today) : 'No term yet') : ' '}</span>
      </div>
      <div className={styles.line}>
        {data?.term ? (
          <TermLine data={data} />
        ) : data ? (
          data.door === 'kitchen' ? (
            <a href={link('/plan?now')}>A session now</a>
          ) : (
            <a href={link('/plan')}>Say when you meet</a>
          )
        ) : null}
      </div>
      <div className={styles.asks}>
        <button type="button" className={styles.ask} onClick={() => setOpen('palette')}>
          <span>Go to …</span>
          <kbd>Ctrl K</kbd>
        </button>
        <button type="button" className={styles.askKeys} aria-label="Keys" title="What the keyboard can do" onClick={() => setOpen('keys')}>
          ?
        </button>
      </div>
      <Suspense>
        {open === 'palette' && <CommandPalette onClose={() => setOpen(null)} />}
        {open === 'keys' && <KeyList onClose={() => setOpen(null)} />}
      </Suspense>
    </header>
  );
}

const weekOf = (date: string, start: string): number => Math.floor(daysBetween(start, date) / 7) + 1;

function weekWords(data: TermWire): string {
  const weeks = weekOf(data.term!.ends, data.term!.starts);
  if (data.today < data.term!.starts) return `starts ${dayWords(data.term!.starts)}`;
  if (data.today > data.term!.ends) return 'term is over';
  return `week ${weekOf(data.today, data.term!.starts)} of ${weeks}`;
}
