import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { usualSeats } from '../../core/simulate/usualSeats';
import { Loading } from '../../ui/Empty';
import { Field } from '../../ui/Field';
import { call } from '../shared/api';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import styles from './bench.module.css';
import { SideBySide } from './SideBySide';
import { useEstimate } from './useBench';

/** Any other version of the shelf beside this one, both played here and now. */
export function Compare({ variant, others, skills }: { variant: VariantWire; others: readonly VariantWire[]; skills: Skills }) {
  const all = useQuery({ queryKey: ['variants'], queryFn: () => call('GET /variants', { query: { limit: 5000 } }) });
  const games = useQuery({ queryKey: ['games', 'all'], queryFn: () => call('GET /games', { query: { limit: 5000, retired: 'true' } }) });
  const [chosen, setChosen] = useState<string>(others.find((v) => v.id !== variant.id && v.mechanism)?.id ?? '');
  const list = all.data?.items.filter((v) => v.mechanism && v.id !== variant.id) ?? [];
  const other = list.find((v) => v.id === chosen) ?? list[0];
  const gameTitle = (v: VariantWire): string => games.data?.items.find((g) => g.id === v.game)?.title ?? '';
  const seats = (v: VariantWire): number => usualSeats(v.players);
  const mine = useEstimate(variant.mechanism!, variant.parameters, seats(variant));
  if (!all.data || !games.data) return <Loading what="Taking both off the shelf …" />;
  if (!other) return <p>There is no other version that the machine can play. Add one, or turn a number on the bench and save it.</p>;
  return (
    <div className={styles.benchMain}>
      <section className={panel.sheet}>
        <Field label="Beside this version">
          {(p) => (
            <select {...p} value={other.id} onChange={(e) => setChosen(e.target.value)}>
              {list.map((v) => (
                <option key={v.id} value={v.id}>
                  {v.game === variant.game ? v.title : `${gameTitle(v)}, ${v.title}`}
                </option>
              ))}
            </select>
          )}
        </Field>
      </section>
      <Other
        key={other.id}
        mine={mine.result}
        other={other}
        seats={seats(other)}
        names={[variant.title, other.game === variant.game ? other.title : `${gameTitle(other)}, ${other.title}`]}
        skills={skills}
      />
    </div>
  );
}

function Other({
  mine,
  other,
  seats,
  names,
  skills,
}: {
  mine: ReturnType<typeof useEstimate>['result'];
  other: VariantWire;
  seats: number;
  names: readonly [string, string];
  skills: Skills;
}) {
  const theirs = useEstimate(other.mechanism!, other.parameters, seats);
  if (theirs.problem) return <p className={panel.bad}>{theirs.problem.message}</p>;
  if (!mine || !theirs.result) return <Loading what="Playing both …" />;
  return <SideBySide before={mine} after={theirs.result} names={names} skills={skills} />;
}
