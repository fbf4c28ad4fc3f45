import type { MeetingWire, TermWire } from '../../contract/wire/term';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { daysBetween } from '../../core/shared/days';
import { link } from '../shared/api';
import { dayWords } from '../shared/words';
import styles from './strip.module.css';

const height = 38;
const left = 8;
const narrowBelow = '(max-width: 720px)';

function useNarrow(): boolean {
  const [narrow, setNarrow] = useState(false);
  useEffect(() => {
    const query = matchMedia(narrowBelow);
    const update = (): void => setNarrow(query.matches);
    update();
    query.addEventListener('change', update);
    return () => query.removeEventListener('change', update);
  }, []);
  return narrow;
}

/** Weeks as ticks, meetings as blocks, a needle at today. One tab stop; arrows go from meeting to meeting. On a phone it is one link. */
export function TermLine({ data }: { data: TermWire }) {
  const narrow = useNarrow();
  const list = useRef<SVGSVGElement>(null);
  const { starts, ends } = data.term!;
  const width = narrow ? 340 : 620;
  const span = Math.max(1, daysBetween(starts, ends) + 1);
  const x = (date: string): number => left + (daysBetween(starts, date) / span) * (width - 2 * left);
  const weeks = Math.ceil(span / 7);
  const weekWidth = (7 * (width - 2 * left)) / span;
  const block = Math.min(13, ((width - 2 * left) / span) * 1.6);
  const now = Math.min(width - left, Math.max(left, x(data.today) + block / 2));
  const nearest = data.meetings.findIndex((m) => m.date >= data.today);
  const [at, setAt] = useState<number | null>(null);
  const stop = at ?? (nearest >= 0 ? nearest : data.meetings.length - 1);
  const words = `Term line: ${data.meetings.length} meetings, ${data.meetings.filter((m) => m.state === 'played').length} played`;
  function onKey(event: KeyboardEvent): void {
    const to = { ArrowRight: stop + 1, ArrowLeft: stop - 1, Home: 0, End: data.meetings.length - 1 }[event.key];
    if (to === undefined || to < 0 || to >= data.meetings.length) return;
    event.preventDefault();
    setAt(to);
    list.current?.querySelectorAll<SVGAElement>('a')[to]?.focus();
  }
  const picture = (
    <>
      <path d={`M${left} 31H${width - left}`} className={styles.base} />
      {Array.from({ length: weeks }, (_, i) => (
        <g key={i} aria-hidden="true">
          <path d={`M${left + i * weekWidth} 14V31`} className={styles.week} />
          <text x={left + i * weekWidth + 3} y={16} className={styles.weekText}>
            {i + 1}
          </text>
        </g>
      ))}
      {data.meetings.map((m, i) => {
        const mark = <Block m={m} x={x(m.date)} w={block} />;
        return narrow ? (
          <g key={m.id}>{mark}</g>
        ) : (
          <a
            key={m.id}
            href={link(m.plan ? `/plan/${m.plan.id}` : `/plan?date=${m.date}`)}
            aria-label={`${dayWords(m.date)}, ${stateWords[m.state]}`}
            tabIndex={i === stop ? 0 : -1}
            onFocus={() => setAt(i)}
          >
            <rect x={x(m.date) - Math.max(0, 25 - block) / 2} y={0} width={Math.max(25, block)} height={height} fill="transparent" />
            {mark}
          </a>
        );
      })}
      <g pointerEvents="none">
        <path d={`M${now} 8V33`} className={styles.needle} />
        <path d={`M${now - 4.5} 2h9l-4.5 7z`} className={styles.needleHead} />
      </g>
    </>
  );
  if (narrow)
    return (
      <a href={link('/plan')} aria-label={`${words}. To the plan.`}>
        <svg viewBox={`0 0 ${width} ${height}`} className={styles.svg} aria-hidden="true">
          {picture}
        </svg>
      </a>
    );
  return (
    <svg ref={list} viewBox={`0 0 ${width} ${height}`} className={styles.svg} role="group" aria-label={words} onKeyDown={onKey}>
      {picture}
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
  if (m.state === 'off') return <path d={`M${x} 21l${w} 8M${x + w} 21l${-w} 8`} className={styles.off} />;
  return (
    <rect
      x={x}
      y={21}
      width={w}
      height={9}
      className={m.state === 'played' ? styles.played : m.state === 'missed' ? styles.missed : m.plan ? styles.planned : styles.ahead}
    />
  );
}
