import type { HowToWire } from '../../contract/wire/howTo';
import { Drawing } from '../../ui/drawing/Drawing';
import styles from './howTo.module.css';

/** Three drawings with the words a helper says to them, for children who do not read yet. */
export function PictureSteps({ howTo }: { howTo: HowToWire }) {
  return (
    <ol className={styles.pictures}>
      {howTo.pictures.map((p) => (
        <li key={p.say}>
          <Drawing picture={p.picture} />
          <span>{p.say}</span>
        </li>
      ))}
    </ol>
  );
}
