import type { Api } from '../../contract/wire/api';
import type { Answer } from '../../contract/wire/route';
import panel from '../shared/panel.module.css';
import styles from './import.module.css';

export type TableShown = Answer<Api['POST /imports/shelf']>['tables'][number];
export type Choice = Pick<TableShown, 'table' | 'use' | 'headerRow' | 'columns' | 'asAbove'>;

export const choiceOf = ({ table, use, headerRow, columns, asAbove }: TableShown): Choice => ({ table, use, headerRow, columns, asAbove });

/** How each sheet is read: which row names the columns, what each column is; guessed, and mended by hand. */
export function Columns({
  tables,
  names,
  needed,
  asked,
  lastTime,
  onChange,
}: {
  tables: readonly TableShown[];
  /** Columns there can be. */
  names: readonly string[];
  needed: readonly string[];
  /** Something cannot be told without an answer here. */
  asked: boolean;
  /** Read as the owner mended it last time. */
  lastTime: boolean;
  onChange: (choices: Choice[]) => void;
}) {
  if (tables.length === 0) return null;
  const change = (of: TableShown, more: Partial<Choice>): void =>
    onChange(tables.map((t) => (t.table === of.table ? { ...choiceOf(t), ...more } : choiceOf(t))));
  const used = tables.filter((t) => t.use);
  const known = used.reduce((sum, t) => sum + t.columns.filter((c) => c !== null).length, 0);
  const all = used.reduce((sum, t) => sum + t.headers.filter((h, i) => h !== '' || t.columns[i] !== null).length, 0);
  return (
    <details className={styles.columns} open={asked}>
      <summary>
        <b>Columns</b>: {known} of {all} are known{tables.length > 1 ? `, ${used.length} of ${tables.length} sheets are read` : ''}
        {lastTime && ', read as you mended it last time'}
      </summary>
      {tables.map((t) => (
        <fieldset key={t.table} className={styles.sheet}>
          <legend>
            {tables.length > 1 ? (
              <label>
                <input type="checkbox" checked={t.use} onChange={(e) => change(t, { use: e.target.checked })} /> {t.table}, {t.rowCount}{' '}
                rows
              </label>
            ) : (
              <span className={panel.soft}>{t.rowCount} rows</span>
            )}
          </legend>
          {t.use && (
            <>
              <label className={styles.headerRow}>
                The columns are named in row{' '}
                <input
                  type="number"
                  min={0}
                  max={1000}
                  value={t.headerRow}
                  onChange={(e) => change(t, { headerRow: Math.max(0, Math.round(Number(e.target.value)) || 0) })}
                />{' '}
                <span className={panel.soft}>(0: in none)</span>
              </label>
              <div className={styles.scroll}>
                <table className={styles.table}>
                  <thead>
                    <tr>
                      <th scope="col">In your file</th>
                      <th scope="col">Taken as</th>
                      <th scope="col">Blank means as above</th>
                      <th scope="col">For instance</th>
                    </tr>
                  </thead>
                  <tbody>
                    {t.headers.map((header, i) => (
                      <tr key={i}>
                        <th scope="row">{header || `column ${i + 1}`}</th>
                        <td>
                          <select
                            aria-label={`${header || `column ${i + 1}`} is taken as`}
                            value={t.columns[i] ?? ''}
                            onChange={(e) => {
                              const to = e.target.value || null;
                              // One column is one thing: who had it before gives it up.
                              change(t, { columns: t.columns.map((c, j) => (j === i ? to : c === to && to !== null ? null : c)) });
                            }}
                          >
                            <option value="">kept as a note</option>
                            {names.map((n) => (
                              <option key={n} value={n}>
                                {n}
                                {needed.includes(n) ? ' (needed)' : ''}
                              </option>
                            ))}
                          </select>
                        </td>
                        <td>
                          <input
                            type="checkbox"
                            aria-label={`A blank in ${header || `column ${i + 1}`} means as above`}
                            checked={t.asAbove.includes(i)}
                            onChange={(e) =>
                              change(t, {
                                asAbove: e.target.checked ? [...t.asAbove, i].sort((x, y) => x - y) : t.asAbove.filter((x) => x !== i),
                              })
                            }
                          />
                        </td>
                        <td className={panel.soft}>{t.samples[i]!.join(' · ')}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            </>
          )}
        </fieldset>
      ))}
    </details>
  );
}
