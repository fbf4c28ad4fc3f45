import { useState } from 'react';
import { Button } from '../../ui/Button';
import { SheetPage } from '../../ui/sheet/SheetPage';
import styles from './print.module.css';
import type { SheetLaid } from './printSettings';

/** The sheet itself, to scale: front and back, sheet by sheet; its pieces can be ticked where only some are missing. */
export function SheetStage({
  laid,
  busy,
  only,
  onOnly,
}: {
  laid: SheetLaid;
  busy: boolean;
  /** Numbers of the missing pieces; null where the whole set is printed. */
  only: readonly number[] | null;
  onOnly: (only: readonly number[] | null) => void;
}) {
  const [asked, setAsked] = useState(0);
  const [back, setBack] = useState(false);
  const fronts = laid.pages.flatMap((p, i) => (p.side === 'front' ? [i] : []));
  const n = Math.min(asked, fronts.length - 1);
  const hasBack = laid.pages[fronts[n]! + 1]?.side === 'back';
  const page = laid.pages[fronts[n]! + (back && hasBack ? 1 : 0)]!;
  const piecesOn = (i: number): number => laid.pages[i]!.boxes.filter((b) => b.kind === 'card').length;
  const first = 1 + fronts.slice(0, n).reduce((sum, i) => sum + piecesOn(i), 0);
  const picks = only &&
    !(back && hasBack) && {
      first,
      ticked: only,
      onToggle: (piece: number) => onOnly(only.includes(piece) ? only.filter((o) => o !== piece) : [...only, piece].sort((x, y) => x - y)),
    };
  return (
    <section className={styles.stage} aria-label="The sheet" aria-busy={busy}>
      <div className={styles.stageHead}>
        <button type="button" className={styles.turn} aria-label="Sheet before" disabled={n === 0} onClick={() => setAsked(n - 1)}>
          ‹
        </button>
        <b>
          Sheet {n + 1} of {fronts.length}
        </b>
        <button
          type="button"
          className={styles.turn}
          aria-label="Next sheet"
          disabled={n === fronts.length - 1}
          onClick={() => setAsked(n + 1)}
        >
          ›
        </button>
        {hasBack && (
          <span className={styles.sides} role="group" aria-label="Side">
            <button type="button" aria-pressed={!back} onClick={() => setBack(false)}>
              front
            </button>
            <button type="button" aria-pressed={back} onClick={() => setBack(true)}>
              back
            </button>
          </span>
        )}
        {fronts.some((i) => piecesOn(i) > 0) && (
          <Button kind="plain" className={styles.unit} aria-pressed={only !== null} onClick={() => onOnly(only ? null : [])}>
            Only some pieces
          </Button>
        )}
      </div>
      {only && (
        <p className={styles.missing} role="status">
          {only.length === 0
            ? 'Tick the pieces that are lost: the very same are printed again.'
            : `${only.length} ${only.length === 1 ? 'piece' : 'pieces'} ticked, on all sheets.`}
        </p>
      )}
      <SheetPage
        {...page}
        boxes={page.boxes as never}
        measured={!only}
        picks={picks || undefined}
        label={`${laid.title}, sheet ${n + 1}, ${back && hasBack ? 'back' : 'front'}`}
      />
    </section>
  );
}
