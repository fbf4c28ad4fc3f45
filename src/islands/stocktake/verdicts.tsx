import { Button } from '../../ui/Button';
import styles from './stocktake.module.css';

/** What is gone, with the one verdict about it. */
export function GoneVerdict({
  gone,
  example,
  onGone,
  onVerdict,
}: {
  gone: string;
  example: string;
  onGone: (gone: string) => void;
  onVerdict: (make: boolean) => void;
}) {
  return (
    <div className={styles.verdict}>
      <label>
        What is gone? <input value={gone} placeholder={example} onChange={(e) => onGone(e.target.value)} />
      </label>
      <Button onClick={() => onVerdict(true)}>To be made: on the list</Button>
      <Button onClick={() => onVerdict(false)}>Leave it so, still good</Button>
    </div>
  );
}

/** Where a thing belongs that lay in the wrong bin. */
export function RightBin({ drawers, moved, onMoved }: { drawers: readonly string[]; moved: string; onMoved: (bin: string) => void }) {
  return (
    <div className={styles.verdict}>
      <label>
        Where does it belong?{' '}
        <select value={moved} onChange={(e) => onMoved(e.target.value)}>
          <option value="">choose …</option>
          {drawers.map((d) => (
            <option key={d}>{d}</option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** What comes next, and the button that records this one. */
export function Foot({ said, next, onNext }: { said: string; next: string | null; onNext: () => void }) {
  return (
    <div className={styles.foot}>
      <span>{next === null ? 'The last one' : `Next: ${next}`}</span>
      <Button kind="main" onClick={onNext}>
        {said}, {next === null ? 'done' : 'next'}
      </Button>
    </div>
  );
}
