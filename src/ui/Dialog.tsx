import { type ReactNode, useEffect, useRef } from 'react';
import styles from './ui.module.css';

/** A modal sheet on the platform's own dialog: Escape closes, focus returns. */
export function Dialog({
  title,
  onClose,
  children,
  wide = false,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  wide?: boolean;
}) {
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const dialog = ref.current;
    if (dialog && !dialog.open) {
      dialog.showModal();
      dialog.querySelector<HTMLElement>('input, select, textarea')?.focus();
    }
    return () => dialog?.close();
  }, []);
  return (
    <dialog ref={ref} className={wide ? styles.dialogWide : styles.dialog} aria-label={title} onClose={onClose} onCancel={onClose}>
      <div className={styles.dialogHead}>
        <h2>{title}</h2>
        <button type="button" className={styles.plain} onClick={onClose}>
          Close
        </button>
      </div>
      {children}
    </dialog>
  );
}
