import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { monthsBetween } from '../../core/shared/days';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { useWriteKey } from '../shared/useWriteKey';
import { pageToday } from '../shared/words';
import styles from './placeGroup.module.css';
import { useLaid } from './useLaid';

export default function PlaceGroupView() {
  return (
    <App>
      <PlaceGroup />
    </App>
  );
}

/** Steps shown reach from so many years before the youngest to so many after the oldest. */
const yearsBefore = 2.5;
const yearsAfter = 1.5;

/** A whole group on one page: names laid along a line, each as far as things go well; each counts as one question. */
function PlaceGroup() {
  const skills = useSkills();
  const tell = useTell();
  const client = useQueryClient();
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const [strand, setStrand] = useState('add');
  const [laid, setLaid] = useLaid(strand);
  const [held, setHeld] = useState<string | null>(null);
  const key = useWriteKey();
  const save = useMutation({
    mutationFn: () =>
      call('POST /evidence/batch', {
        body: {
          items: [...laid].map(([learner, skill]) => ({
            learner,
            kind: 'placement' as const,
            skill,
            result: 'alone' as const,
            by: { role: 'organiser' as const },
          })),
        },
        key,
      }),
    onSuccess: () => {
      const n = laid.size;
      setLaid(new Map());
      void client.invalidateQueries();
      tell(`${n} ${n === 1 ? 'name' : 'names'} noted, as one question each.`);
    },
  });
  if (learners.error) return <Failure message={messageOf(learners.error)} />;
  if (!skills || !learners.data) return <Loading />;
  const people = learners.data.items;
  if (people.length === 0)
    return (
      <>
        <div className={panel.head}>
          <h1>Place the group</h1>
        </div>
        <Empty title="Nobody is here yet">
          <p>Add learners first; then their names are laid along a line, all on one page.</p>
          <LinkButton kind="main" href={link('/learners')}>
            To the learners
          </LinkButton>
        </Empty>
      </>
    );
  const ages = people.map((l) => monthsBetween(l.born, pageToday()) / 12);
  const [from, to] = [Math.min(...ages) - yearsBefore, Math.max(...ages) + yearsAfter];
  const steps = skills.list
    .filter((s) => s.strand === strand && s.wantedAt.us >= from && s.wantedAt.us <= to)
    .sort((x, y) => x.wantedAt.us - y.wantedAt.us);
  const name = (id: string): string => people.find((l) => l.id === id)?.nickname ?? id;
  const lay = (skill: string | null): void => {
    if (!held) return;
    const next = new Map(laid);
    if (skill) next.set(held, skill);
    else next.delete(held);
    setLaid(next);
    // The next name is at hand at once, so that a class is laid in one go.
    setHeld(people.find((l) => l.id !== held && !next.has(l.id))?.id ?? null);
  };
  const chip = (id: string) => (
    <button key={id} type="button" className={styles.name} aria-pressed={held === id} onClick={() => setHeld(held === id ? null : id)}>
      {name(id)}
    </button>
  );
  const hue = skills.strands.find((s) => s.id === strand)?.hue ?? 'slate';
  return (
    <>
      <div className={panel.head}>
        <h1>Place the group</h1>
        <label>
          Line{' '}
          <select
            value={strand}
            onChange={(e) => {
              setStrand(e.target.value);
              setHeld(null);
            }}
          >
            {skills.strands.map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </select>
        </label>
        <span className={panel.spring} />
        <LinkButton href={link('/learners/group')}>The group in one picture</LinkButton>
        <Button kind="main" disabled={laid.size === 0 || save.isPending} onClick={() => save.mutate()}>
          Save {laid.size} {laid.size === 1 ? 'name' : 'names'}
        </Button>
      </div>
      <p className={panel.lead}>
        Take a name, then lay it at the furthest step that goes well without help. Each counts as one question; leave out whom you do not
        know.
      </p>
      {save.error && <Failure message={messageOf(save.error)} />}
      <section className={`${panel.sheet} ${styles.names}`} aria-label="Names not laid yet">
        {people.filter((l) => !laid.has(l.id)).map((l) => chip(l.id))}
        {people.every((l) => laid.has(l.id)) && <span className={panel.soft}>Every name is laid.</span>}
        {held && laid.has(held) && (
          <Button kind="plain" onClick={() => lay(null)}>
            take {name(held)} off the line
          </Button>
        )}
      </section>
      <ol className={styles.line} style={{ borderColor: `var(--strand-${hue})` }}>
        {steps.map((s) => (
          <li key={s.id}>
            <button
              type="button"
              className={styles.stop}
              disabled={!held}
              aria-label={held ? `Lay ${name(held)} at ${s.title}` : s.title}
              onClick={() => lay(s.id)}
            >
              {s.title}
            </button>
            <span className={styles.here}>{[...laid].filter(([, skill]) => skill === s.id).map(([id]) => chip(id))}</span>
          </li>
        ))}
      </ol>
      {steps.length === 0 && <p className={panel.soft}>No step of this line is near these ages.</p>}
    </>
  );
}
