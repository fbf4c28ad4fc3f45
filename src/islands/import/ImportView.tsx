import type { Api } from '../../contract/wire/api';
import type { Answer } from '../../contract/wire/route';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { ApiError, base64Of, call, link } from '../shared/api';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useWriteKey } from '../shared/useWriteKey';
import styles from './import.module.css';
import { NoteRows } from './NoteRows';

type ShelfPreview = Answer<Api['POST /imports/shelf']>;
type RosterPreview = Answer<Api['POST /imports/roster']>;
type NotesPreview = Answer<Api['POST /imports/evidence']>;
type Preview = ShelfPreview | RosterPreview | NotesPreview;

const kinds = {
  shelf: {
    title: 'Bring in a shelf',
    route: 'POST /imports/shelf',
    back: '/shelf',
    what: 'A CSV file, a line for each version: game, version, bin, ages, players, minutes, materials, source, condition, notes; mechanism and parameters, or skills, if you know them.',
  },
  roster: {
    title: 'Bring in a roster',
    route: 'POST /imports/roster',
    back: '/learners',
    what: 'A CSV file with a nickname, a birth month or a grade, and a group for each child. Initials or nicknames are enough.',
  },
  evidence: {
    title: 'Bring in notes and sheets',
    route: 'POST /imports/evidence',
    back: '/learners',
    what: 'A CSV file with a learner, a day, a skill (its name, id or code) and how it went: stuck, with help or alone, or so many right of so many. Or xAPI statements as JSON; the account’s name is the nickname.',
  },
} as const;

/** Look first, then bring in: all of a file, or nothing. */
export default function ImportView({ kind }: { kind: keyof typeof kinds }) {
  return (
    <App>
      <Import kind={kind} />
    </App>
  );
}

function Import({ kind }: { kind: keyof typeof kinds }) {
  const words = kinds[kind];
  const [file, setFile] = useState<{ name: string; base64: string } | null>(null);
  const key = useWriteKey();
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const preview = useMutation({ mutationFn: (base64: string): Promise<Preview> => call(words.route, { body: { base64 } }) });
  const commit = useMutation({
    mutationFn: (skip: boolean): Promise<Preview> =>
      skip
        ? call('POST /imports/shelf', { body: { base64: file!.base64, commit: true, skip }, key })
        : call(words.route, { body: { base64: file!.base64, commit: true }, key }),
  });
  async function take(chosen: File | undefined): Promise<void> {
    if (!chosen) return;
    commit.reset();
    const base64 = await base64Of(chosen);
    setFile({ name: chosen.name, base64 });
    preview.mutate(base64);
  }
  const early = useRef(take);
  // Who is quick chooses a file while the page is still coming to life.
  useEffect(() => void early.current(input.current?.files?.[0]), []);
  const found = preview.data;
  const fileProblem = preview.error instanceof ApiError ? preview.error.problem : null;
  return (
    <>
      <div className={panel.head}>
        <h1>{words.title}</h1>
        <p className={panel.lead}>{words.what}</p>
      </div>
      <div
        className={over ? styles.dropOver : styles.drop}
        onDragOver={(e) => {
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(e) => {
          e.preventDefault();
          setOver(false);
          void take(e.dataTransfer.files[0]);
        }}
      >
        <input
          ref={input}
          type="file"
          accept={kind === 'evidence' ? '.csv,text/csv,.json,application/json' : '.csv,text/csv'}
          aria-label={kind === 'evidence' ? 'CSV or JSON file' : 'CSV file'}
          onChange={(e) => void take(e.target.files?.[0])}
        />
        <span>
          {file ? 'Nothing is changed before you say so.' : 'Choose a file, or drop it here. Nothing is changed before you have looked.'}
        </span>
      </div>
      {preview.isPending && <p role="status">Reading …</p>}
      {preview.error && (
        <section className={styles.bad} role="alert">
          <h2>This file cannot be read</h2>
          <p>{messageOf(preview.error)}</p>
          {fileProblem?.row && <p>Line {fileProblem.row}. Nothing was changed.</p>}
        </section>
      )}
      {found && found.problems.length > 0 && (
        <section className={styles.bad} role="alert">
          <h2>
            {found.problems.length} {found.problems.length === 1 ? 'thing needs' : 'things need'} mending before anything is brought in
          </h2>
          <ul>
            {found.problems.map((p, i) => (
              <li key={i}>{p.message}</li>
            ))}
          </ul>
          {'rows' in found && found.rows.some((r) => !r.already) && !commit.data && (
            <>
              <p>Mend them in the file and choose it again, or leave those rows out: they can come in later.</p>
              <Button disabled={commit.isPending} onClick={() => commit.mutate(true)}>
                Leave them out and bring in the other {toBring(kind, found)}
              </Button>
              {commit.error && <p>{messageOf(commit.error)}</p>}
            </>
          )}
        </section>
      )}
      {commit.data ? (
        <section className={styles.good} role="status">
          <h2>{broughtIn(kind, commit.data.added)}</h2>
          {kind === 'shelf' && (
            <LinkButton kind="main" href={link('/shelf/recognise')}>
              How is each played?
            </LinkButton>
          )}{' '}
          <LinkButton {...(kind === 'shelf' ? {} : { kind: 'main' as const })} href={link(words.back)}>
            {kind === 'shelf' ? 'To the shelf' : 'To the learners'}
          </LinkButton>
        </section>
      ) : (
        found &&
        found.problems.length === 0 && (
          <section className={panel.sheet}>
            <div className={panel.row}>
              <h2>{toBring(kind, found)} to bring in</h2>
              <span className={panel.spring} />
              <Button
                kind="main"
                disabled={commit.isPending || (kind === 'evidence' && 'drafts' in found && found.drafts.length === 0)}
                onClick={() => commit.mutate(false)}
              >
                Bring {kind === 'roster' ? 'everybody' : 'them all'} in
              </Button>
            </div>
            {commit.error && <p className={panel.bad}>{messageOf(commit.error)}</p>}
            {'rows' in found && found.proposedKinds.length > 0 && (
              <details className={styles.remarks} open={found.proposedKinds.length <= fewKinds}>
                <summary>{counted(found.proposedKinds.length, 'thing')} not known here yet, added to your things</summary>
                <p>{found.proposedKinds.map((k) => `${k.title} (row ${k.rows.join(', ')})`).join('; ')}.</p>
              </details>
            )}
            {found.remarks.length > 0 && (
              <details className={styles.remarks} open>
                <summary>{found.remarks.length} remarks</summary>
                <ul>
                  {found.remarks.map((r, i) => (
                    <li key={i}>
                      Row {r.row}: {r.message}
                    </li>
                  ))}
                </ul>
              </details>
            )}
            <div className={styles.scroll}>
              {'rows' in found ? (
                <ShelfRows rows={found.rows} proposed={found.proposedKinds} />
              ) : isRoster(kind, found) ? (
                <RosterRows rows={found.drafts} />
              ) : (
                <NoteRows rows={found.drafts} />
              )}
            </div>
          </section>
        )
      )}
    </>
  );
}

/** Roster and notes look alike when there is nothing in them, so the page says which it is. */
const isRoster = (kind: keyof typeof kinds, found: RosterPreview | NotesPreview): found is RosterPreview =>
  kind === 'roster' && 'drafts' in found;

/** More than these are folded away. */
const fewKinds = 12;

const counted = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

function toBring(kind: keyof typeof kinds, found: Preview): string {
  if ('rows' in found) return counted(found.rows.filter((r) => !r.already).length, 'version');
  return counted(found.drafts.length, isRoster(kind, found) ? 'learner' : 'note');
}

function broughtIn(kind: keyof typeof kinds, added: Preview['added']): string {
  if (typeof added !== 'number')
    return `${counted(added.variants, 'version')} of ${counted(added.games, 'new game')} ${added.variants === 1 ? 'is' : 'are'} on the shelf.`;
  return kind === 'evidence' ? `${added} notes are on record; the maps moved.` : `${added} learners are here.`;
}

function ShelfRows({ rows, proposed }: { rows: ShelfPreview['rows']; proposed: ShelfPreview['proposedKinds'] }) {
  const known = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const titles = new Map([...(known.data?.items ?? []), ...proposed].map((k) => [k.id, k.title.toLowerCase()]));
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th>Row</th>
          <th>Game</th>
          <th>Version</th>
          <th>Bin</th>
          <th>Ages</th>
          <th>Players</th>
          <th>Minutes</th>
          <th>Things</th>
          <th>What is known of it</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.row} className={r.already ? styles.already : undefined}>
            <td>{r.row}</td>
            <td>{r.game}</td>
            <td>{r.variant}</td>
            <td>{r.bin}</td>
            <td>{r.ages.join('–')}</td>
            <td>{r.players[0] === r.players[1] ? r.players[0] : r.players.join('–')}</td>
            <td>{r.minutes}</td>
            <td>{r.materials.map((m) => `${m.quantity > 1 ? `${m.quantity} × ` : ''}${titles.get(m.kind) ?? m.kind}`).join(', ')}</td>
            <td>{r.mechanism ? 'will be played by the machine' : r.declared.length > 0 ? 'your own word' : 'nothing yet'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function RosterRows({ rows }: { rows: RosterPreview['drafts'] }) {
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th>Row</th>
          <th>Nickname</th>
          <th>Born</th>
          <th>Group</th>
          <th>Norms</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.row}>
            <td>{r.row}</td>
            <td>{r.nickname}</td>
            <td>
              {r.born}
              {r.bornFrom === 'grade' && ' (from the grade)'}
            </td>
            <td>{r.group}</td>
            <td>{r.framework}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
