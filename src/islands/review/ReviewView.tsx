import type { PlanShort } from '../../contract/wire/plans';
import type { ReviewWire } from '../../contract/wire/review';
import { useQuery } from '@tanstack/react-query';
import { statusWords } from '../../text/sentences';
import { DoseBars } from '../../ui/charts/DoseBars';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { SignalArm } from '../../ui/SignalArm';
import { call, link } from '../shared/api';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { PlanPicker } from '../shared/PlanPicker';
import { type Skills, useSkills } from '../shared/useSkills';
import { usePlanChoice } from '../shared/usePlanChoice';
import styles from './review.module.css';

type Moved = ReviewWire['learners'][number]['moved'][number];

/** A smaller move is told as none. */
const leastMove = 0.03;

export default function ReviewView({ plan }: { plan: string | null }) {
  return (
    <App>
      <Choose asked={plan} />
    </App>
  );
}

function Choose({ asked }: { asked: string | null }) {
  const { plans, chosen, loading, error } = usePlanChoice(asked, 'behind');
  if (error) return <Failure message={messageOf(error)} />;
  if (loading) return <Loading />;
  if (!chosen)
    return (
      <>
        <div className={panel.head}>
          <h1>Review</h1>
        </div>
        <Empty title="Nothing has been played yet">
          <p>When a session is over and something was noted, this page says what it moved on each map, and why.</p>
          <LinkButton kind="main" href={link('/play')}>
            To Play
          </LinkButton>{' '}
          <LinkButton href={link('/play/strips')}>Notes from paper</LinkButton>
        </Empty>
      </>
    );
  return <Moves plans={plans} chosen={chosen} />;
}

/** What moved on the map because of this session, and why. */
function Moves({ plans, chosen }: { plans: PlanShort[]; chosen: PlanShort }) {
  const skills = useSkills();
  const review = useQuery({
    queryKey: ['review', chosen.id],
    queryFn: () => call('GET /plans/{id}/review', { params: { id: chosen.id } }),
  });
  if (review.error) return <Failure message={messageOf(review.error)} />;
  if (!review.data || !skills) return <Loading what="Comparing the maps …" />;
  const r = review.data;
  const up = r.learners.flatMap((l) => l.moved).filter((m) => m.after > m.before + leastMove).length;
  const own = r.learners
    .flatMap((l) => l.moved)
    .filter((m) => m.statusAfter === 'on-their-own' && m.statusBefore !== 'on-their-own').length;
  return (
    <>
      <div className={panel.head}>
        <h1>What moved</h1>
        <span>
          <b className={panel.big}>{own}</b> steps now on their own
        </span>
        <span>
          <b className={panel.big}>{up}</b> arms rose
        </span>
        <span>
          <b className={panel.big}>{r.noted}</b> notes on {r.planned} seats
        </span>
        <span className={panel.spring} />
        <PlanPicker plans={plans} chosen={chosen} path="/review" />
        <LinkButton href={link(`/play/strips?plan=${chosen.id}`)}>Notes from paper</LinkButton>
        <LinkButton href={link('/plan')}>Plan on</LinkButton>
      </div>
      {!r.playedAt && <p className={styles.hint}>This session is not marked as played yet; what was noted counts all the same.</p>}
      <div className={styles.columns}>
        <section className={panel.sheet}>
          <h2>Each child’s map, before and after</h2>
          {r.learners.every((l) => l.moved.length === 0) && (
            <p className={panel.soft}>Nothing was noted, so nothing moved. No tap means nothing.</p>
          )}
          {r.learners
            .filter((l) => l.moved.length > 0)
            .map((l) => (
              <div key={l.learner} className={styles.learner}>
                <h3>
                  <a href={link(`/learners/${l.learner}`)}>{l.nickname}</a>
                </h3>
                <ul className={panel.list}>
                  {[...l.moved]
                    .sort((x, y) => Math.abs(y.after - y.before) - Math.abs(x.after - x.before))
                    .slice(0, 6)
                    .map((m) => (
                      <Move key={m.skill} learner={l.learner} m={m} skills={skills} />
                    ))}
                </ul>
                {l.moved.length > 6 && <p className={`${panel.soft} ${panel.small}`}>{l.moved.length - 6} smaller moves beside these.</p>}
              </div>
            ))}
          {r.learners.some((l) => l.moved.length === 0) && (
            <p className={panel.soft}>
              Nothing noted of{' '}
              {r.learners
                .filter((l) => l.moved.length === 0)
                .map((l) => l.nickname)
                .join(', ')}
              .
            </p>
          )}
        </section>
        <aside className={styles.side}>
          <section className={panel.sheet}>
            <h2>Next time, because of today</h2>
            {r.next.length === 0 && (
              <p className={panel.soft}>A few taps at the tables, and this says what to take up again and where to go on.</p>
            )}
            <ul className={panel.list}>
              {r.next.map((n) => (
                <li key={n.text}>{n.learner ? <a href={link(`/learners/${n.learner}`)}>{n.text}</a> : n.text}</li>
              ))}
            </ul>
          </section>
          <section className={panel.sheet}>
            <h2>Practice this plan offered, all tables together</h2>
            <DoseBars
              declared={false}
              bars={r.practice
                .slice(0, 10)
                .map((p) => ({ id: p.skill, title: p.title, hue: skills.strandOf(p.skill)?.hue ?? 'slate', value: p.items, error: null }))}
            />
            <p className={`${panel.soft} ${panel.small}`}>
              Chances, calculated from the rules (or the owner’s word) for the tables as planned; not a count of what was answered.
            </p>
          </section>
        </aside>
      </div>
    </>
  );
}

function Move({ learner, m, skills }: { learner: string; m: Moved; skills: Skills }) {
  const hue = `var(--strand-${skills.strandOf(m.skill)?.hue ?? 'slate'})`;
  const still = Math.abs(m.after - m.before) < leastMove;
  return (
    <li className={styles.move}>
      <svg
        viewBox="-10 -26 74 36"
        width="74"
        height="36"
        role="img"
        aria-label={still ? 'as before' : m.after > m.before ? 'rose' : 'fell'}
      >
        <g opacity="0.4">
          <SignalArm x={0} y={0} size={0.8} mastery={m.before} seen interval={null} hue={hue} />
        </g>
        <path
          d={still ? 'M24 -7h8' : m.after > m.before ? 'M24 -4l6 -6m0 0h-5m5 0v5' : 'M24 -10l6 6m0 0h-5m5 0v-5'}
          stroke="var(--soft)"
          fill="none"
          strokeWidth="1.4"
        />
        <SignalArm x={40} y={0} size={0.8} mastery={m.after} seen interval={null} hue={hue} />
      </svg>
      <div>
        <a href={link(`/learners/${learner}?skill=${m.skill}`)}>{m.title}</a>{' '}
        {m.statusBefore === m.statusAfter ? (
          <span className={panel.soft}>
            {statusWords[m.statusAfter]}, {still ? 'as before' : m.after > m.before ? 'a little higher' : 'a little lower'}
          </span>
        ) : (
          <b>
            {statusWords[m.statusBefore]}, now {statusWords[m.statusAfter]}
          </b>
        )}
        {m.because.map((b) => (
          <p key={b}>{b}</p>
        ))}
      </div>
    </li>
  );
}
