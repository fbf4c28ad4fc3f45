import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { get, link } from '../shared/api';
import { App } from '../shared/App';
import type { MeetingWire, TermWire } from '../shared/types';
import { CommandPalette } from './CommandPalette';
import styles from './strip.module.css';

const width = 620;
const height = 34;
const left = 8;

/** Weeks as ticks, meetings as blocks, a needle at now: where we are in time, on every page. */
export default function TermStrip({ place }: { place: string }) {
  return (
    <App>
      <Strip place={place} />
    </App>
  );
}

function Strip({ place }: { place: string }) {
  const { data } = useQuery({ queryKey: ['term'], queryFn: () => get<TermWire>('/term') });
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen((o) => !o);
      }
      const typing = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') setOpen(true);
      const goal = { s: '/shelf', l: '/learners', p: '/plan', g: '/prep', y: '/play', r: '/review' }[event.key];
      if (goal && !document.querySelector('dialog[open]')) location.href = link(goal);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  return (
    <header className={styles.strip} data-place={place}>
      <div className={styles.name}>
        <strong>{data?.term?.title ?? 'Zeitgeber'}</strong>
        <span>{data?.term ? weekWords(data) : data ? 'No term yet' : ' '}</span>
      </div>
      <div className={styles.line}>{data?.term ? <Line data={data} /> : data ? <a href={link('/plan')}>Say when you meet</a> : null}</div>
      <button type="button" className={styles.ask} onClick={() => setOpen(true)}>
        <span>Go to …</span>
        <kbd>Ctrl K</kbd>
      </button>
      {open && <CommandPalette onClose={() => setOpen(false)} />}
    </header>
  );
}

const dayMs = 86_400_000;
const weekOf = (date: string, start: string): number => Math.floor((Date.parse(date) - Date.parse(start)) / dayMs / 7) + 1;

function weekWords(data: TermWire): string {
  const weeks = weekOf(data.term!.ends, data.term!.starts);
  if (data.today < data.term!.starts) return `starts ${data.term!.starts}`;
  if (data.today > data.term!.ends) return 'term is over';
  return `week ${weekOf(data.today, data.term!.starts)} of ${weeks}`;
}

function Line({ data }: { data: TermWire }) {
  const { starts, ends } = data.term!;
  const span = Math.max(1, (Date.parse(ends) - Date.parse(starts)) / dayMs + 1);
  const x = (date: string): number => left + ((Date.parse(date) - Date.parse(starts)) / dayMs / span) * (width - 2 * left);
  const weeks = Math.ceil(span / 7);
  const block = Math.min(13, ((width - 2 * left) / span) * 1.6);
  const now = Math.min(width - left, Math.max(left, x(data.today) + block / 2));
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={styles.svg}
      role="img"
      aria-label={`Term line: ${data.meetings.length} meetings, ${data.meetings.filter((m) => m.state === 'played').length} played`}
    >
      <path d={`M${left} 28H${width - left}`} className={styles.base} />
      {Array.from({ length: weeks }, (_, i) => (
        <g key={i}>
          <path d={`M${left + (i * 7 * (width - 2 * left)) / span} 12V28`} className={styles.week} />
          <text x={left + (i * 7 * (width - 2 * left)) / span + 3} y={14} className={styles.weekText}>
            {i + 1}
          </text>
        </g>
      ))}
      {data.meetings.map((m) => (
        <a key={m.id} href={link(m.plan ? `/plan/${m.plan.id}` : `/plan?date=${m.date}`)} aria-label={`${m.date}, ${stateWords[m.state]}`}>
          <Block m={m} x={x(m.date)} w={block} />
        </a>
      ))}
      <path d={`M${now} 6V30`} className={styles.needle} />
      <path d={`M${now - 4.5} 1h9l-4.5 7z`} className={styles.needleHead} />
    </svg>
  );
}

const stateWords: Record<MeetingWire['state'], string> = {
  played: 'played',
  missed: 'not noted as played',
  ahead: 'ahead',
  off: 'no meeting',
};

function Block({ m, x, w }: { m: MeetingWire; x: number; w: number }) {
  if (m.state === 'off') return <path d={`M${x} 19l${w} 7M${x + w} 19l${-w} 7`} className={styles.off} />;
  return (
    <rect
      x={x}
      y={19}
      width={w}
      height={8}
      className={m.state === 'played' ? styles.played : m.state === 'missed' ? styles.missed : m.plan ? styles.planned : styles.ahead}
    />
  );
}
