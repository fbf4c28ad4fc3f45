import { Button } from '../../ui/Button';
import panel from '../shared/panel.module.css';
import styles from './session.module.css';

/** Two people changed one session: both are there to choose from. */
export function Clash({
  message,
  onTheirs,
  onMine,
  onLook,
}: {
  message: string;
  onTheirs: () => void;
  onMine: () => void;
  onLook: () => void;
}) {
  return (
    <section className={styles.infeasible} role="alert">
      <h2>Two of you at once</h2>
      <p>{message}</p>
      <div className={panel.row}>
        <Button kind="main" onClick={onTheirs}>
          Take theirs
        </Button>
        <Button onClick={onMine}>Keep mine over theirs</Button>
        <Button onClick={onLook}>Look again first</Button>
      </div>
    </section>
  );
}
