import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { heldAt } from '../../core/mastery/parameters';
import { statusWords } from '../../text/sentences';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LineDiagram } from '../../ui/LineDiagram';
import { LinkButton } from '../../ui/LinkButton';
import { SignalArm } from '../../ui/SignalArm';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { goodNext } from '../shared/goodNext';
import { ageWords } from '../shared/words';
import { LearnerDialog } from '../learners/LearnerDialog';
import { CheckNext } from './CheckNext';
import { FactsSeen } from './FactsSeen';
import { HelpNext } from './HelpNext';
import { MapTable } from './MapTable';
import { OpenNow } from './OpenNow';
import styles from './learner.module.css';
import { NoteDialog } from './NoteDialog';
import { SheetDialog } from './SheetDialog';
import { download } from './download';
import { EraseDialog } from './EraseDialog';
import { WhyPanel } from './WhyPanel';

export default function LearnerView({ id, focus }: { id: string; focus: string | null }) {
  return (
    <App>
      <Learner id={id} first={focus} />
    </App>
  );
}

function Learner({ id, first }: { id: string; first: string | null }) {
  const client = useQueryClient();
  const tell = useTell();
  const skills = useSkills();
  const learner = useQuery({ queryKey: ['learner', id], queryFn: () => call('GET /learners/{id}', { params: { id: id } }) });
  const mastery = useQuery({
    queryKey: ['mastery', id],
    queryFn: () => call('GET /learners/{id}/mastery', { params: { id: id }, query: { limit: 1000 } }),
  });
  const evidence = useQuery({ queryKey: ['evidence', id], queryFn: () => call('GET /evidence', { query: { learner: id, limit: 5000 } }) });
  const [focus, setFocus] = useState<string | null>(first);
  const [dialog, setDialog] = useState<'note' | 'sheet' | 'edit' | 'erase' | null>(null);
  const refresh = (): void => void client.invalidateQueries();
  const saved = (words: string): void => {
    setDialog(null);
    refresh();
    tell(words);
  };
  const map = useMemo(() => new Map(mastery.data?.items.map((e) => [e.skill, e])), [mastery.data]);
  if (learner.error) return <Failure message={messageOf(learner.error)} />;
  if (!learner.data || !mastery.data || !skills) return <Loading what="Drawing the map …" />;
  const l = learner.data;
  const all = mastery.data.items;
  const seenHeld = all.filter((e) => e.seen && e.asSeen >= heldAt).length;
  const next = new Set(goodNext(all, skills, l).map((e) => e.skill));
  const lines = skills.strands.map((s) => ({
    ...s,
    skills: s.skills.map((k) => {
      const e = map.get(k)!;
      const skill = skills.byId.get(k)!;
      return {
        id: k,
        short: skill.short,
        title: skill.title,
        mastery: e.asSeen,
        seen: e.seen,
        interval: e.interval,
        frontier: next.has(k),
        wantedNow: e.wantedNow,
        words: `${skill.title}: ${statusWords[e.status]}${e.seen ? '' : ', nobody has looked at it yet'}`,
      };
    }),
  }));
  const junctions = skills.list.flatMap((s) => s.prerequisites.map((p) => ({ from: p.id, to: s.id, sort: p.sort })));
  return (
    <>
      <div className={panel.head}>
        <h1>
          <bdi>{l.nickname}</bdi>
        </h1>
        <Figure
          big={ageWords(l.born)}
          small={l.withoutNorms ? 'own goals, no norms' : `${normWords[l.framework] ?? 'own framework’s'} norms`}
        />
        <Figure big={seenHeld === 1 ? '1 step' : `${seenHeld} steps`} small="seen on their own" />
        <span className={panel.spring} />
        <span className={panel.together}>
          <LinkButton href={link(`/learners/${id}/place`)}>{all.some((e) => e.seen) ? 'Place again' : 'Place'}</LinkButton>
          <Button onClick={() => setDialog('sheet')}>Sheet of ten</Button>
          <Button kind="main" onClick={() => setDialog('note')}>
            Note something
          </Button>
        </span>
      </div>
      <div className={styles.columns}>
        <div className={styles.left}>
          <section className={panel.sheet} aria-label="The map">
            <div className={styles.scroll}>
              <LineDiagram lines={lines} junctions={junctions} focus={focus} onFocus={setFocus} />
            </div>
            <Legend />
          </section>
          <OpenNow estimates={all} next={next} skills={skills} ownGoals={l.withoutNorms} onFocus={setFocus} />
          <FactsSeen evidence={evidence.data?.items ?? []} nickname={l.nickname} />
          <MapTable skills={skills} map={map} next={next} />
        </div>
        <aside className={styles.side}>
          {focus && map.get(focus) && (
            <WhyPanel
              learner={l}
              skill={skills.byId.get(focus)!}
              estimate={map.get(focus)!}
              skills={skills}
              evidence={evidence.data?.items ?? []}
              onNote={() => setDialog('note')}
              onChanged={refresh}
            />
          )}
          <CheckNext
            learner={l}
            skills={skills}
            onSheet={(skill) => {
              setFocus(skill);
              setDialog('sheet');
            }}
          />
          <HelpNext learners={[id]} />
          <section className={panel.sheet}>
            <h2>About {l.nickname}</h2>
            <p className={panel.small}>
              {l.group ?? 'No group'}
              {l.supportsInUse.length > 0 && <> · uses {l.supportsInUse.map((s) => s.replaceAll('-', ' ')).join(', ')}</>}
              {l.permanentSupports.length > 0 && <> · keeps {l.permanentSupports.map((s) => s.replaceAll('-', ' ')).join(', ')}</>}
            </p>
            {l.actions.length > 0 && (
              <ul className={styles.actions}>
                {l.actions.map((a) => (
                  <li key={a}>{a}</li>
                ))}
              </ul>
            )}
            {l.goals.length > 0 && (
              <p className={panel.small}>
                <b>{l.withoutNorms ? 'Goes by own goals' : 'Own goals'}:</b> {l.goals.map((g) => skills.title(g)).join(', ')}
              </p>
            )}
            <div className={panel.row}>
              <LinkButton href={link(`/learners/${id}/mine`)}>What {l.nickname} can see</LinkButton>
              <Button onClick={() => setDialog('edit')}>Change</Button>
              <Button onClick={() => void download(id, l.nickname).catch((e: unknown) => tell(messageOf(e), { bad: true }))}>
                Export everything
              </Button>
              <Button kind="danger" onClick={() => setDialog('erase')}>
                Erase
              </Button>
            </div>
          </section>
        </aside>
      </div>
      {dialog === 'note' && (
        <NoteDialog
          learner={l}
          skill={focus}
          skills={skills}
          onClose={() => setDialog(null)}
          onSaved={() => saved('Noted; the map moved.')}
        />
      )}
      {dialog === 'sheet' && (
        <SheetDialog
          learner={l}
          skill={focus}
          skills={skills}
          onClose={() => setDialog(null)}
          onSaved={() => saved('On record; the map moved.')}
        />
      )}
      {dialog === 'edit' && (
        <LearnerDialog
          learner={l}
          onClose={() => setDialog(null)}
          onSaved={() => {
            setDialog(null);
            refresh();
          }}
        />
      )}
      {dialog === 'erase' && <EraseDialog learner={l} onClose={() => setDialog(null)} />}
    </>
  );
}

const normWords: Readonly<Record<string, string>> = { us: 'US-style', england: 'England-style' };

function Figure({ big, small }: { big: string; small: string }) {
  return (
    <span className={styles.figure}>
      <b>{big}</b>
      <span>{small}</span>
    </span>
  );
}

function Legend() {
  const arm = (mastery: number, seen: boolean, glow = false) => (
    <svg width="34" height="34" viewBox="-14 -24 40 40" aria-hidden="true">
      <SignalArm x={0} y={0} size={0.75} mastery={mastery} seen={seen} interval={null} hue="var(--strand-slate)" glow={glow} />
    </svg>
  );
  return (
    <p className={styles.legend}>
      <span>{arm(0.05, true)} not yet</span>
      <span>{arm(0.45, true)} growing</span>
      <span>{arm(0.95, true)} on their own</span>
      <span>{arm(0.5, false)} assumed, nobody has seen it</span>
      <span>{arm(0.4, true, true)} good next</span>
      <span>
        <svg width="10" height="20" aria-hidden="true">
          <path d="M5 2V18" stroke="var(--vermilion)" strokeWidth="2" />
        </svg>{' '}
        wanted by now, to the left
      </span>
      <span>arc: how sure</span>
    </p>
  );
}
