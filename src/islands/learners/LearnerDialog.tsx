import type { LearnerWire } from '../../contract/wire/learners';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { bornOfGrade, readBirthMonth } from '../../core/content/birthMonth';
import { accommodations } from '../../core/recommend/accommodations';
import { accommodationWords } from '../../text/sentences';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { ApiError, call, problemAt } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useClash } from '../shared/useClash';
import { useWriteKey } from '../shared/useWriteKey';
import { pageToday } from '../shared/words';
import styles from './learners.module.css';

const schoolYears = ['0', '1', '2', '3', '4', '5', '6'];
const schoolWords = (n: string, sort: 'grade' | 'year'): string =>
  n === '0' ? (sort === 'year' ? 'reception' : 'kindergarten') : `${sort} ${n}`;
/** The grade or year whose middle a birth month is. */
const gradeOf = (born: string, sort: 'grade' | 'year'): string | null => {
  const found = schoolYears.find((n) => bornOfGrade(n, pageToday(), sort) === born);
  return found === undefined ? null : schoolWords(found, sort);
};

/** Add or change a learner by hand. */
export function LearnerDialog({
  learner,
  onClose,
  onSaved,
}: {
  learner: LearnerWire | null;
  onClose: () => void;
  onSaved: (id: string) => void;
}) {
  const [nickname, setNickname] = useState(learner?.nickname ?? '');
  const [born, setBorn] = useState(learner?.born ?? '');
  const [framework, setFramework] = useState(learner?.framework ?? 'us');
  const [group, setGroup] = useState(learner?.group ?? '');
  const [actions, setActions] = useState(learner?.actions.join('\n') ?? '');
  const [supports, setSupports] = useState<string[]>(learner?.supportsInUse ?? []);
  const [permanent, setPermanent] = useState<string[]>(learner?.permanentSupports ?? []);
  const [withoutNorms, setWithoutNorms] = useState(learner?.withoutNorms ?? false);
  const [allowances, setAllowances] = useState<LearnerWire['accommodations']>(learner?.accommodations ?? []);
  const schooling = framework === 'england' ? 'year' : 'grade';
  const key = useWriteKey();
  const frameworks = useQuery({
    queryKey: ['frameworks'],
    queryFn: () => call('GET /frameworks', { query: { limit: 1000 } }),
  });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const tools =
    kinds.data?.items.filter((k) =>
      ['bead-frame', 'hundred-chart', 'number-line', 'two-colour-counters', 'ten-frame-cards', 'linking-cubes'].includes(k.id),
    ) ?? [];
  const body = {
    nickname,
    born,
    framework,
    actions: actions
      .split('\n')
      .map((a) => a.trim())
      .filter(Boolean),
    supportsInUse: supports,
    permanentSupports: permanent,
    withoutNorms,
    accommodations: allowances,
    group: group.trim() === '' ? null : group.trim(),
  };
  const clash = useClash({
    version: learner?.version ?? 0,
    body,
    labels: {
      nickname: 'Nickname or initials',
      born: 'Birth month',
      framework: 'Norms',
      actions: 'What helpers should do',
      supportsInUse: 'Tools in use now',
      permanentSupports: 'Keeps this tool, with full credit',
      withoutNorms: 'Goes by own goals',
      accommodations: 'Games should allow for',
      group: 'Group',
    },
    load: async () => {
      const now = await call('GET /learners/{id}', { params: { id: learner!.id } });
      const { nickname, born, framework, actions, supportsInUse, permanentSupports, withoutNorms, accommodations, group, version } = now;
      return {
        body: { nickname, born, framework, actions, supportsInUse, permanentSupports, withoutNorms, accommodations, group },
        version,
      };
    },
    onMine: () => save.mutate(),
    onTheirs: onClose,
  });
  const save = useMutation({
    mutationFn: () =>
      learner ? call('PATCH /learners/{id}', { params: { id: learner.id }, body: clash.toSend() }) : call('POST /learners', { body, key }),
    onSuccess: ({ id }) => onSaved(id),
    onError: clash.met,
  });
  /** What was refused was what stood there before. */
  const refreshed = (change: () => void): void => {
    change();
    if (save.error) save.reset();
  };
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const at = (field: string): string | null => problemAt(save.error, field);
  const toggle = <T extends string>(list: T[], set: (l: T[]) => void, id: T): void =>
    set(list.includes(id) ? list.filter((x) => x !== id) : [...list, id]);
  return (
    <Dialog title={learner ? `Change ${learner.nickname}` : 'Add a learner'} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <Field label="Nickname or initials" error={at('nickname')}>
          {(p) => <input {...p} value={nickname} onChange={(e) => refreshed(() => setNickname(e.target.value))} required />}
        </Field>
        <div className={panel.grid2}>
          <Field label="Birth month" error={at('born')} hint="like 2019-09 or Sep 2019">
            {(p) => (
              <input
                {...p}
                value={born}
                onChange={(e) => refreshed(() => setBorn(e.target.value))}
                onBlur={() => setBorn(readBirthMonth(born) ?? born)}
                placeholder="2019-09"
                required
              />
            )}
          </Field>
          <Field label={`or ${schooling}`} hint={`puts the middle of that ${schooling} there`}>
            {(p) => (
              <select {...p} value="" onChange={(e) => setBorn(bornOfGrade(e.target.value, pageToday(), schooling) ?? born)}>
                <option value="">{gradeOf(born, schooling) ?? 'choose'}</option>
                {schoolYears.map((n) => (
                  <option key={n} value={n}>
                    {schoolWords(n, schooling)}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="Norms">
            {(p) => (
              <select {...p} value={framework} onChange={(e) => setFramework(e.target.value)}>
                {(frameworks.data?.items ?? [{ id: framework, title: framework }]).map((f) => (
                  <option key={f.id} value={f.id}>
                    {f.title}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
        <label className={styles.check}>
          <input type="checkbox" checked={withoutNorms} onChange={(e) => setWithoutNorms(e.target.checked)} /> Goes by own goals, not by
          norms (choose goals on the learner’s page)
        </label>
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
        <fieldset className={styles.fieldset}>
          <legend>Games should allow for</legend>
          {accommodations.map((a) => (
            <label key={a}>
              <input type="checkbox" checked={allowances.includes(a)} onChange={() => toggle(allowances, setAllowances, a)} />{' '}
              {accommodationWords[a]}
            </label>
          ))}
        </fieldset>
        <Field
          label="What helpers should do, a line each"
          hint="Actions, never a diagnosis: “sits on the seeing side”, “large print”. Where a learning difficulty is suspected, a qualified professional should look."
        >
          {(p) => <textarea {...p} rows={3} value={actions} onChange={(e) => setActions(e.target.value)} />}
        </Field>
        {clash.panel ?? (save.error !== null && !problem?.field && <p className={panel.bad}>{messageOf(save.error)}</p>)}
        {!clash.panel && <FormActions onLeave={onClose} busy={save.isPending} />}
      </form>
    </Dialog>
  );
}
