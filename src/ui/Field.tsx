import { type ReactNode, useId } from 'react';
import styles from './ui.module.css';

/** A label over its control, with the error that belongs to it. */
export function Field({
  label,
  hint,
  error,
  children,
}: {
  label: string;
  hint?: string;
  error?: string | null;
  children: (props: { id: string; 'aria-describedby'?: string; 'aria-invalid'?: boolean }) => ReactNode;
}) {
  const id = useId();
  const note = error ?? hint;
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      {children({ id, ...(note ? { 'aria-describedby': `${id}-note` } : {}), ...(error ? { 'aria-invalid': true } : {}) })}
      {note && (
        <small id={`${id}-note`} className={error ? styles.fieldError : styles.fieldHint}>
          {note}
        </small>
      )}
    </div>
  );
}
