import type { EstimateWire } from '../../contract/wire/maps';
import { statusWords } from '../../text/sentences';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import styles from './learner.module.css';

/** The map in words, for screen readers and for paper. */
export function MapTable({ skills, map, next }: { skills: Skills; map: ReadonlyMap<string, EstimateWire>; next: ReadonlySet<string> }) {
  return (
    <details className={panel.sheet}>
      <summary>The same as a table</summary>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>Skill</th>
            <th>How it stands</th>
            <th>Estimate</th>
            <th>Notes</th>
          </tr>
        </thead>
        <tbody>
          {skills.list.map((s) => {
            const e = map.get(s.id)!;
            return (
              <tr key={s.id}>
                <td>{s.title}</td>
                <td>
                  {statusWords[e.status]}
                  {e.seen ? '' : ' (assumed)'}
                  {next.has(s.id) ? ', good next' : ''}
                </td>
                <td>{e.sure ? `${e.mastery.toFixed(2)} (${e.interval[0].toFixed(2)}–${e.interval[1].toFixed(2)})` : 'not sure yet'}</td>
                <td>{e.notes}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
