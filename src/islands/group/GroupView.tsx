import type { GroupMapWire } from '../../contract/wire/group';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { heldAt } from '../../core/mastery/parameters';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { SignalArm } from '../../ui/SignalArm';
import { addressOf, call, link } from '../shared/api';
import { App, messageOf } from '../shared/App';
import { usePapers } from '../shared/CountryChoice';
import panel from '../shared/panel.module.css';
import { type Skills, useSkills } from '../shared/useSkills';
import styles from './group.module.css';

const paperWords = { a4: 'A4', letter: 'Letter' } as const;

export default function GroupView() {
  return (
    <App>
      <Group />
    </App>
  );
}

/** Where the page opens when nobody needs a hand. */
const usualLine = 'add';
/** As many as stand in a list before the rest is folded. */
const stuckFirst = 4;
/** Of more than these no tables are named, see `server/group`. */
const mostInGroup = 60;
const column = 26;
const row = 34;
const names = 96;
const head = 128;

/** Learners by skills in one picture, who can sit together, and who needs a hand. */
function Group() {
  const skills = useSkills();
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const [group, setGroup] = useState('');
  const [chosen, setStrand] = useState<string | null>(null);
  const strand = chosen ?? usualLine;
  const [edge, setEdge] = useState(true);
  const [allStuck, setAllStuck] = useState(false);
  const query = { group, strands: strand, edge: edge ? 'true' : 'false' } as const;
  const papers = usePapers();
  const map = useQuery({
    queryKey: ['group-map', query],
    queryFn: () => call('GET /group-map', { query }),
    placeholderData: (before) => before,
  });
  // The page opens where somebody needs a hand most.
  const urgent = map.data?.stuck[0]?.skill;
  const line = urgent === undefined ? undefined : skills?.byId.get(urgent)?.strand;
  useEffect(() => {
    if (chosen === null && line !== undefined) setStrand(line);
  }, [chosen, line]);
  if (map.error) return <Failure message={messageOf(map.error)} />;
  if (!skills || !learners.data || !map.data || (chosen === null && line !== undefined)) return <Loading what="Drawing the group …" />;
  const groups = [...new Set(learners.data.items.map((l) => l.group).filter((g): g is string => g !== null))];
  const name = (id: string): string => learners.data.items.find((l) => l.id === id)?.nickname ?? id;
  return (
    <>
      <div className={panel.head}>
        <h1>The group</h1>
        <label>
          Who{' '}
          <select value={group} onChange={(e) => setGroup(e.target.value)}>
            <option value="">everybody</option>
            {groups.map((g) => (
              <option key={g}>{g}</option>
            ))}
          </select>
        </label>
        <label>
          Line{' '}
          <select value={strand} onChange={(e) => setStrand(e.target.value)}>
            {skills.strands.map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </select>
        </label>
        <label>
          <input type="checkbox" checked={edge} onChange={(e) => setEdge(e.target.checked)} /> only where they differ
        </label>
        <span className={panel.spring} />
        <LinkButton href={addressOf('GET /group-map.csv', { query })} download>
          CSV
        </LinkButton>
        {papers.map((paper) => (
          <LinkButton key={paper} href={addressOf('GET /group-map.pdf', { query: { ...query, paper } })} download>
            PDF, {paperWords[paper]}
          </LinkButton>
        ))}
      </div>
      {map.data.learners.length === 0 ? (
        <Empty title="Nobody is here yet">
          <p>Add learners first; then the group shows who can sit together.</p>
          <LinkButton kind="main" href={link('/learners')}>
            To the learners
          </LinkButton>
        </Empty>
      ) : (
        <div className={styles.columns}>
          <section className={`${panel.sheet} ${styles.scroll}`}>
            {map.data.skills.length === 0 ? (
              <p>On this line all stand at the same place.</p>
            ) : (
              <Matrix map={map.data} skills={skills} name={name} />
            )}
          </section>
          <aside className={styles.side}>
            <section className={panel.sheet}>
              <h2>Who needs a hand</h2>
              {map.data.stuck.length === 0 && <p className={panel.soft}>Nobody was stuck twice in a row.</p>}
              <ul className={panel.list}>
                {map.data.stuck.slice(0, allStuck ? undefined : stuckFirst).map((s) => (
                  <li key={`${s.learner}${s.skill}`}>
                    <a href={link(`/learners/${s.learner}?skill=${s.skill}`)}>{name(s.learner)}</a>: {skills.title(s.skill)}
                    <span className={panel.soft}>
                      , {s.times} times since {s.since}
                    </span>
                  </li>
                ))}
              </ul>
              {!allStuck && map.data.stuck.length > stuckFirst && (
                <Button kind="plain" onClick={() => setAllStuck(true)}>
                  and {map.data.stuck.length - stuckFirst} more
                </Button>
              )}
              <p className={`${panel.soft} ${panel.small}`}>
                For the helpers, not for children. Where it stays so over weeks, a qualified professional may look.
              </p>
            </section>
            <section className={panel.sheet}>
              <h2>Who can sit together</h2>
              {map.data.together.length === 0 && map.data.learners.length > mostInGroup && (
                <p className={panel.soft}>Choose a group above: nobody seats so many at once.</p>
              )}
              {map.data.together.length === 0 && map.data.learners.length <= mostInGroup && (
                <p className={panel.soft}>
                  No game here serves two of them at once. <a href={link('/shelf/library')}>Look in the library</a>
                </p>
              )}
              <ul className={panel.list}>
                {map.data.together.map((t) => (
                  <li key={t.game}>
                    <a href={link(`/shelf/${t.game}`)}>{t.title}</a>
                    {t.seats.map((s) => (
                      <p key={s.learner} className={panel.small}>
                        <b>{name(s.learner)}</b> <span className={panel.soft}>{s.variantTitle}</span>: {skills.title(s.skill)}
                      </p>
                    ))}
                  </li>
                ))}
              </ul>
            </section>
          </aside>
        </div>
      )}
    </>
  );
}

function Matrix({ map, skills, name }: { map: GroupMapWire; skills: Skills; name: (id: string) => string }) {
  const width = names + map.skills.length * column + 90;
  const height = head + map.learners.length * row;
  const words = (cell: GroupMapWire['cells'][number][number]): string =>
    `${cell.height >= heldAt ? 'on their own' : cell.height >= 0.4 ? 'growing' : 'not yet'}${cell.seen ? '' : ', assumed'}${cell.next ? ', good next' : ''}`;
  return (
    <>
      <svg viewBox={`0 0 ${width} ${height}`} width={width} height={height} aria-hidden="true" className={styles.matrix}>
        {map.skills.map((s, k) => (
          <text key={s} transform={`translate(${names + k * column + 10} ${head - 14}) rotate(-52)`}>
            {skills.byId.get(s)?.short ?? s}
          </text>
        ))}
        {map.learners.map((l, i) => {
          const y = head + i * row + 20;
          return (
            <g key={l}>
              <a href={link(`/learners/${l}`)} tabIndex={-1}>
                <text x={0} y={y + 2} className={styles.name}>
                  {name(l)}
                </text>
              </a>
              <path d={`M${names - 6} ${y}H${width - 84}`} className={styles.rule} />
              {map.skills.map((s, k) => {
                const cell = map.cells[i]![k]!;
                return (
                  <a key={s} href={link(`/learners/${l}?skill=${s}`)} tabIndex={-1}>
                    <title>{`${name(l)}, ${skills.title(s)}: ${words(cell)}`}</title>
                    <SignalArm
                      x={names + k * column + 6}
                      y={y}
                      size={0.72}
                      mastery={cell.height}
                      seen={cell.seen}
                      interval={null}
                      hue={`var(--strand-${skills.strandOf(s)?.hue ?? 'slate'})`}
                      glow={cell.next && cell.seen}
                    />
                  </a>
                );
              })}
            </g>
          );
        })}
      </svg>
      <div className="visually-hidden">
        <table>
          <caption>Learners by skills</caption>
          <thead>
            <tr>
              <th scope="col">Learner</th>
              {map.skills.map((s) => (
                <th key={s} scope="col">
                  {skills.title(s)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {map.learners.map((l, i) => (
              <tr key={l}>
                <th scope="row">
                  <a href={link(`/learners/${l}`)}>{name(l)}</a>
                </th>
                {map.skills.map((s, k) => (
                  <td key={s}>{words(map.cells[i]![k]!)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className={`${panel.soft} ${panel.small}`}>
        Sorted both ways, most held first; it is no ranking, only a way to see who stands near whom. Hollow: assumed. Glow: good next.
      </p>
    </>
  );
}
