import type { Operation } from '../../core/items/item';
import type { EvidenceWire, LearnerWire } from '../../contract/wire/learners';
import type { PlanWire, TableWire } from '../../contract/wire/plan';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { helpWords, howWords, resultWords } from '../../text/sentences';
import { Button } from '../../ui/Button';
import { Choice, choicesOf } from '../../ui/Choice';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import type { Skills } from '../shared/useSkills';
import { signOf } from '../shared/words';
import { useSupportTitle } from '../shared/useSupportTitle';
import { forgetNotes, type Kept, keepNotes, noteOf, notesToSend, placeOf, readKept, type SeatNote } from './keptNotes';
import { AtThisTable, type TableRules } from './AtThisTable';
import { AndThen } from '../shared/AndThen';
import { RoundTimer } from './RoundTimer';
import { WhoNotes } from './WhoNotes';
import styles from './play.module.css';

const tools = ['bead-frame', 'hundred-chart', 'number-line'];

/** Three taps a child, at the table, on a phone; kept in this browser until they are sent. */
export function TableNotes({
  plan,
  at,
  table,
  next,
  rules,
  learners,
  skills,
  sent,
  onTakenBack,
  onBack,
  onDone,
}: {
  plan: PlanWire;
  at: { round: number; table: number };
  table: TableWire;
  next: string;
  rules: readonly TableRules[];
  learners: readonly LearnerWire[];
  skills: Skills;
  /** Notes of this session that were sent, by this device or another. */
  sent: readonly EvidenceWire[];
  onTakenBack: () => void;
  onBack: () => void;
  onDone: () => void;
}) {
  const toolTitle = useSupportTitle();
  const place = placeOf(plan.id, at.round, at.table);
  const [kept, setKept] = useState<Kept>(() => readKept(place));
  const of = (learner: string): SeatNote => noteOf(kept, table, learner);
  const change = (learner: string, part: Partial<SeatNote>): void =>
    setKept(keepNotes(place, { ...kept, notes: { ...kept.notes, [learner]: { ...of(learner), ...part } } }));
  const full = notesToSend(plan, table, kept);
  useEffect(() => {
    const warn = (e: BeforeUnloadEvent): void => {
      if (full.length > 0) e.preventDefault();
    };
    addEventListener('beforeunload', warn);
    return () => removeEventListener('beforeunload', warn);
  });
  const send = useMutation({
    mutationFn: async () => {
      const again = table.seats.filter((s) => of(s.learner).again).map((s) => s.learner);
      // Written as often as it is sent: who asks for it, asks for it.
      if (again.length > 0) await call('POST /games/{id}/liked', { params: { id: table.game }, body: { learners: again, liked: true } });
      if (full.length === 0) return;
      await call('POST /evidence/batch', {
        body: { items: full },
        key: kept.key,
      });
    },
    onSuccess: () => {
      forgetNotes(place);
      onDone();
    },
  });
  return (
    <div className={styles.playing}>
      <RoundTimer
        title={table.title}
        where={`Table ${at.table + 1}, round ${at.round + 1} of ${plan.rounds.length}`}
        minutes={plan.request.minutes}
        onBack={onBack}
      />
      <AtThisTable rules={rules} table={table} nickname={(id) => learners.find((l) => l.id === id)?.nickname ?? id} />
      <section className={styles.rules}>
        <AndThen plan={plan.id} version={plan.version} round={at.round} table={at.table} />
      </section>
      {table.seats.map((s) => {
        const l = learners.find((x) => x.id === s.learner);
        const note = of(s.learner);
        const skill = note.skill ? skills.byId.get(note.skill) : undefined;
        return (
          <section key={s.learner} className={styles.seat} aria-label={l?.nickname ?? s.learner}>
            <div className={styles.seatHead}>
              <h2>{l?.nickname ?? s.learner}</h2>
              <select
                aria-label={`What ${l?.nickname} practised`}
                value={note.skill ?? ''}
                onChange={(e) => change(s.learner, { skill: e.target.value || null })}
              >
                {!note.skill && <option value="">about which skill?</option>}
                {s.doses.map((d) => (
                  <option key={d.skill} value={d.skill}>
                    {skills.title(d.skill)}
                  </option>
                ))}
                {note.skill && !s.doses.some((d) => d.skill === note.skill) && <option value={note.skill}>{skill?.title}</option>}
                <optgroup label="others">
                  {skills.list
                    .filter((k) => !s.doses.some((d) => d.skill === k.id) && k.id !== note.skill)
                    .map((k) => (
                      <option key={k.id} value={k.id}>
                        {k.title}
                      </option>
                    ))}
                </optgroup>
              </select>
            </div>
            {table.lookFor === s.learner && skill && (
              <p className={styles.lookFor}>
                <b>Look for:</b> {skill.looksLike}
              </p>
            )}
            <p className={styles.versionLine}>
              plays “{s.variantTitle}”{s.with ? `, on one seat with ${learners.find((x) => x.id === s.with)?.nickname ?? s.with}` : ''}
              {s.tool ? `, with ${toolTitle(s.tool)}` : ''}
              {(l?.actions.length ?? 0) > 0 && <> · {l!.actions.join('; ')}</>}
            </p>
            <SentNotes
              notes={sent.filter((n) => n.learner === s.learner && n.variant === s.variant)}
              title={(id) => skills.title(id)}
              onTakenBack={onTakenBack}
            />
            <Choice
              large
              label={`How it went for ${l?.nickname}`}
              value={note.result}
              options={choicesOf(resultWords)}
              onChange={(v) => change(s.learner, { result: note.result === v ? null : v })}
            />
            {note.result && note.result !== 'stuck' && (
              <Choice
                label="How it was done"
                value={note.how}
                options={choicesOf(howWords)}
                onChange={(v) => change(s.learner, { how: note.how === v ? null : v })}
              />
            )}
            {note.result && note.result !== 'alone' && (
              <Choice
                label="With which help"
                value={note.support}
                options={[
                  ...new Set([
                    ...(s.tool ? [s.tool] : []),
                    ...(l?.supportsInUse ?? []),
                    ...(l?.permanentSupports ?? []),
                    ...tools,
                    ...Object.keys(helpWords),
                  ]),
                ].map((id) => ({ id, title: helpWords[id] ?? id.replaceAll('-', ' ') }))}
                onChange={(v) => change(s.learner, { support: note.support === v ? null : v })}
              />
            )}
            <label className={styles.again}>
              <input type="checkbox" checked={note.again ?? false} onChange={(e) => change(s.learner, { again: e.target.checked })} /> would
              like to play it again
            </label>
            {note.result && (
              <Missed
                missed={note.missed}
                onChange={(missed) => change(s.learner, { missed })}
                first={skill?.strand === 'subtract' ? 'subtract' : skill?.strand === 'multiply' ? 'multiply' : 'add'}
              />
            )}
          </section>
        );
      })}
      <p className={styles.hint}>No tap means nothing. Notes are about one named skill each.</p>
      {send.error && <p className={styles.error}>{messageOf(send.error)} Your taps are kept here; try again.</p>}
      <footer className={styles.foot}>
        <span>
          Next: <b>{next}</b>
        </span>
        <WhoNotes label="Who notes" role={kept.role} onChange={(role) => setKept(keepNotes(place, { ...kept, role }))} />
        <Button kind="main" disabled={send.isPending} onClick={() => send.mutate()}>
          Done here
        </Button>
      </footer>
    </div>
  );
}

/** What was noted of a child at this table already, each with a way to take it back and say it anew. */
function SentNotes({
  notes,
  title,
  onTakenBack,
}: {
  notes: readonly EvidenceWire[];
  title: (skill: string) => string;
  onTakenBack: () => void;
}) {
  const takeBack = useMutation({
    mutationFn: (id: string) => call('POST /evidence/{id}/retract', { params: { id }, body: { because: 'corrected at the table' } }),
    onSuccess: onTakenBack,
  });
  if (notes.length === 0) return null;
  return (
    <ul className={styles.sent} aria-label="Noted already">
      {notes.map((n) => (
        <li key={n.id}>
          <span>
            Noted: <b>{n.result ? resultWords[n.result] : `${n.correct} of ${n.total}`}</b>, {title(n.skill)}
            {n.how ? `, ${howWords[n.how]}` : ''}
            {n.support ? `, ${helpWords[n.support] ?? n.support.replaceAll('-', ' ')}` : ''}
          </span>
          <button type="button" disabled={takeBack.isPending} onClick={() => takeBack.mutate(n.id)}>
            take it back
          </button>
        </li>
      ))}
      {takeBack.error && <li className={styles.error}>{messageOf(takeBack.error)}</li>}
    </ul>
  );
}

function Missed({ missed, onChange, first }: { missed: SeatNote['missed']; onChange: (m: SeatNote['missed']) => void; first: Operation }) {
  const [a, setA] = useState('');
  const [op, setOp] = useState(first);
  const [b, setB] = useState('');
  const good = /^\d{1,3}$/.test(a) && /^\d{1,3}$/.test(b);
  return (
    <div className={styles.missed}>
      {missed.map((m, i) => (
        <button
          key={i}
          type="button"
          aria-label={`Remove ${m.a} ${signOf[m.op]} ${m.b}`}
          onClick={() => onChange(missed.filter((_, j) => j !== i))}
        >
          {m.a} {signOf[m.op]} {m.b} again ×
        </button>
      ))}
      <span>
        <input inputMode="numeric" aria-label="Missed fact, first number" value={a} onChange={(e) => setA(e.target.value)} />
        <select aria-label="Missed fact, sign" value={op} onChange={(e) => setOp(e.target.value as Operation)}>
          {Object.entries(signOf).map(([id, sign]) => (
            <option key={id} value={id}>
              {sign}
            </option>
          ))}
        </select>
        <input inputMode="numeric" aria-label="Missed fact, second number" value={b} onChange={(e) => setB(e.target.value)} />
        <button
          type="button"
          disabled={!good}
          onClick={() => {
            onChange([...missed, { op, a: Number(a), b: Number(b) }]);
            setA('');
            setB('');
          }}
        >
          missed
        </button>
      </span>
    </div>
  );
}
