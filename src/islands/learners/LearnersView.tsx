import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { heldAt } from '../../core/mastery/parameters';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { foldFrom } from '../../ui/foldLine';
import { SignalArm } from '../../ui/SignalArm';
import { get, link, type Page } from '../shared/api';
import { HelpNext } from '../learner/HelpNext';
import { goodNext } from '../shared/goodNext';
import { ageWords } from '../shared/words';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { EstimateWire, LearnerWire } from '../shared/types';
import { useSkills } from '../shared/useSkills';
import { LearnerDialog } from './LearnerDialog';
import styles from './learners.module.css';

export default function LearnersView() {
  return (
    <App>
      <Learners />
    </App>
  );
}

/** Distance between two small arms. */
const armPitch = 7.8;
/** Arms drawn of each line: those around the edge of what is there. */
const armsShown = 7;

function edgeOf(ids: readonly string[], map: ReadonlyMap<string, EstimateWire>): readonly string[] {
  const from = foldFrom(
    ids.map((id) => map.get(id)?.asSeen ?? 0),
    -1,
    null,
    armsShown,
  );
  return ids.slice(from, from + armsShown);
}

/** Learners × strands: how far each line is signalled clear, and what is good next. */
function Learners() {
  const client = useQueryClient();
  const skills = useSkills();
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => get<Page<LearnerWire>>('/learners?limit=5000') });
  const maps = useQueries({
    queries: (learners.data?.items ?? []).map((l) => ({
      queryKey: ['mastery', l.id, 'short'],
      queryFn: () => get<Page<EstimateWire>>(`/learners/${l.id}/mastery?limit=1000&steps=false`),
    })),
  });
  const [adding, setAdding] = useState(false);
  const [together, setTogether] = useState<readonly string[]>([]);
  const [asking, setAsking] = useState(false);
  if (learners.error) return <Failure message={messageOf(learners.error)} />;
  if (!learners.data || !skills) return <Loading />;
  const groups = [...new Set(learners.data.items.map((l) => l.group ?? 'No group'))];
  return (
    <>
      <div className={panel.head}>
        <h1>Learners</h1>
        <span className={panel.soft}>{learners.data.total > 0 ? `${learners.data.total}, youngest first` : ''}</span>
        <span className={panel.spring} />
        {learners.data.total > 0 && (
          <Button disabled={together.length === 0} title="Tick children first" onClick={() => setAsking(true)}>
            What could {together.length > 1 ? `these ${together.length}` : 'they'} play?
          </Button>
        )}
        <Button kind="main" onClick={() => setAdding(true)}>
          Add a learner
        </Button>
      </div>
      <nav className={styles.more} aria-label="More about learners">
        <a href={link('/learners/group')}>The group in one picture</a>
        <a href={link('/learners/import')}>Bring in a roster</a>
        <a href={link('/learners/evidence')}>Bring in notes</a>
        <a href="/api/v1/evidence.csv" download>
          Take notes out (CSV)
        </a>
        <a href="/api/v1/evidence.xapi" download>
          Take notes out (xAPI)
        </a>
        <a href={link('/learners/skills')}>Skills</a>
        <a href={link('/learners/frameworks')}>Frameworks</a>
      </nav>
      {learners.data.total === 0 ? (
        <Empty title="Nobody is here yet">
          <p>
            Initials or nicknames are enough. Bring in a list, or add children one by one; then two minutes each at the table place them.
          </p>
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
                        <input
                          type="checkbox"
                          className={styles.tick}
                          aria-label={`${l.nickname} at this table`}
                          checked={together.includes(l.id)}
                          onChange={() => setTogether(together.includes(l.id) ? together.filter((x) => x !== l.id) : [...together, l.id])}
                        />
                        <a href={link(`/learners/${l.id}`)} className={styles.name}>
                          {l.nickname}
                        </a>
                        <span className={panel.soft}>{ageWords(l.born)}</span>
                      </td>
                      {skills.strands.map((s) => (
                        <td key={s.id}>
                          <svg
                            viewBox={`0 0 ${armsShown * armPitch + 6} 22`}
                            width={armsShown * armPitch + 6}
                            height="22"
                            role="img"
                            aria-label={strandWords(s.skills, map)}
                          >
                            <path d={`M3 17H${armsShown * armPitch}`} stroke="var(--rule-strong)" />
                            {edgeOf(s.skills, map).map((id, k) => {
                              const e = map.get(id);
                              return e ? (
                                <SignalArm
                                  key={id}
                                  x={5 + k * armPitch}
                                  y={17}
                                  size={0.5}
                                  mastery={e.asSeen}
                                  seen={e.seen}
                                  interval={null}
                                  hue={`var(--strand-${s.hue})`}
                                />
                              ) : null;
                            })}
                          </svg>
                        </td>
                      ))}
                      <td className={styles.next}>{maps[i]?.data ? next.map((e) => skills.byId.get(e.skill)!.short).join('; ') : '…'}</td>
                      <td>
                        <a href={link(`/learners/${l.id}/place`)}>{seen ? 'place again' : 'place'}</a>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            ))}
          </table>
          <p className={`${panel.soft} ${panel.small}`}>
            An arm a step, the seven around the edge of each line: flat not yet, raised growing, upright on their own; hollow where nobody
            has seen it yet.
          </p>
        </div>
      )}
      {asking && (
        <Dialog
          title={together.map((id) => learners.data.items.find((l) => l.id === id)?.nickname ?? id).join(', ')}
          onClose={() => setAsking(false)}
          wide
        >
          <HelpNext
            learners={together}
            limit={8}
            title="Games for this table"
            nickname={(id) => learners.data.items.find((l) => l.id === id)?.nickname ?? id}
          />
        </Dialog>
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
  const held = ids.filter((id) => (map.get(id)?.asSeen ?? 0) >= heldAt).length;
  return `${held} of ${ids.length} on their own`;
}
