import { Button } from '../../ui/Button';
import { messageOf } from '../shared/App';
import styles from './print.module.css';

/** What was looked at before it was drawn, or what is wrong and what would help. */
export function Checked({
  error,
  checked,
  answerPages,
  onUsual,
}: {
  error: unknown;
  checked: string | null;
  /** Pages of answers that come at the end. */
  answerPages: number;
  onUsual: (() => void) | null;
}) {
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
        {answerPages > 0 && <p>The answers come {answerPages === 1 ? 'on a page' : `on ${answerPages} pages`} of their own at the end.</p>}
      </div>
    )
  );
}
