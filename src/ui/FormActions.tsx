import { Button } from './Button';
import styles from './ui.module.css';

/** How every form ends: leave it, or save. */
export function FormActions({ onLeave, busy, label = 'Save' }: { onLeave: () => void; busy: boolean; label?: string }) {
  return (
    <div className={styles.formActions}>
      <Button onClick={onLeave}>Leave it</Button>
      <Button kind="main" type="submit" disabled={busy}>
        {label}
      </Button>
    </div>
  );
}
