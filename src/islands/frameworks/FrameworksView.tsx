import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call } from '../shared/api';
import { useTellUndo } from '../shared/useTellUndo';
import { App, messageOf, useTell } from '../shared/App';
import { CountryChoice } from '../shared/CountryChoice';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { Expectations } from './Expectations';
import styles from './frameworks.module.css';

export default function FrameworksView() {
  return (
    <App>
      <Frameworks />
    </App>
  );
}

/** Frameworks that ship and that were brought in; which skills their expectations stand for. */
function Frameworks() {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const skills = useSkills();
  const list = useQuery({ queryKey: ['frameworks'], queryFn: () => call('GET /frameworks', { query: { limit: 1000 } }) });
  const [open, setOpen] = useState('us');
  const [file, setFile] = useState<string | null>(null);
  const preview = useMutation({ mutationFn: (text: string) => call('POST /imports/framework', { body: { text } }) });
  const refresh = (): void => void client.invalidateQueries();
  const commit = useMutation({
    mutationFn: () => call('POST /imports/framework', { body: { text: file!, commit: true } }),
    onSuccess: (p) => {
      refresh();
      preview.reset();
      setFile(null);
      setOpen(p.id);
      tell(`${p.title} is here. Now accept which skills its expectations stand for.`);
    },
  });
  const remove = useMutation({
    mutationFn: (id: string) => call('DELETE /frameworks/{id}', { params: { id: id } }),
    onSuccess: ({ change }) => {
      setOpen('us');
      refresh();
      tellUndo('Taken away, with its ties.', change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  async function take(chosen: File | undefined): Promise<void> {
    if (!chosen) return;
    const text = await chosen.text();
    setFile(text);
    preview.mutate(text);
  }
  if (list.error) return <Failure message={messageOf(list.error)} />;
  if (!list.data || !skills) return <Loading />;
  const chosen = list.data.items.find((f) => f.id === open) ?? list.data.items[0]!;
  return (
    <>
      <div className={panel.head}>
        <h1>Frameworks</h1>
        <p className={panel.lead}>What others expect by when, and which skills here stand for it.</p>
        <span className={panel.spring} />
        <CountryChoice />
      </div>
      <div className={styles.columns}>
        <aside className={styles.side}>
          <div role="tablist" aria-label="Frameworks" aria-orientation="vertical" className={styles.list}>
            {list.data.items.map((f) => (
              <button key={f.id} type="button" role="tab" aria-selected={f.id === chosen.id} onClick={() => setOpen(f.id)}>
                <b>{f.title}</b>
                <span>
                  {f.tied} of {f.expectations} tied to skills{f.shipped ? ', ships with the app' : ''}
                </span>
              </button>
            ))}
          </div>
          <section className={panel.sheet}>
            <h2>Bring one in</h2>
            <p className={panel.small}>A CASE 1.0 package, as JSON. Nothing is changed before you have looked.</p>
            <input type="file" accept=".json,application/json" aria-label="CASE file" onChange={(e) => void take(e.target.files?.[0])} />
            {preview.isPending && <p role="status">Reading …</p>}
            {preview.error && (
              <p className={panel.bad} role="alert">
                {messageOf(preview.error)}
              </p>
            )}
            {preview.data && (
              <div className={styles.preview}>
                <p>
                  <b>{preview.data.title}</b> by {preview.data.creator}: {preview.data.expectations} expectations.
                </p>
                {preview.data.remarks.map((r) => (
                  <p key={r} className={panel.small}>
                    {r}
                  </p>
                ))}
                <ul>
                  {preview.data.sample.map((s) => (
                    <li key={s.code}>
                      <b>{s.code}</b> {s.statement}
                    </li>
                  ))}
                </ul>
                <Button kind="main" disabled={commit.isPending} onClick={() => commit.mutate()}>
                  Bring it in
                </Button>
                {commit.error && <p className={panel.bad}>{messageOf(commit.error)}</p>}
              </div>
            )}
          </section>
        </aside>
        <section className={panel.sheet}>
          <div className={panel.row}>
            <h2>{chosen.title}</h2>
            <span className={panel.spring} />
            <LinkButton href={`/api/v1/frameworks/${chosen.id}/case`} download>
              Take it out as CASE
            </LinkButton>
            {!chosen.shipped && <Button onClick={() => remove.mutate(chosen.id)}>Take it away</Button>}
          </div>
          <p className={`${panel.soft} ${panel.small}`}>
            By {chosen.creator}
            {chosen.licence ? `, ${chosen.licence}` : ''}. {chosen.notes}
          </p>
          <Expectations key={chosen.id} framework={chosen.id} shipped={chosen.shipped} skills={skills} onChanged={refresh} />
        </section>
      </div>
    </>
  );
}
