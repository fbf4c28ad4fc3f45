import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { PlanWire } from '../../contract/wire/plan';
import { readStrip, stripNumber } from '../../core/print/pack/stripNumber';
import { noteResults } from '../../core/print/pictures/noteSign';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { NoteSign } from '../../ui/NoteSign';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { PlanPicker } from '../shared/PlanPicker';
import { useSkills } from '../shared/useSkills';
import { useSupportTitle } from '../shared/useSupportTitle';
import { dayWords, pageToday } from '../shared/words';
import { forgetNotes, type Kept, keepNotes, noteOf, notesToSend, placeOf, readKept, type SeatNote } from './keptNotes';
import { JumpTo, whatStrip } from './JumpTo';
import { Strip } from './Strip';
import { type Row, rowsOf } from './stripRows';
import { WhoNotes } from './WhoNotes';
import styles from './strips.module.css';

export default function StripsView({ plan, strip }: { plan: string | null; strip: string | null }) {
  return (
    <App>
      <Choose plan={plan} strip={strip} />
    </App>
  );
}

/** The session that a strip, an address or the calendar points to. */
function Choose({ plan, strip }: { plan: string | null; strip: string | null }) {
  const plans = useQuery({ queryKey: ['plans'], queryFn: () => call('GET /plans', { query: { limit: 1000 } }) });
  if (plans.error) return <Failure message={messageOf(plans.error)} />;
  if (!plans.data) return <Loading />;
  const today = pageToday();
  const all = plans.data.items.filter((p) => p.status !== 'infeasible');
  const read = strip === null ? null : readStrip(strip);
  const asked = read ? all.find((p) => p.number === read.number) : all.find((p) => p.id === plan);
  const past = all.filter((p) => p.date <= today).sort((x, y) => (x.date < y.date ? 1 : -1));
  if (strip !== null && !asked)
    return (
      <Empty title={`There is no strip ${strip}`}>
        <p>{whatStrip} A session that was thrown away takes its number with it.</p>
        <LinkButton kind="main" href={link('/play/strips')}>
          The latest session
        </LinkButton>
      </Empty>
    );
  const chosen = asked ?? past[0];
  if (!chosen)
    return (
      <Empty title="No session has been yet">
        <p>After a session on paper, its signs are keyed in here.</p>
        <LinkButton kind="main" href={link('/plan')}>
          Plan a session
        </LinkButton>
      </Empty>
    );
  return <Session key={chosen.id} id={chosen.id} plans={all} at={read} />;
}

function Session({ id, plans, at }: { id: string; plans: Parameters<typeof PlanPicker>[0]['plans']; at: ReturnType<typeof readStrip> }) {
  const client = useQueryClient();
  const tell = useTell();
  const skills = useSkills();
  const plan = useQuery({ queryKey: ['plan', id], queryFn: () => call('GET /plans/{id}', { params: { id } }), staleTime: 60_000 });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const sent = useQuery({
    queryKey: ['evidence', 'session', id],
    queryFn: () => call('GET /evidence', { query: { session: id, limit: 5000 } }),
  });
  if (plan.error || learners.error || sent.error) return <Failure message={messageOf(plan.error ?? learners.error ?? sent.error)} />;
  if (!plan.data || !learners.data || !sent.data || !skills) return <Loading what="Laying out the strips …" />;
  const known = new Map(sent.data.items.filter((n) => !n.retracted && n.result).map((n) => [`${n.variant}|${n.learner}`, n.result!]));
  return (
    <Strips
      plan={plan.data}
      plans={plans}
      nickname={(l) => learners.data.items.find((x) => x.id === l)?.nickname ?? l}
      step={(k) => (k === null ? '' : (skills.byId.get(k)?.short ?? ''))}
      known={known}
      at={at}
      onSent={(n) => {
        void client.invalidateQueries();
        tell(n === 1 ? 'One note is kept.' : `${n} notes are kept.`);
      }}
    />
  );
}

function Strips({
  plan,
  plans,
  nickname,
  step,
  known,
  at,
  onSent,
}: {
  plan: PlanWire;
  plans: Parameters<typeof PlanPicker>[0]['plans'];
  nickname: (learner: string) => string;
  step: (skill: string | null) => string;
  /** What was noted already, by version and child. */
  known: ReadonlyMap<string, SeatNote['result']>;
  at: ReturnType<typeof readStrip>;
  onSent: (notes: number) => void;
}) {
  const tell = useTell();
  const tool = useSupportTitle();
  const rows = rowsOf(plan);
  const [kept, setKept] = useState<Readonly<Record<string, Kept>>>(() =>
    Object.fromEntries(rows.map((r) => placeOf(plan.id, r.round, r.table)).map((place) => [place, readKept(place)])),
  );
  const [role, setRole] = useState<Kept['role']>('helper');
  const [tookPlace, setTookPlace] = useState(true);
  const list = useRef<HTMLDivElement>(null);
  const ahead = plan.date > pageToday();
  const noteFor = (r: Row): SeatNote => noteOf(kept[placeOf(plan.id, r.round, r.table)]!, r.of, r.seat.learner);
  const isSent = (r: Row): boolean => known.has(`${r.seat.variant}|${r.seat.learner}`);
  const change = (r: Row, part: Partial<SeatNote>): void => {
    const place = placeOf(plan.id, r.round, r.table);
    const before = kept[place]!;
    const note = { ...noteFor(r), ...part };
    setKept({ ...kept, [place]: keepNotes(place, { role, notes: { ...before.notes, [r.seat.learner]: note } }) });
  };
  const focus = (i: number): void => list.current?.querySelectorAll<HTMLElement>('[data-row]')[i]?.focus();
  const rowAt = (round: number | null, table: number | null): number =>
    rows.findIndex((r) => (round === null || r.round === round) && (table === null || r.table === table));
  useEffect(() => {
    if (at) focus(Math.max(0, rowAt(at.round, at.table)));
    // Only when the page opens: afterwards whoever keys moves on by hand.
  }, []);
  const ready = plan.rounds.flatMap((r, round) =>
    r.tables.flatMap((of, table) => {
      const place = placeOf(plan.id, round, table);
      const items = kept[place] ? notesToSend(plan, of, kept[place]) : [];
      return items.length > 0 ? [{ place, items, key: kept[place]!.key }] : [];
    }),
  );
  const count = ready.reduce((n, t) => n + t.items.length, 0);
  const send = useMutation({
    mutationFn: async () => {
      let n = 0;
      for (const t of ready) {
        await call('POST /evidence/batch', { body: { items: t.items }, key: t.key });
        forgetNotes(t.place);
        setKept((now) => ({ ...now, [t.place]: readKept(t.place) }));
        n += t.items.length;
      }
      if (tookPlace && plan.playedAt === null) await call('POST /plans/{id}/played', { params: { id: plan.id }, body: { played: true } });
      return n;
    },
    onSuccess: onSent,
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const jump = (typed: string): boolean => {
    const read = readStrip(typed);
    if (!read) return false;
    if (read.number !== plan.number) {
      location.href = link(`/play/strips?strip=${encodeURIComponent(typed.trim())}`);
      return true;
    }
    const i = rowAt(read.round, read.table);
    if (i < 0) return false;
    focus(i);
    return true;
  };
  const keyed = (r: Row, i: number, e: React.KeyboardEvent): void => {
    if (e.ctrlKey || e.metaKey || e.altKey) return;
    const result = noteResults[Number(e.key) - 1];
    if (result && !isSent(r)) {
      change(r, { result });
      focus(i + 1);
    } else if ((e.key === '0' || e.key === 'Delete') && !isSent(r)) change(r, { result: null });
    else if (e.key.toLowerCase() === 't' && r.seat.tool && !isSent(r)) change(r, { support: noteFor(r).support ? null : r.seat.tool });
    else if (e.key === 'ArrowDown') focus(i + 1);
    else if (e.key === 'ArrowUp') focus(i - 1);
    else return;
    e.preventDefault();
    // Single keys go places elsewhere on the page.
    e.stopPropagation();
  };
  const firsts = rows.filter((r) => r.first).length;
  return (
    <div className={styles.strips}>
      <div className={panel.head}>
        <h1>Strips, {dayWords(plan.date)}</h1>
        <span>session {plan.number}</span>
        <span className={panel.spring} />
        <JumpTo onJump={jump} />
        <PlanPicker plans={plans} chosen={plan} path="/play/strips" />
      </div>
      <p className={panel.lead}>
        A line a child. <kbd>1</kbd> <NoteSign result="stuck" size={16} /> stuck, <kbd>2</kbd> <NoteSign result="support" size={16} /> with
        help, <kbd>3</kbd> <NoteSign result="alone" size={16} /> on their own, each going on to the next; <kbd>T</kbd> with the tool,{' '}
        <kbd>0</kbd> nothing, <kbd>↑</kbd> <kbd>↓</kbd>. No sign on paper means nothing: leave the line as it is.
      </p>
      {ahead && <p className={panel.soft}>This session lies ahead: its notes can be kept from its day on.</p>}
      <div ref={list}>
        {rows.map((r, i) => (
          <div key={r.key}>
            {i === 0 && firsts > 0 && <h2>First those with the arrow: they change most of what comes next</h2>}
            {i === firsts && <h2>{firsts > 0 ? 'Then all others' : 'All children'}</h2>}
            <Strip
              row={r}
              strip={stripNumber({ number: plan.number, round: r.round, table: r.table })}
              begins={i === 0 || i === firsts || rows[i - 1]!.round !== r.round || rows[i - 1]!.table !== r.table}
              name={nickname(r.seat.learner)}
              step={step(noteFor(r).skill)}
              tool={r.seat.tool === null ? null : tool(r.seat.tool)}
              note={noteFor(r)}
              sent={known.get(`${r.seat.variant}|${r.seat.learner}`) ?? null}
              onChange={(part) => change(r, part)}
              onKey={(e) => keyed(r, i, e)}
            />
          </div>
        ))}
      </div>
      <footer className={styles.foot}>
        <label>
          seen by <WhoNotes role={role} onChange={setRole} />
        </label>
        {plan.playedAt === null && (
          <label>
            <input type="checkbox" checked={tookPlace} onChange={(e) => setTookPlace(e.target.checked)} /> it took place as planned
          </label>
        )}
        <span className={panel.spring} />
        {plan.playedAt !== null && <LinkButton href={link(`/review?plan=${plan.id}`)}>To the review</LinkButton>}
        <Button kind="main" disabled={count === 0 || ahead || send.isPending} onClick={() => send.mutate()}>
          {count === 0 ? 'Nothing to keep yet' : count === 1 ? 'Keep one note' : `Keep ${count} notes`}
        </Button>
      </footer>
    </div>
  );
}
