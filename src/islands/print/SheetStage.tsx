import { useState } from 'react';
import { SheetPage } from '../../ui/sheet/SheetPage';
import panel from '../shared/panel.module.css';
import styles from './print.module.css';
import type { SheetLaid } from './printSettings';

/** The sheet itself, to scale: front and back, sheet by sheet. */
export function SheetStage({ laid, busy }: { laid: SheetLaid; busy: boolean }) {
  const [asked, setAsked] = useState(0);
  const [back, setBack] = useState(false);
  const fronts = laid.pages.flatMap((p, i) => (p.side === 'front' ? [i] : []));
  const n = Math.min(asked, fronts.length - 1);
  const hasBack = laid.pages[fronts[n]! + 1]?.side === 'back';
  const page = laid.pages[fronts[n]! + (back && hasBack ? 1 : 0)]!;
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
        <span className={`${panel.soft} ${styles.unit}`}>measures in mm</span>
      </div>
      <SheetPage
        {...page}
        boxes={page.boxes as never}
        measured
        label={`${laid.title}, sheet ${n + 1}, ${back && hasBack ? 'back' : 'front'}`}
      />
    </section>
  );
}
