import { useState } from 'react';
import type { Api } from '../../contract/wire/api';
import type { Answer } from '../../contract/wire/route';
import { Button } from '../../ui/Button';
import panel from '../shared/panel.module.css';
import styles from './import.module.css';

type Problem = Answer<Api['POST /imports/shelf']>['problems'][number];

export interface MendedCell {
  readonly table: string;
  readonly row: number;
  readonly column: string;
  readonly value: string;
}

interface Detail {
  readonly table?: string;
  readonly game?: string;
  readonly value?: string;
}

/** Each row that needs mending, with its cell to be typed anew, or left out. */
export function MendRows({
  problems,
  onMend,
  onLeave,
}: {
  problems: readonly Problem[];
  onMend: (cell: MendedCell) => void;
  onLeave: (place: { table: string; row: number }) => void;
}) {
  return (
    <ul className={styles.mend}>
      {problems.map((p) => (
        <MendRow
          key={`${(p.detail as Detail | undefined)?.table ?? ''}.${p.row}.${p.field}`}
          problem={p}
          onMend={onMend}
          onLeave={onLeave}
        />
      ))}
    </ul>
  );
}

function MendRow({
  problem: p,
  onMend,
  onLeave,
}: {
  problem: Problem;
  onMend: (cell: MendedCell) => void;
  onLeave: (place: { table: string; row: number }) => void;
}) {
  const detail = (p.detail ?? {}) as Detail;
  const [value, setValue] = useState(detail.value ?? '');
  const place =
    p.row !== undefined && p.code !== 'missing-column' && detail.table !== undefined ? { table: detail.table, row: p.row } : null;
  return (
    <li>
      <span>{p.message}</span>
      {place && (
        <form
          className={panel.row}
          onSubmit={(e) => {
            e.preventDefault();
            onMend({ ...place, column: p.field ?? '', value });
          }}
        >
          <label>
            {p.field}
            {detail.game ? ` of ${detail.game}` : ''} <input value={value} onChange={(e) => setValue(e.target.value)} />
          </label>
          <Button type="submit">Mend</Button>
          <Button kind="plain" onClick={() => onLeave(place)}>
            Leave row {p.row} out
          </Button>
        </form>
      )}
    </li>
  );
}
