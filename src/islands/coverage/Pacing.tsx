import type { CoverageWire } from '../../contract/wire/coverage';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import { dayWords, pageToday } from '../shared/words';
import styles from './coverage.module.css';
import { StandardMark, stateWords } from './StandardMark';

const weekMs = 7 * 86_400_000;
const daysFrom = (week: string, day: string): number => (Date.parse(day) - Date.parse(week)) / 86_400_000;
/** Weeks shown beside this one. */
const ahead = 3;

/** What is to be met when, by the codes of a framework: it comes in as a list, and plans lean to it. */
export function Pacing({ coverage }: { coverage: CoverageWire }) {
  const [open, setOpen] = useState(false);
  const client = useQueryClient();
  const tellUndo = useTellUndo();
  const { framework, items } = coverage;
  const list = useQuery({ queryKey: ['pacing', framework], queryFn: () => call('GET /pacing', { query: { framework } }) });
  const forget = useMutation({
    mutationFn: () => call('DELETE /pacing/{id}', { params: { id: framework } }),
    onSuccess: ({ change }) => {
      void client.invalidateQueries();
      tellUndo('The pacing list is taken away.', change);
    },
  });
  const weeks = list.data?.weeks ?? [];
  const today = pageToday();
  const near = weeks.filter(({ week }) => daysFrom(week, today) < 14 && daysFrom(week, today) >= -7 * ahead);
  const words = (week: string): string => {
    const days = daysFrom(week, today);
    return days >= 7 ? 'last week' : days >= 0 ? 'this week' : `week of ${dayWords(week)}`;
  };
  return (
    <section className={panel.sheet} aria-labelledby="pacing">
      <div className={panel.row}>
        <h2 id="pacing">What is on when</h2>
        {weeks.length > 0 && (
          <span className={panel.soft}>
            {weeks.length} weeks, the last from {dayWords(weeks.at(-1)!.week)}
          </span>
        )}
        <Button onClick={() => setOpen(true)}>{weeks.length === 0 ? 'Bring in a pacing list' : 'Bring in another'}</Button>
        {weeks.length > 0 && (
          <Button kind="plain" disabled={forget.isPending} onClick={() => forget.mutate()}>
            take it away
          </Button>
        )}
      </div>
      {list.data && weeks.length === 0 && (
        <p className={panel.soft}>With a list of weeks and codes, plans lean to what is on, for children who are ready for it.</p>
      )}
      {weeks.length > 0 && near.length === 0 && <p className={panel.soft}>Nothing is on the list for these weeks.</p>}
      <ul className={styles.weeks}>
        {near.map(({ week, codes }) => (
          <li key={week}>
            <b>{words(week)}</b>
            {codes.map(({ identifier, code }) => {
              const e = items.find((x) => x.identifier === identifier);
              return (
                <span key={identifier} title={e?.statement}>
                  <StandardMark state={e?.state ?? 'none'} waited={(e?.waiting.length ?? 0) > 0} /> {code}
                  <small>
                    {' '}
                    {e ? stateWords[e.state] : ''}
                    {e && e.waiting.length > 0 ? `, ${e.waiting.length} ready` : ''}
                  </small>
                </span>
              );
            })}
          </li>
        ))}
      </ul>
      {open && (
        <PacingDialog
          framework={framework}
          title={coverage.title}
          onClose={() => setOpen(false)}
          onKept={(weeksIn, change) => {
            setOpen(false);
            void client.invalidateQueries();
            if (change) tellUndo(`${weeksIn} weeks are on your list; plans lean to it.`, change);
          }}
        />
      )}
    </section>
  );
}

/** Pasted cells or a file, looked at first. */
function PacingDialog({
  framework,
  title,
  onClose,
  onKept,
}: {
  framework: string;
  title: string;
  onClose: () => void;
  onKept: (weeks: number, change: string | null) => void;
}) {
  const [text, setText] = useState('');
  const [file, setFile] = useState<{ name: string; base64: string } | null>(null);
  const send = useMutation({
    mutationFn: (commit: boolean) =>
      call('POST /imports/pacing', { body: { framework, commit, ...(file ? { base64: file.base64 } : { text }) } }),
    onSuccess: (found) => found.committed && onKept(found.weeks, found.change),
  });
  const found = send.data;
  const monday = new Date(Math.floor((Date.parse(pageToday()) - 4 * 86_400_000) / weekMs) * weekMs + 4 * 86_400_000)
    .toISOString()
    .slice(0, 10);
  return (
    <Dialog title={`A pacing list for ${title}`} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          send.mutate(found !== undefined && found.problems.length === 0);
        }}
      >
        <Field
          label="Weeks and codes"
          hint="A line each, as cells or with a comma: the day a week begins (or its number in your term), then its codes. A file with these two columns will do as well."
        >
          {(p) => (
            <textarea
              {...p}
              rows={8}
              value={text}
              placeholder={`Week,Codes\n${monday},1.OA.C.6\n2,1.NBT.B.2; 1.NBT.B.3`}
              onChange={(e) => {
                setText(e.target.value);
                setFile(null);
                send.reset();
              }}
            />
          )}
        </Field>
        <Field label="Or a file" hint={file?.name ?? 'CSV or XLSX'}>
          {(p) => (
            <input
              {...p}
              type="file"
              accept=".csv,.tsv,.txt,.xlsx"
              onChange={(e) => {
                const chosen = e.target.files?.[0];
                if (!chosen) return;
                const reader = new FileReader();
                reader.onload = () => {
                  setFile({ name: chosen.name, base64: String(reader.result).replace(/^data:[^,]*,/, '') });
                  send.reset();
                };
                reader.readAsDataURL(chosen);
              }}
            />
          )}
        </Field>
        {send.error !== null && <p className={panel.bad}>{messageOf(send.error)}</p>}
        {found && found.problems.length === 0 && (
          <p role="status">
            {found.codes} {found.codes === 1 ? 'code' : 'codes'} in {found.weeks} {found.weeks === 1 ? 'week' : 'weeks'}. It takes the place
            of the list before.
          </p>
        )}
        {found && found.problems.length > 0 && (
          <ul className={panel.bad} role="alert">
            {found.problems.slice(0, 8).map((p, i) => (
              <li key={i}>{p.message}</li>
            ))}
            {found.problems.length > 8 && <li>and {found.problems.length - 8} more</li>}
          </ul>
        )}
        <div className={panel.actions}>
          <Button onClick={onClose}>Leave it</Button>
          <Button kind="main" type="submit" disabled={send.isPending || (text.trim() === '' && !file)}>
            {found && found.problems.length === 0 ? 'Keep it' : 'Look at it'}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
