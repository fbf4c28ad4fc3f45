import type { Api } from '../../contract/wire/api';
import type { Answer } from '../../contract/wire/route';
import { useSkills } from '../shared/useSkills';
import styles from './import.module.css';
import { dayOfMoment } from '../shared/words';

type NoteDraft = Answer<Api['POST /imports/evidence']>['drafts'][number];

/** More rows than this are counted, not drawn. */
const rowsShown = 500;

/** Notes of a file before they are brought in. */
export function NoteRows({ rows }: { rows: readonly NoteDraft[] }) {
  const skills = useSkills();
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th>Row</th>
          <th>Learner</th>
          <th>Day</th>
          <th>Skill</th>
          <th>How it went</th>
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, rowsShown).map((r) => (
          <tr key={r.row}>
            <td>{r.row}</td>
            <td>{r.learner}</td>
            <td>{dayOfMoment(r.at)}</td>
            <td>{skills?.title(r.skill) ?? r.skill}</td>
            <td>{r.result ?? `${r.correct} of ${r.total}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
