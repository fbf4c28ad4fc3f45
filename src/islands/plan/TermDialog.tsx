import type { TermWire } from '../../contract/wire/term';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { addDays, weekdayOf } from '../../core/shared/days';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { ApiError, call, problemAt } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useClash } from '../shared/useClash';
import styles from './plan.module.css';

const names = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const usualWeeks = 12;
/** Fields that say themselves what is wrong with them. */
const shown: ReadonlySet<string> = new Set(['title', 'starts', 'ends', 'weekdays', 'startsAt', 'rounds', 'minutes', 'tables', 'helpers']);

/** The term as the form has it: what meetings share is read off the next one that takes place. */
function asBody(term: TermWire) {
  const first = term.meetings.find((m) => !m.off && m.date >= term.today) ?? term.meetings.find((m) => !m.off);
  return {
    title: term.term?.title ?? 'Our games',
    starts: term.term?.starts ?? term.today,
    ends: term.term?.ends ?? addDays(term.today, usualWeeks * 7),
    weekdays: term.meetings.length > 0 ? [...new Set(term.meetings.map((m) => weekdayOf(m.date)))].sort() : [weekdayOf(term.today)],
    startsAt: first?.startsAt ?? '10:00',
    rounds: first?.rounds ?? 3,
    minutes: first?.minutes ?? 15,
    tables: first?.tables ?? 4,
    helpers: first?.helpers ?? 2,
  };
}

/** When the group meets: said once, the term line follows. */
export function TermDialog({ term, onClose, onSaved }: { term: TermWire; onClose: () => void; onSaved: () => void }) {
  const [input, setInput] = useState(() => asBody(term));
  const clash = useClash({
    version: term.term?.version ?? 0,
    body: input,
    labels: {
      title: 'Name of the term',
      starts: 'From',
      ends: 'to',
      weekdays: 'Days',
      startsAt: 'Starts at',
      rounds: 'Rounds',
      minutes: 'Minutes each',
      tables: 'Tables',
      helpers: 'Helpers',
    },
    load: async () => {
      const now = await call('GET /term');
      return { body: asBody(now), version: now.term?.version ?? 0 };
    },
    onMine: () => save.mutate(),
    onTheirs: onClose,
  });
  const save = useMutation({
    mutationFn: () => call('PUT /term', { body: term.term ? clash.toSend() : input }),
    onSuccess: onSaved,
    onError: clash.met,
  });
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const at = (field: string): string | null => problemAt(save.error, field);
  const number = (name: 'rounds' | 'minutes' | 'tables' | 'helpers', label: string) => (
    <Field label={label} error={at(name)}>
      {(p) => (
        <input
          {...p}
          type="number"
          min={0}
          max={120}
          value={input[name]}
          onChange={(e) => setInput({ ...input, [name]: Number(e.target.value) })}
        />
      )}
    </Field>
  );
  return (
    <Dialog title="When we meet" onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <Field label="Name of the term" error={at('title')}>
          {(p) => <input {...p} value={input.title} onChange={(e) => setInput({ ...input, title: e.target.value })} required />}
        </Field>
        <div className={panel.grid2}>
          <Field label="From" error={at('starts')}>
            {(p) => (
              <input {...p} type="date" value={input.starts} onChange={(e) => setInput({ ...input, starts: e.target.value })} required />
            )}
          </Field>
          <Field label="to" error={at('ends')}>
            {(p) => <input {...p} type="date" value={input.ends} onChange={(e) => setInput({ ...input, ends: e.target.value })} required />}
          </Field>
        </div>
        <fieldset className={styles.present}>
          <legend>Days</legend>
          {names.map((n, i) => (
            <label key={n}>
              <input
                type="checkbox"
                checked={input.weekdays.includes(i + 1)}
                onChange={() =>
                  setInput({
                    ...input,
                    weekdays: input.weekdays.includes(i + 1) ? input.weekdays.filter((d) => d !== i + 1) : [...input.weekdays, i + 1],
                  })
                }
              />{' '}
              {n}
            </label>
          ))}
        </fieldset>
        {at('weekdays') && <p className={panel.bad}>{at('weekdays')}</p>}
        <div className={styles.shape}>
          <Field label="Starts at" error={at('startsAt')}>
            {(p) => <input {...p} type="time" value={input.startsAt} onChange={(e) => setInput({ ...input, startsAt: e.target.value })} />}
          </Field>
          {number('rounds', 'Rounds')}
          {number('minutes', 'Minutes each')}
          {number('tables', 'Tables')}
          {number('helpers', 'Helpers')}
        </div>
        {clash.panel ?? (save.error !== null && !shown.has(problem?.field ?? '') && <p className={panel.bad}>{messageOf(save.error)}</p>)}
        {!clash.panel && (
          <div className={panel.actions}>
            <Button onClick={onClose}>Leave it</Button>
            <Button kind="main" type="submit" disabled={save.isPending || input.weekdays.length === 0}>
              Save
            </Button>
          </div>
        )}
      </form>
    </Dialog>
  );
}
