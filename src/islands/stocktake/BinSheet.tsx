import type { KindWire } from '../../contract/wire/thingsOwned';
import type { GameWire } from '../../contract/wire/shelf';
import { stateWords } from '../things/useThings';
import styles from './stocktake.module.css';

const columns = ['now', 'none', 'plenty', 'worn', 'gone', 'elsewhere'] as const;

/** A bin on paper: what was there last time, and boxes to write in; keyed in afterwards in the same order. */
export function BinSheet({ title, kinds, games }: { title: string; kinds: readonly KindWire[]; games: readonly GameWire[] }) {
  return (
    <section className={styles.paper} aria-hidden>
      <h1>{title}</h1>
      <table>
        <thead>
          <tr>
            <th>What</th>
            <th>last time</th>
            {columns.map((c) => (
              <th key={c}>{c}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {kinds.map((k) => (
            <tr key={k.id}>
              <td>{k.title}</td>
              <td>{stateWords(k)}</td>
              {columns.map((c) => (
                <td key={c} />
              ))}
            </tr>
          ))}
          {games.map((g) => (
            <tr key={g.id}>
              <td>{g.title}</td>
              <td>{g.condition || 'here'}</td>
              {columns.map((c) => (
                <td key={c} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p>Counted by ____________________ on ____________________</p>
    </section>
  );
}
