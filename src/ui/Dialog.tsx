import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { Button } from './Button';
import styles from './ui.module.css';

/**
 * A modal sheet on the platform's own dialog. Escape and Close ask first when something was typed; however it ends, focus
 * returns to what opened it.
 */
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
  const touched = useRef(false);
  const [asking, setAsking] = useState(false);
  useLayoutEffect(() => {
    const dialog = ref.current!;
    const opener = document.activeElement instanceof HTMLElement ? document.activeElement : null;
    if (!dialog.open) {
      dialog.showModal();
      dialog.querySelector<HTMLElement>('input, select, textarea')?.focus();
    }
    return () => {
      dialog.close();
      const back = opener?.isConnected && opener !== document.body ? opener : document.querySelector<HTMLElement>('main h1');
      // The frame that takes the dialog away would take the focus with it.
      requestAnimationFrame(() => {
        if (document.activeElement && document.activeElement !== document.body) return;
        if (back && back.tabIndex < 0) back.tabIndex = -1;
        back?.focus();
      });
    };
  }, []);
  const leave = (): void => {
    if (touched.current && !asking) setAsking(true);
    else onClose();
  };
  return (
    <dialog
      ref={ref}
      className={wide ? styles.dialogWide : styles.dialog}
      aria-label={title}
      onInput={() => (touched.current = true)}
      onCancel={(e) => {
        e.preventDefault();
        leave();
      }}
    >
      <div className={styles.dialogHead}>
        <h2>{title}</h2>
        <button type="button" className={styles.plain} onClick={leave}>
          Close
        </button>
      </div>
      {asking && (
        <div className={styles.dialogAsk} role="alert">
          <span>What you typed is not saved.</span>
          <Button onClick={onClose}>Leave it</Button>
          <Button kind="main" autoFocus onClick={() => setAsking(false)}>
            Go on
          </Button>
        </div>
      )}
      {children}
    </dialog>
  );
}
