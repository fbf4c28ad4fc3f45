import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { type Operation, operations } from '../../core/items/item';
import type { ItemPredicate } from '../../core/skills/skill';
import { operationWords } from '../../text/itemText';
import { call } from '../shared/api';
import panel from '../shared/panel.module.css';
import styles from './skills.module.css';

type Range = readonly [number, number];
const ranges = [
  ['a', 'First number'],
  ['b', 'Second number'],
  ['result', 'Result'],
  ['smaller', 'The smaller number'],
  ['larger', 'The larger number'],
] as const;
const flags = [
  ['regroups', 'carrying or exchanging a ten'],
  ['double', 'a double'],
  ['nearDouble', 'next to a double'],
  ['crossesHundred', 'crosses a hundred'],
  ['negative', 'below zero'],
] as const;
const tens = [
  ['within', 'stays inside a ten'],
  ['reaching', 'reaches a ten'],
  ['leaving', 'leaves a ten'],
  ['crossing', 'crosses a ten'],
] as const;

/** Says which items count for a skill, with examples that do and that do not, as one builds. */
export function PredicateBuilder({
  value,
  except,
  onChange,
}: {
  value: ItemPredicate;
  except: string | null;
  onChange: (p: ItemPredicate) => void;
}) {
  const ops = value.op === undefined ? [] : ([value.op].flat() as Operation[]);
  const traits = value.ten === undefined ? [] : [value.ten].flat();
  const set = (key: string, v: unknown): void => {
    const copy: Record<string, unknown> = { ...value };
    if (v === undefined || (Array.isArray(v) && v.length === 0)) delete copy[key];
    else copy[key] = v;
    onChange(copy as ItemPredicate);
  };
  const toggle = (key: string, list: readonly string[], id: string): void =>
    set(key, list.includes(id) ? list.filter((x) => x !== id) : [...list, id]);
  const examples = useQuery({
    queryKey: ['examples', value, except],
    queryFn: () => call('POST /skills/examples', { body: { predicate: value, ...(except ? { except } : {}) } }),
    placeholderData: (before) => before,
  });
  const e = examples.data;
  const same = e?.overlaps.filter((o) => o.inside >= 0.9 && o.covers >= 0.9) ?? [];
  return (
    <div className={styles.builder}>
      <div>
        <Group legend="What is done">
          {operations.map((op) => (
            <label key={op}>
              <input type="checkbox" checked={ops.includes(op)} onChange={() => toggle('op', ops, op)} /> {operationWords[op]}
            </label>
          ))}
        </Group>
        <fieldset className={styles.ranges}>
          <legend>Numbers</legend>
          {ranges.map(([key, title]) => {
            const range = value[key] as Range | undefined;
            const put = (end: 0 | 1, text: string): void => {
              if (text === '') return set(key, undefined);
              const n = Number(text);
              if (Number.isFinite(n)) set(key, end === 0 ? [n, Math.max(n, range?.[1] ?? n)] : [Math.min(n, range?.[0] ?? 0), n]);
            };
            return (
              <label key={key}>
                <span>{title}</span>
                <input
                  type="number"
                  aria-label={`${title}, from`}
                  value={range?.[0] ?? ''}
                  onChange={(x) => put(0, x.target.value)}
                /> to <input type="number" aria-label={`${title}, to`} value={range?.[1] ?? ''} onChange={(x) => put(1, x.target.value)} />
              </label>
            );
          })}
        </fieldset>
        <Group legend="Tens">
          {tens.map(([id, title]) => (
            <label key={id}>
              <input type="checkbox" checked={traits.includes(id)} onChange={() => toggle('ten', traits, id)} /> {title}
            </label>
          ))}
        </Group>
        <Group legend="And">
          {flags.map(([key, title]) => (
            <label key={key}>
              <input type="checkbox" checked={value[key] === true} onChange={() => set(key, value[key] === true ? undefined : true)} />{' '}
              {title}
            </label>
          ))}
          <label>
            Asked for{' '}
            <select
              value={value.unknown === undefined ? '' : String(value.unknown)}
              onChange={(x) => set('unknown', x.target.value === '' ? undefined : x.target.value === 'a,b' ? ['a', 'b'] : x.target.value)}
            >
              <option value="">anything</option>
              <option value="result">the result</option>
              <option value="a,b">a missing part</option>
            </select>
          </label>
        </Group>
      </div>
      <div className={styles.examples} aria-live="polite">
        <h3>These count</h3>
        {e && e.match.length === 0 && <p className={panel.bad}>No item meets all of this. Take a condition away.</p>}
        <ul>
          {e?.match.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
        <h3>These do not</h3>
        <ul className={styles.miss}>
          {e?.miss.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
        {same.length > 0 && <p className={panel.bad}>Nearly the same as “{same[0]!.title}”. Is it needed beside it?</p>}
        {e && same.length === 0 && e.overlaps.length > 0 && (
          <p className={`${panel.soft} ${panel.small}`}>
            Overlaps:{' '}
            {e.overlaps
              .slice(0, 3)
              .map((o) => `“${o.title}” takes ${Math.round(o.inside * 100)} % of these`)
              .join('; ')}
            .
          </p>
        )}
      </div>
    </div>
  );
}

function Group({ legend, children }: { legend: string; children: ReactNode }) {
  return (
    <fieldset className={styles.group}>
      <legend>{legend}</legend>
      {children}
    </fieldset>
  );
}
