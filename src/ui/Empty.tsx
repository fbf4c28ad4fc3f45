import type { ReactNode } from 'react';
import styles from './ui.module.css';

/** What a page says when there is nothing yet, and what to do about it. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className={styles.empty}>
      <h2>{title}</h2>
      {children}
    </div>
  );
}

export function Loading({ what = 'Just a moment …' }: { what?: string }) {
  return (
    <p className={styles.loading} role="status">
      {what}
    </p>
  );
}

export function Failure({ message }: { message: string }) {
  return (
    <p className={styles.failure} role="alert">
      {message}
    </p>
  );
}

export function Progress({ share, label }: { share: number; label: string }) {
  return (
    <div className={styles.progress}>
      <progress max={1} value={share} aria-label={label} />
      <span>
        {label} {Math.round(share * 100)} %
      </span>
    </div>
  );
}
