import { noteResults } from '../../core/print/pictures/noteSign';
import { resultWords } from '../../text/sentences';
import { NoteSign } from '../../ui/NoteSign';
import { link } from '../shared/api';
import panel from '../shared/panel.module.css';
import type { SeatNote } from './keptNotes';
import type { Row } from './stripRows';
import styles from './strips.module.css';

/** One child at one table, as on paper. */
export function Strip({
  row,
  strip,
  begins,
  name,
  step,
  tool,
  note,
  sent,
  onChange,
  onKey,
}: {
  row: Row;
  strip: string;
  begins: boolean;
  name: string;
  step: string;
  tool: string | null;
  note: SeatNote;
  sent: SeatNote['result'];
  onChange: (part: Partial<SeatNote>) => void;
  onKey: (e: React.KeyboardEvent) => void;
}) {
  return (
    <div
      className={styles.row}
      data-row
      data-begins={begins}
      tabIndex={0}
      role="group"
      aria-label={`${name}, strip ${strip}`}
      onKeyDown={onKey}
    >
      <span className={styles.strip}>{begins ? strip : ''}</span>
      <span className={styles.game}>{begins ? row.of.title : ''}</span>
      <b>{name}</b>
      <span className={panel.soft}>{step}</span>
      {sent ? (
        <span className={styles.sent}>
          <NoteSign result={sent} /> noted: {resultWords[sent]} · <a href={link(`/learners/${row.seat.learner}`)}>change it there</a>
        </span>
      ) : (
        <span className={styles.signs}>
          {noteResults.map((result) => (
            <button
              key={result}
              type="button"
              tabIndex={-1}
              aria-pressed={note.result === result}
              aria-label={`${name}: ${resultWords[result]}`}
              title={resultWords[result]}
              onClick={() => onChange({ result: note.result === result ? null : result })}
            >
              <NoteSign result={result} />
            </button>
          ))}
          {tool && (
            <button
              type="button"
              tabIndex={-1}
              className={styles.tool}
              aria-pressed={note.support !== null}
              onClick={() => onChange({ support: note.support ? null : row.seat.tool })}
            >
              with {tool}
            </button>
          )}
        </span>
      )}
    </div>
  );
}
