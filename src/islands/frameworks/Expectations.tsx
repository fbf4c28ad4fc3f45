import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import styles from './frameworks.module.css';

type Tie = { identifier: string; skill: string; relation: 'same' | 'related' | null };

/** Proposals from here on are good enough to accept together. */
const sureFrom = 0.5;

/** The crosswalk: expectations on the left, the skills they stand for on the right; proposals wait to be accepted. */
export function Expectations({
  framework,
  shipped,
  skills,
  onChanged,
}: {
  framework: string;
  shipped: boolean;
  skills: Skills;
  onChanged: () => void;
}) {
  const tell = useTell();
  const [search, setSearch] = useState('');
  const [openOnly, setOpenOnly] = useState(!shipped);
  const items = useQuery({
    queryKey: ['framework', framework],
    queryFn: () => call('GET /frameworks/{id}/items', { params: { id: framework }, query: { limit: 5000 } }),
  });
  const tie = useMutation({
    mutationFn: (ties: readonly Tie[]) => call('POST /frameworks/{id}/ties', { params: { id: framework }, body: { ties } }),
    onSuccess: (_, ties) => {
      onChanged();
      const [first] = ties;
      if (ties.length === 1 && first!.relation)
        tell('Tied.', { action: { label: 'Undo', run: () => tie.mutate([{ ...first!, relation: null }]) } });
      else tell(ties.length === 1 ? 'Let go.' : `${ties.length} ties accepted.`);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (items.error) return <Failure message={messageOf(items.error)} />;
  if (!items.data) return <Loading />;
  const words = search.toLowerCase();
  const shown = items.data.items.filter(
    (e) => (!openOnly || e.skills.length === 0) && (words === '' || `${e.code} ${e.statement}`.toLowerCase().includes(words)),
  );
  const sure = items.data.items.flatMap((e): Tie[] =>
    e.proposals.filter((p) => p.score >= sureFrom).map((p) => ({ identifier: e.identifier, skill: p.skill, relation: 'same' })),
  );
  return (
    <>
      <div className={panel.row}>
        <input
          type="search"
          aria-label="Find an expectation"
          placeholder="Find a code or words …"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
        {!shipped && (
          <>
            <label>
              <input type="checkbox" checked={openOnly} onChange={(e) => setOpenOnly(e.target.checked)} /> only those not tied yet
            </label>
            {sure.length > 0 && (
              <Button kind="main" disabled={tie.isPending} onClick={() => tie.mutate(sure)}>
                Accept the {sure.length} surest
              </Button>
            )}
          </>
        )}
      </div>
      {shown.length === 0 && <p className={panel.soft}>{openOnly ? 'Every expectation is tied to a skill.' : 'Nothing is called so.'}</p>}
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Code</th>
            <th scope="col">Expectation</th>
            <th scope="col">Skills</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((e) => (
            <tr key={e.identifier}>
              <th scope="row">
                {e.code}
                {e.band && <small>{e.band}</small>}
              </th>
              <td>{e.statement}</td>
              <td>
                {e.skills.map((s) => (
                  <span key={s.skill} className={styles.tied}>
                    {skills.title(s.skill)}
                    {s.relation === 'related' ? ' (in part)' : ''}
                    {!shipped && (
                      <Button
                        kind="plain"
                        aria-label={`Let go of ${skills.title(s.skill)}`}
                        onClick={() => tie.mutate([{ identifier: e.identifier, skill: s.skill, relation: null }])}
                      >
                        let go
                      </Button>
                    )}
                  </span>
                ))}
                {e.proposals.map((p) => (
                  <span key={p.skill} className={styles.proposed}>
                    {skills.title(p.skill)}{' '}
                    <small>{p.because === 'code' ? 'by its code' : `${Math.round(p.score * 100)} % alike in words`}</small>
                    <Button kind="plain" onClick={() => tie.mutate([{ identifier: e.identifier, skill: p.skill, relation: 'same' }])}>
                      accept
                    </Button>
                    <Button kind="plain" onClick={() => tie.mutate([{ identifier: e.identifier, skill: p.skill, relation: 'related' }])}>
                      in part
                    </Button>
                  </span>
                ))}
                {!shipped && (
                  <select
                    aria-label={`Tie ${e.code} to a skill`}
                    value=""
                    onChange={(x) => x.target.value && tie.mutate([{ identifier: e.identifier, skill: x.target.value, relation: 'same' }])}
                  >
                    <option value="">another skill …</option>
                    {skills.list.map((s) => (
                      <option key={s.id} value={s.id}>
                        {s.title}
                      </option>
                    ))}
                  </select>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
