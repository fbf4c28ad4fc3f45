import type { CoverageWire, CoveredWire } from '../../contract/wire/coverage';
import { type KeyboardEvent, useRef } from 'react';
import styles from './coverage.module.css';
import { domainWords } from '../../text/domains';
import { StandardMark, stateWords } from './StandardMark';

const legend = ['none', 'there', 'planned', 'played', 'seen'] as const;

/** Domain of a code: `3.NF.A.1` is of NF; where a code has no such part, everything is one. */
export const domainOf = (code: string): string => /^[^.\s]+\.([A-Z]{1,4})\b/.exec(code)?.[1] ?? '';

/** A row for each grade, a mark for each expectation; arrows go from mark to mark. */
export function CoverageFrame({
  coverage,
  band,
  chosen,
  onChoose,
}: {
  coverage: CoverageWire;
  band: string;
  chosen: string | null;
  onChoose: (e: CoveredWire) => void;
}) {
  const frame = useRef<HTMLElement>(null);
  const rows = coverage.bands.map((b) => coverage.items.filter((e) => (e.band ?? '') === b));
  function onKey(e: KeyboardEvent): void {
    const r = rows.findIndex((row) => row.some((x) => x.identifier === chosen));
    const at = rows[r]?.findIndex((x) => x.identifier === chosen) ?? -1;
    if (r < 0) return;
    const beside = (row: readonly CoveredWire[] | undefined): CoveredWire | undefined => row?.[Math.min(at, row.length - 1)];
    const next = {
      ArrowRight: rows[r]![at + 1] ?? rows[r + 1]?.[0],
      ArrowLeft: rows[r]![at - 1] ?? rows[r - 1]?.at(-1),
      ArrowDown: beside(rows[r + 1]),
      ArrowUp: beside(rows[r - 1]),
    }[e.key];
    if (!next) return;
    e.preventDefault();
    onChoose(next);
    const marks = [...(frame.current?.querySelectorAll<HTMLElement>('[data-standard]') ?? [])];
    marks.find((m) => m.dataset['standard'] === next.identifier)?.focus();
  }
  return (
    <section ref={frame} className={styles.frame} aria-label="Expectations by grade" onKeyDown={onKey}>
      {rows.map((row, i) => {
        const title = coverage.bands[i]!;
        const domains = [...new Set(row.map((e) => domainOf(e.code)))];
        const there = row.filter((e) => e.state !== 'none').length;
        return (
          <div key={title} className={styles.row} data-here={title === band}>
            <h2>{title || 'All'}</h2>
            <div className={styles.domains}>
              {domains.map((d) => (
                <div key={d} className={styles.domain}>
                  {d !== '' && <abbr title={domainWords(d)}>{d}</abbr>}
                  <div>
                    {row
                      .filter((e) => domainOf(e.code) === d)
                      .map((e) => (
                        <button
                          key={e.identifier}
                          type="button"
                          data-standard={e.identifier}
                          tabIndex={e.identifier === chosen ? 0 : -1}
                          aria-pressed={e.identifier === chosen}
                          aria-label={`${e.code}: ${stateWords[e.state]}`}
                          title={`${e.code} ${e.statement}`}
                          onClick={() => onChoose(e)}
                        >
                          <StandardMark state={e.state} waited={e.waiting.length > 0} />
                        </button>
                      ))}
                  </div>
                </div>
              ))}
            </div>
            <span className={styles.of}>
              <b>{there}</b> of {row.length}
            </span>
          </div>
        );
      })}
      <p className={styles.legend}>
        {legend.map((s) => (
          <span key={s}>
            <StandardMark state={s} waited /> {stateWords[s]}
          </span>
        ))}
        <span>
          <StandardMark state="none" waited={false} /> no game, and nobody waits
        </span>
      </p>
    </section>
  );
}
