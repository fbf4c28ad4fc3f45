import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { SignalArm } from '../../ui/SignalArm';
import { api, ApiError, get, link, type Page, writeKey } from '../shared/api';
import { goodNext } from '../shared/goodNext';
import { ageWords } from '../shared/words';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { EstimateWire, LearnerWire } from '../shared/types';
import { useSkills } from '../shared/useSkills';
import styles from './learners.module.css';

export default function LearnersView() {
  return (
    <App>
      <Learners />
    </App>
  );
}

/** Learners × strands: how far each line is signalled clear, and what is good next. */
function Learners() {
  const client = useQueryClient();
  const skills = useSkills();
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => get<Page<LearnerWire>>('/learners?limit=5000') });
  const maps = useQueries({ queries: (learners.data?.items ?? []).map((l) => ({ queryKey: ['mastery', l.id, 'short'], queryFn: () => get<Page<EstimateWire>>(`/learners/${l.id}/mastery?limit=1000&steps=false`) })) });
  const [adding, setAdding] = useState(false);
  if (learners.error) return <Failure message={messageOf(learners.error)} />;
  if (!learners.data || !skills) return <Loading />;
  const groups = [...new Set(learners.data.items.map((l) => l.group ?? 'No group'))];
  return (
    <>
      <div className={panel.head}>
        <h1>Learners</h1>
        <span className={panel.soft}>{learners.data.total > 0 ? `${learners.data.total}, youngest first` : ''}</span>
        <span className={panel.spring} />
        <LinkButton href={link('/learners/import')}>Bring in a roster</LinkButton>
        <Button kind="main" onClick={() => setAdding(true)}>
          Add a learner
        </Button>
      </div>
      {learners.data.total === 0 ? (
        <Empty title="Nobody is here yet">
          <p>Initials or nicknames are enough. Bring in a list, or add children one by one; then two minutes each at the table place them.</p>
          <div className={panel.row}>
            <LinkButton kind="main" href={link('/learners/import')}>
              Bring in a roster
            </LinkButton>
            <Button onClick={() => setAdding(true)}>Add a learner</Button>
          </div>
        </Empty>
      ) : (
        <div className={styles.wrap}>
          <table className={styles.table}>
            <thead>
              <tr>
                <th scope="col">Learner</th>
                {skills.strands.map((s) => (
                  <th key={s.id} scope="col" style={{ color: `var(--strand-${s.hue})` }}>
                    {s.title}
                  </th>
                ))}
                <th scope="col">Good next</th>
                <th scope="col" />
              </tr>
            </thead>
            {groups.map((group) => (
              <tbody key={group}>
                <tr>
                  <th colSpan={skills.strands.length + 3} className={styles.group} scope="colgroup">
                    {group}
                  </th>
                </tr>
                {learners.data.items.map((l, i) => {
                  if ((l.group ?? 'No group') !== group) return null;
                  const map = new Map(maps[i]?.data?.items.map((e) => [e.skill, e]));
                  const next = goodNext([...map.values()], skills, l).slice(0, 2);
                  const seen = [...map.values()].some((e) => e.seen);
                  return (
                    <tr key={l.id}>
                      <td>
                        <a href={link(`/learners/${l.id}`)} className={styles.name}>
                          {l.nickname}
                        </a>
                        <span className={panel.soft}>{ageWords(l.born)}</span>
                      </td>
                      {skills.strands.map((s) => (
                        <td key={s.id}>
                          <svg viewBox={`0 0 ${s.skills.length * 9 + 6} 22`} width={s.skills.length * 9 + 6} height="22" role="img" aria-label={strandWords(s.skills, map)}>
                            <path d={`M3 17H${s.skills.length * 9}`} stroke="var(--rule-strong)" />
                            {s.skills.map((id, k) => {
                              const e = map.get(id);
                              return e ? <SignalArm key={id} x={5 + k * 9} y={17} size={0.5} mastery={e.mastery} seen={e.seen} interval={null} hue={`var(--strand-${s.hue})`} /> : null;
                            })}
                          </svg>
                        </td>
                      ))}
                      <td>{maps[i]?.data ? next.map((e) => skills.byId.get(e.skill)!.short).join('; ') : '…'}</td>
                      <td>
                        <a href={link(`/learners/${l.id}/place`)}>{seen ? 'place again' : 'place'}</a>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            ))}
          </table>
          <p className={`${panel.soft} ${panel.small}`}>An arm a step: flat not yet, raised growing, upright on their own; hollow where nobody has seen it yet.</p>
        </div>
      )}
      {adding && (
        <LearnerDialog
          learner={null}
          onClose={() => setAdding(false)}
          onSaved={(id) => {
            void client.invalidateQueries();
            location.href = link(`/learners/${id}/place`);
          }}
        />
      )}
    </>
  );
}

function strandWords(ids: readonly string[], map: ReadonlyMap<string, EstimateWire>): string {
  const held = ids.filter((id) => (map.get(id)?.mastery ?? 0) >= 0.85).length;
  return `${held} of ${ids.length} on their own`;
}

export function LearnerDialog({ learner, onClose, onSaved }: { learner: LearnerWire | null; onClose: () => void; onSaved: (id: string) => void }) {
  const [nickname, setNickname] = useState(learner?.nickname ?? '');
  const [born, setBorn] = useState(learner?.born ?? '');
  const [framework, setFramework] = useState(learner?.framework ?? 'us');
  const [group, setGroup] = useState(learner?.group ?? '');
  const [actions, setActions] = useState(learner?.actions.join('\n') ?? '');
  const [supports, setSupports] = useState<string[]>(learner?.supportsInUse ?? []);
  const [permanent, setPermanent] = useState<string[]>(learner?.permanentSupports ?? []);
  const [key] = useState(writeKey);
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => get<Page<{ id: string; title: string }>>('/kinds?limit=5000') });
  const tools = kinds.data?.items.filter((k) => ['bead-frame', 'hundred-chart', 'number-line', 'two-colour-counters', 'ten-frame-cards', 'linking-cubes'].includes(k.id)) ?? [];
  const save = useMutation({
    mutationFn: () => {
      const body = { nickname, born, framework, actions: actions.split('\n').map((a) => a.trim()).filter(Boolean), supportsInUse: supports, permanentSupports: permanent, ...(group.trim() ? { group: group.trim() } : {}) };
      return learner ? api<{ id: string }>('PATCH', `/learners/${learner.id}`, { ...body, version: learner.version }) : api<{ id: string }>('POST', '/learners', body, key);
    },
    onSuccess: ({ id }) => onSaved(id),
  });
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const at = (field: string): string | null => (problem?.field === field ? problem.message : null);
  const toggle = (list: string[], set: (l: string[]) => void, id: string): void => set(list.includes(id) ? list.filter((x) => x !== id) : [...list, id]);
  return (
    <Dialog title={learner ? `Change ${learner.nickname}` : 'Add a learner'} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <Field label="Nickname or initials" error={at('nickname')}>
          {(p) => <input {...p} value={nickname} onChange={(e) => setNickname(e.target.value)} required />}
        </Field>
        <div className={panel.grid2}>
          <Field label="Birth month" error={at('born')} hint="like 2019-09">
            {(p) => <input {...p} value={born} onChange={(e) => setBorn(e.target.value)} placeholder="2019-09" required />}
          </Field>
          <Field label="Norms">
            {(p) => (
              <select {...p} value={framework} onChange={(e) => setFramework(e.target.value as 'us' | 'england')}>
                <option value="us">US style, K–6</option>
                <option value="england">England style, by year</option>
              </select>
            )}
          </Field>
        </div>
        <Field label="Group">{(p) => <input {...p} value={group} onChange={(e) => setGroup(e.target.value)} />}</Field>
        <fieldset className={styles.fieldset}>
          <legend>Tools in use now</legend>
          {tools.map((t) => (
            <label key={t.id}>
              <input type="checkbox" checked={supports.includes(t.id)} onChange={() => toggle(supports, setSupports, t.id)} /> {t.title}
            </label>
          ))}
        </fieldset>
        <fieldset className={styles.fieldset}>
          <legend>Keeps this tool, with full credit</legend>
          {tools.map((t) => (
            <label key={t.id}>
              <input type="checkbox" checked={permanent.includes(t.id)} onChange={() => toggle(permanent, setPermanent, t.id)} /> {t.title}
            </label>
          ))}
        </fieldset>
        <Field label="What helpers should do, a line each" hint="Actions, never a diagnosis: “sits on the seeing side”, “large print”. Where a learning difficulty is suspected, a qualified professional should look.">
          {(p) => <textarea {...p} rows={3} value={actions} onChange={(e) => setActions(e.target.value)} />}
        </Field>
        {save.error && !problem?.field && <p className={panel.bad}>{messageOf(save.error)}</p>}
        <div className={panel.actions}>
          <Button onClick={onClose}>Leave it</Button>
          <Button kind="main" type="submit" disabled={save.isPending}>
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
