import { Button } from '../../ui/Button';
import { messageOf } from '../shared/App';
import styles from './print.module.css';

/** What was looked at before it was drawn, or what is wrong and what would help. */
export function Checked({ error, checked, onUsual }: { error: unknown; checked: string | null; onUsual: (() => void) | null }) {
  if (error)
    return (
      <div className={styles.wrong} role="alert">
        <b>Not like this</b>
        <p>{messageOf(error)}</p>
        {onUsual && <Button onClick={onUsual}>Back to its usual settings</Button>}
      </div>
    );
  return (
    checked && (
      <div className={styles.checked}>
        <b>Checked</b>
        <p>{checked}</p>
      </div>
    )
  );
}
