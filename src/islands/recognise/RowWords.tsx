import type { ReactNode } from 'react';
import type { AskedWire } from '../../contract/wire/recognise';
import styles from './recognise.module.css';

/** A column of her file that is none of ours, kept as `Week: 6`. */
const labelled = /^[^:.!?]{1,24}: .{0,60}$/;

type Span = { readonly field: number; readonly from: number; readonly to: number };

/** A text with the words underlined that decided. */
function Decided({ text, spans }: { text: string; spans: readonly Span[] }) {
  const parts: ReactNode[] = [];
  let at = 0;
  for (const { from, to } of spans) {
    if (from < at) continue;
    parts.push(text.slice(at, from), <mark key={from}>{text.slice(from, to)}</mark>);
    at = to;
  }
  return (
    <>
      {parts}
      {text.slice(at)}
    </>
  );
}

/** Her row as she wrote it, with the words underlined that decided. */
export function RowWords({ row, decided }: { row: AskedWire; decided: readonly Span[] }) {
  const inField = (field: number): Span[] => decided.filter((d) => d.field === field);
  const { min, max } = row.players;
  const about = [
    `ages ${row.ages.join(' to ')}`,
    min === max ? `${min} ${min === 1 ? 'player' : 'players'}` : `${min} to ${max} players`,
    row.bin,
  ];
  return (
    <header className={styles.hers}>
      <p className={styles.about}>{about.filter(Boolean).join(' · ')}</p>
      <h2>
        <Decided text={row.versionTitle ? `${row.title}, ${row.versionTitle}` : row.title} spans={inField(0)} />
      </h2>
      {row.notes.map(
        (note, i) =>
          !labelled.test(note) && (
            <p key={i} className={styles.note}>
              <Decided text={note} spans={inField(i + 1)} />
            </p>
          ),
      )}
      {row.notes.some((n) => labelled.test(n)) && (
        <p className={styles.about}>
          {row.notes.map(
            (note, i) =>
              labelled.test(note) && (
                <span key={i} className={styles.label}>
                  <Decided text={note} spans={inField(i + 1)} />
                </span>
              ),
          )}
        </p>
      )}
      {row.things && (
        <p className={styles.about}>
          with <Decided text={row.things} spans={inField(row.notes.length + 1)} />
        </p>
      )}
    </header>
  );
}
