import type { LearnerWire } from '../../contract/wire/learners';
import type { ShortMapWire } from '../../contract/wire/maps';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { SignalArm } from '../../ui/SignalArm';
import { call, link } from '../shared/api';
import { HelpNext } from '../learner/HelpNext';
import { ageWords } from '../shared/words';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { type Skills, useSkills } from '../shared/useSkills';
import { useWindowRows } from '../shared/useWindowRows';
import { SpacerRow } from '../../ui/SpacerRow';
import { LearnerDialog } from './LearnerDialog';
import { useKitchen } from '../shared/useKitchen';
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
/** Room for seven arms of a line. */
const armsShown = 7;

/** Learners × strands: how far each line is signalled clear, and what is good next. */
function Learners() {
  const client = useQueryClient();
  const skills = useSkills();
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const maps = useQuery({ queryKey: ['maps'], queryFn: () => call('GET /maps', { query: { limit: 5000 } }) });
  const [adding, setAdding] = useState(false);
  const [together, setTogether] = useState<readonly string[]>([]);
  const [asking, setAsking] = useState(false);
  const { kitchen } = useKitchen();
  const rows = useMemo(() => groupedRows(learners.data?.items ?? []), [learners.data]);
  const list = useWindowRows<HTMLTableSectionElement>(rows.length, 46);
  if (learners.error) return <Failure message={messageOf(learners.error)} />;
  if (!learners.data || !skills) return <Loading />;
  const mapOf = new Map(maps.data?.items.map((m) => [m.learner, m]));
  const columns = skills.strands.length + 3;
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
        <a href={link('/learners/place')}>Place the group</a>
        {!kitchen && (
          <>
            <a href={link('/learners/import')}>Bring in a roster</a>
            <a href={link('/learners/evidence')}>Bring in notes</a>
            {learners.data.total > 0 && (
              <a href="/api/v1/roster.csv" download>
                Take the roster out (CSV)
              </a>
            )}
            <a href="/api/v1/evidence.csv" download>
              Take notes out (CSV)
            </a>
            <a href="/api/v1/evidence.xapi" download>
              Take notes out (xAPI)
            </a>
          </>
        )}
        <a href={link('/learners/skills')}>Skills</a>
        {!kitchen && <a href={link('/learners/frameworks')}>Frameworks</a>}
      </nav>
      {learners.data.total === 0 ? (
        <Empty title="Nobody is here yet">
          <p>
            Initials or nicknames are enough. Bring in a list, or add children one by one; then two minutes each at the table place them.
          </p>
          <div className={panel.row}>
            {!kitchen && (
              <LinkButton kind="main" href={link('/learners/import')}>
                Bring in a roster
              </LinkButton>
            )}
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
                <th scope="col">
                  <span className="visually-hidden">Placement</span>
                </th>
              </tr>
            </thead>
            <tbody ref={list.holder}>
              <SpacerRow height={list.before} columns={columns} />
              {list.shown.map((n) => {
                const row = rows[n]!;
                return typeof row === 'string' ? (
                  <tr key={`group ${row}`} ref={list.measure} data-index={n}>
                    <th colSpan={columns} className={styles.group} scope="colgroup">
                      {row}
                    </th>
                  </tr>
                ) : (
                  <LearnerRow
                    key={row.id}
                    index={n}
                    measure={list.measure}
                    learner={row}
                    map={mapOf.get(row.id)}
                    skills={skills}
                    together={together.includes(row.id)}
                    onTick={() => setTogether(together.includes(row.id) ? together.filter((x) => x !== row.id) : [...together, row.id])}
                  />
                );
              })}
              <SpacerRow height={list.after} columns={columns} />
            </tbody>
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

/** Learners under the names of their groups, in the order in which they come. */
function groupedRows(all: readonly LearnerWire[]): readonly (string | LearnerWire)[] {
  const groups = [...new Set(all.map((l) => l.group ?? 'No group'))];
  return groups.flatMap((g) => [g, ...all.filter((l) => (l.group ?? 'No group') === g)]);
}

function LearnerRow({
  learner: l,
  index,
  measure,
  map,
  skills,
  together,
  onTick,
}: {
  learner: LearnerWire;
  index: number;
  measure: ((row: Element | null) => void) | undefined;
  map: ShortMapWire | undefined;
  skills: Skills;
  together: boolean;
  onTick: () => void;
}) {
  return (
    <tr ref={measure} data-index={index}>
      <td>
        <input type="checkbox" className={styles.tick} aria-label={`${l.nickname} at this table`} checked={together} onChange={onTick} />
        <a href={link(`/learners/${l.id}`)} className={styles.name}>
          <bdi>{l.nickname}</bdi>
        </a>
        <span className={panel.soft}>{ageWords(l.born)}</span>
      </td>
      {skills.strands.map((strand, n) => (
        <td key={strand.id}>
          {map && (
            <svg
              viewBox={`0 0 ${armsShown * armPitch + 6} 22`}
              width={armsShown * armPitch + 6}
              height="22"
              role="img"
              aria-label={`${map.lines[n]!.held} of ${strand.skills.length} on their own`}
            >
              <path d={`M3 17H${armsShown * armPitch}`} stroke="var(--rule-strong)" />
              {map.lines[n]!.arms.map(([height, seen], k) => (
                <SignalArm
                  key={k}
                  x={5 + k * armPitch}
                  y={17}
                  size={0.5}
                  mastery={height}
                  seen={seen}
                  interval={null}
                  hue={`var(--strand-${strand.hue})`}
                />
              ))}
            </svg>
          )}
        </td>
      ))}
      <td className={styles.next}>{map ? map.next.map((k) => skills.byId.get(k)!.short).join('; ') : '…'}</td>
      <td>
        <a href={link(`/learners/${l.id}/place`)}>{map?.seen ? 'place again' : 'place'}</a>
      </td>
    </tr>
  );
}
