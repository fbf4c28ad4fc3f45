import type { LearnerWire } from '../../contract/wire/learners';
import panel from '../shared/panel.module.css';
import { ageWords } from '../shared/words';
import styles from './plan.module.css';

/** Everybody with a tick; whoever is away has it taken off. */
export function WhoIsThere({
  all,
  away,
  onChange,
  children,
}: {
  all: readonly Pick<LearnerWire, 'id' | 'nickname' | 'born'>[];
  away: ReadonlySet<string>;
  onChange: (away: ReadonlySet<string>) => void;
  children?: React.ReactNode;
}) {
  return (
    <fieldset className={styles.present}>
      <legend>
        Who is there ({all.filter((l) => !away.has(l.id)).length} of {all.length})
      </legend>
      {all.map((l) => (
        <label key={l.id}>
          <input
            type="checkbox"
            checked={!away.has(l.id)}
            onChange={() => onChange(new Set(away.has(l.id) ? [...away].filter((x) => x !== l.id) : [...away, l.id]))}
          />{' '}
          <bdi>{l.nickname}</bdi> <small className={panel.soft}>{ageWords(l.born)}</small>
        </label>
      ))}
      {children}
    </fieldset>
  );
}
