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
import { catalogueSpecs } from '../../core/content/catalogueColumns';
import { evidenceSpecs } from '../../core/content/readEvidence';
import { rosterSpecs } from '../../core/content/readRoster';
import { type Choice, Columns } from './Columns';
import styles from './import.module.css';
import { type MendedCell, MendRows } from './MendRows';
import { NoteRows } from './NoteRows';
import { remember, remembered } from './rememberColumns';

type ShelfPreview = Answer<Api['POST /imports/shelf']>;
type RosterPreview = Answer<Api['POST /imports/roster']>;
type NotesPreview = Answer<Api['POST /imports/evidence']>;
type Preview = ShelfPreview | RosterPreview | NotesPreview;

const kinds = {
  shelf: {
    title: 'Bring in a shelf',
    route: 'POST /imports/shelf',
    back: '/shelf',
    what: 'Your list as you keep it: a spreadsheet (.xlsx), a CSV file, or cells you copy. Its columns are guessed, and you can mend them.',
    specs: catalogueSpecs,
    needed: ['game'],
  },
  roster: {
    title: 'Bring in a roster',
    route: 'POST /imports/roster',
    back: '/learners',
    what: 'A spreadsheet, a CSV file or copied cells with a nickname, a birth month or a grade, and a group for each child; or a school’s roster as it exports it. Initials or nicknames are enough.',
    specs: rosterSpecs,
    needed: ['nickname'],
  },
  evidence: {
    title: 'Bring in notes and sheets',
    route: 'POST /imports/evidence',
    back: '/learners',
    what: 'A spreadsheet, a CSV file or copied cells with a learner, a day, a skill (its name, id or code) and how it went: stuck, with help or alone, or so many right of so many. Or xAPI statements as JSON; the account’s name is the nickname.',
    specs: evidenceSpecs,
    needed: ['learner', 'at', 'skill'],
  },
} as const;

type GivenFile = { readonly name: string } & ({ readonly base64: string } | { readonly text: string });

/** What is sent of a file: its content, and what was said about reading it. */
interface Reading {
  readonly file: GivenFile;
  readonly choices: Choice[] | null;
  readonly mended: readonly MendedCell[];
  readonly left: readonly { readonly table: string; readonly row: number }[];
}

const bodyOf = ({ file, choices, mended, left }: Reading) => ({
  ...('base64' in file ? { base64: file.base64 } : { text: file.text }),
  ...(choices ? { choices } : {}),
  ...(mended.length > 0 ? { mended: [...mended] } : {}),
  ...(left.length > 0 ? { left: [...left] } : {}),
});

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
  const [reading, setReading] = useState<Reading | null>(null);
  const [lastTime, setLastTime] = useState(false);
  const [update, setUpdate] = useState(true);
  const key = useWriteKey();
  const [over, setOver] = useState(false);
  const [pasted, setPasted] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const preview = useMutation({
    mutationFn: (r: Reading): Promise<Preview> => call(words.route, { body: bodyOf(r) }),
    onSuccess: (found, r) => {
      // A file with the same heads is read as it was mended last time.
      const before = r.choices === null ? remembered(kind, found.tables) : null;
      if (before) {
        setLastTime(true);
        read({ ...r, choices: before });
      }
    },
  });
  const commit = useMutation({
    mutationFn: (skip: boolean): Promise<Preview> =>
      kind === 'shelf'
        ? call('POST /imports/shelf', {
            body: { ...bodyOf(reading!), commit: true, ...(skip ? { skip } : {}), ...(update ? { update } : {}) },
            key,
          })
        : call(words.route, { body: { ...bodyOf(reading!), commit: true }, key }),
    onSuccess: (found) => reading?.choices && remember(kind, found.tables),
  });
  function read(r: Reading): void {
    commit.reset();
    setReading(r);
    preview.mutate(r);
  }
  const begin = (file: GivenFile): void => {
    setLastTime(false);
    read({ file, choices: null, mended: [], left: [] });
  };
  async function take(chosen: File | undefined): Promise<void> {
    if (chosen) begin({ name: chosen.name, base64: await base64Of(chosen) });
  }
  const early = useRef(take);
  // Who is quick chooses a file while the page is still coming to life.
  useEffect(() => void early.current(input.current?.files?.[0]), []);
  const found = preview.data;
  const fileProblem = preview.error instanceof ApiError ? preview.error.problem : null;
  const columnsMissing = found?.problems.some((p) => p.code === 'missing-column') ?? false;
  const changed = found && 'rows' in found ? found.rows.filter((r) => r.changes.length > 0) : [];
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
          accept={
            kind === 'evidence' ? `${accepted},.json,application/json` : kind === 'roster' ? `${accepted},.zip,application/zip` : accepted
          }
          aria-label="File"
          onChange={(e) => void take(e.target.files?.[0])}
        />
        <span>
          {reading ? 'Nothing is changed before you say so.' : 'Choose a file, or drop it here. Nothing is changed before you have looked.'}
        </span>
        <details className={styles.paste}>
          <summary>or paste cells</summary>
          <textarea
            aria-label="Cells, the names of the columns first"
            rows={5}
            value={pasted}
            placeholder="Copy the cells in your spreadsheet, with the names of the columns, and paste them here."
            onChange={(e) => setPasted(e.target.value)}
          />
          <Button disabled={pasted.trim() === ''} onClick={() => begin({ name: 'pasted cells', text: pasted })}>
            Look at them
          </Button>
        </details>
      </div>
      {preview.isPending && <p role="status">Reading …</p>}
      {preview.error && (
        <section className={styles.bad} role="alert">
          <h2>This file cannot be read</h2>
          <p>{messageOf(preview.error)}</p>
          {fileProblem?.row && <p>Line {fileProblem.row}. Nothing was changed.</p>}
        </section>
      )}
      {found && !commit.data && (
        <Columns
          tables={found.tables}
          names={words.specs.map((s) => s.name)}
          needed={words.needed}
          asked={columnsMissing}
          lastTime={lastTime}
          onChange={(choices) => read({ ...reading!, choices })}
        />
      )}
      {found && found.problems.length > 0 && !commit.data && (
        <section className={styles.bad} role="alert">
          <h2>
            {found.problems.length} {found.problems.length === 1 ? 'thing needs' : 'things need'} mending before anything is brought in
          </h2>
          <MendRows
            problems={found.problems.slice(0, mostMended)}
            onMend={(cell) => read({ ...reading!, mended: [...reading!.mended.filter((m) => !sameCell(m, cell)), cell] })}
            onLeave={(place) => read({ ...reading!, left: [...reading!.left, place] })}
          />
          {found.problems.length > mostMended && <p>And {found.problems.length - mostMended} more, which follow as these are mended.</p>}
          {'rows' in found && found.rows.some((r) => !r.already) && !columnsMissing && (
            <>
              <p>Mend them here, or leave those rows out: they can come in later.</p>
              <Button disabled={commit.isPending} onClick={() => commit.mutate(true)}>
                Leave them out and bring in the other {toBring(kind, found)}
              </Button>
              {commit.error && <p>{messageOf(commit.error)}</p>}
            </>
          )}
        </section>
      )}
      {reading && reading.left.length > 0 && !commit.data && (
        <p className={panel.soft}>
          {counted(reading.left.length, 'row')} left out.{' '}
          <Button kind="plain" onClick={() => read({ ...reading, left: [] })}>
            Take them back
          </Button>
        </p>
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
              <h2>
                {toBring(kind, found)} to bring in{changed.length > 0 && `, ${changed.length} that your file tells otherwise`}
              </h2>
              <span className={panel.spring} />
              {changed.length > 0 && (
                <label>
                  <input type="checkbox" checked={update} onChange={(e) => setUpdate(e.target.checked)} /> change those as your file says
                </label>
              )}
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

const accepted = '.csv,text/csv,.tsv,.txt,.jsonld,.xlsx,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
/** Rows that are mended at a time. */
const mostMended = 30;
const sameCell = (x: MendedCell, y: MendedCell): boolean => x.table === y.table && x.row === y.row && x.column === y.column;

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
    return [
      `${counted(added.variants, 'version')} of ${counted(added.games, 'new game')} ${added.variants === 1 ? 'is' : 'are'} on the shelf.`,
      ...(added.changed > 0 ? [`${counted(added.changed, 'version')} changed.`] : []),
    ].join(' ');
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
          <tr key={`${r.table}.${r.row}`} className={r.already && r.changes.length === 0 ? styles.already : undefined}>
            <td>{r.row}</td>
            <td>{r.game}</td>
            <td>{r.variant}</td>
            <td>{r.bin}</td>
            <td>{r.ages.join('–')}</td>
            <td>{r.players[0] === r.players[1] ? r.players[0] : r.players.join('–')}</td>
            <td>{r.minutes}</td>
            <td>{r.materials.map((m) => `${m.quantity > 1 ? `${m.quantity} × ` : ''}${titles.get(m.kind) ?? m.kind}`).join(', ')}</td>
            <td>
              {r.changes.length > 0
                ? r.changes.map((c) => (
                    <span key={c.field} className={styles.change}>
                      {c.field}: <del>{shortText(c.before)}</del> <ins>{shortText(c.after)}</ins>
                    </span>
                  ))
                : r.already
                  ? 'on the shelf, as it is'
                  : r.mechanism
                    ? 'will be played by the machine'
                    : r.declared.length > 0
                      ? 'your own word'
                      : 'its words; you will be asked'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** As much of a text as shows what changed. */
const shortText = (text: string): string => (text === '' ? 'nothing' : text.length > longest ? `${text.slice(0, longest)} …` : text);
const longest = 60;

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
