import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { addressOf, call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useKitchen } from '../shared/useKitchen';
import { useSkills } from '../shared/useSkills';
import { useWindowRows } from '../shared/useWindowRows';
import { SpacerRow } from '../../ui/SpacerRow';
import { Coverage } from './Coverage';
import { FrontDoors } from './FrontDoors';
import { GameDialog } from './GameDialog';
import { type Facets, FacetRow, noFacets, passes } from './FacetRow';
import { LookAlike } from './LookAlike';
import { doseOf, foldedLines, matches, type Row, rowsOf } from './rowsOf';
import styles from './shelf.module.css';
import { Several } from './Several';
import { ShelfRow } from './ShelfRow';

export default function ShelfView({ text, skill, bin = null }: { text: string | null; skill: string | null; bin?: string | null }) {
  return (
    <App>
      <Shelf first={{ text, skill, bin }} />
    </App>
  );
}

function Shelf({ first }: { first: { text: string | null; skill: string | null; bin: string | null } }) {
  const client = useQueryClient();
  const tell = useTell();
  const skills = useSkills();
  const { kitchen, showAll } = useKitchen();
  const games = useQuery({ queryKey: ['games', 'all'], queryFn: () => call('GET /games', { query: { limit: 5000, retired: 'true' } }) });
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => call('GET /variants', { query: { limit: 5000 } }) });
  const profiles = useQuery({
    queryKey: ['profiles'],
    queryFn: () => call('GET /profiles', { query: { limit: 20000 } }),
    refetchInterval: (q) => (q.state.data?.measuring ? 1500 : false),
  });
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins', { query: { limit: 5000 } }) });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const [bin, setBin] = useState<string | null>(first.bin);
  const [text, setText] = useState(first.text ?? '');
  const [skill, setSkill] = useState<string | null>(first.skill);
  const [adding, setAdding] = useState(false);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const pick = (id: string, on: boolean): void => {
    const next = new Set(picked);
    if (on) next.add(id);
    else next.delete(id);
    setPicked(next);
  };
  const [facets, setFacets] = useState<Facets>(noFacets);
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const fold = (game: string): void => setOpen(new Set(open.has(game) ? [...open].filter((g) => g !== game) : [...open, game]));
  const undo = useMutation({
    mutationFn: () => call('POST /undo', { body: {} }),
    onSuccess: ({ what }) => {
      tell(`Undone: ${what}.`);
      void client.invalidateQueries();
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const rows = useMemo(
    () => rowsOf(games.data?.items, variants.data?.items, profiles.data?.items),
    [games.data, variants.data, profiles.data],
  );
  const sought = useDeferredValue(text.trim());
  const search = useQuery({
    queryKey: ['search', sought],
    queryFn: () => call('GET /search', { query: { q: sought } }),
    enabled: sought !== '',
    placeholderData: keepPreviousData,
  });
  const found = sought === '' ? null : search.data;
  const wanted = useMemo(() => {
    const place = found ? new Map(found.items.map((f, i) => [f.variant ?? f.game, i])) : null;
    const placeOf = (r: Row): number | undefined => place?.get(r.variant?.id ?? r.game.id);
    // Until the first answer is there, what is typed is looked for in what is shown.
    const fitting = rows.filter(
      (r) =>
        matches(r, { bin, text: place ? '' : text, skill }, skills, kinds.data?.items ?? [], bins.data?.items ?? []) &&
        (!place || placeOf(r) !== undefined) &&
        passes(r, facets, kinds.data?.items ?? []),
    );
    if (skill) return fitting.sort((x, y) => doseOf(y, skill) - doseOf(x, skill));
    return place ? fitting.sort((x, y) => placeOf(x)! - placeOf(y)!) : fitting;
  }, [rows, bin, text, found, facets, skill, skills, kinds.data, bins.data]);
  const asked = useQuery({ queryKey: ['recognise', 'count'], queryFn: () => call('GET /recognise', { query: { limit: 1 } }) });
  const lines = useMemo(() => foldedLines(wanted, open), [wanted, open]);
  const tags = useMemo(
    () => [...new Set((games.data?.items ?? []).filter((g) => !g.retired).flatMap((g) => g.tags))].sort((x, y) => x.localeCompare(y)),
    [games.data],
  );
  const list = useWindowRows<HTMLTableSectionElement>(lines.length, 62);
  if (games.error) return <Failure message={messageOf(games.error)} />;
  // Nothing is shown before all of it is known: a shelf half read would say what is not so.
  if (!games.data || !variants.data || !skills || !bins.data || !kinds.data) return <Loading what="Opening the bins …" />;
  const measuring = profiles.data?.measuring ?? null;
  const inUse = games.data.items.filter((g) => !g.retired);
  return (
    <>
      <div className={panel.head}>
        <h1>Shelf</h1>
        <input
          className={styles.search}
          type="search"
          aria-label="Search the shelf"
          placeholder="A game, a skill, a material …"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        {skill && (
          <button type="button" className={styles.chip} onClick={() => setSkill(null)}>
            {skills.title(skill)} ×
          </button>
        )}
        <span className={panel.spring} />
        <Button onClick={() => undo.mutate()}>Undo last change</Button>
        <LinkButton href={link('/shelf/things')}>Things</LinkButton>
        {!kitchen && <LinkButton href={link('/shelf/coverage')}>Coverage</LinkButton>}
        <LinkButton href={link('/shelf/library')}>Library</LinkButton>
        {!kitchen && <LinkButton href={link('/shelf/import')}>Bring in a file</LinkButton>}
        <Button kind="main" onClick={() => setAdding(true)}>
          Add a game
        </Button>
      </div>
      {asked.data && asked.data.total > 0 && (
        <p className={styles.asked}>
          Of <b>{asked.data.total}</b> {asked.data.total === 1 ? 'version' : 'versions'} nobody has said yet how it plays
          {asked.data.sure > 0 && `; of ${asked.data.sure} its words tell`}.{' '}
          <LinkButton href={link('/shelf/recognise')}>How is each played?</LinkButton>
        </p>
      )}
      <LookAlike />
      {measuring && (
        <p className={panel.soft} role="status">
          {measuring.left} {measuring.left === 1 ? 'version is' : 'versions are'} being played by the machine; their numbers follow.
        </p>
      )}
      {games.data.items.length === 0 ? (
        <FrontDoors onAdd={() => setAdding(true)} />
      ) : (
        <div className={styles.columns}>
          <nav className={styles.bins} aria-label="Bins">
            <button type="button" aria-pressed={bin === null} onClick={() => setBin(null)}>
              <span>All</span>
              <b>{inUse.length}</b>
            </button>
            {bins.data?.items
              .filter((b) => b.id === bin || inUse.some((g) => g.bin === b.id))
              .map((b) => (
                <button key={b.id} type="button" aria-pressed={bin === b.id} onClick={() => setBin(b.id)}>
                  <span>{b.title}</span>
                  <b>{inUse.filter((g) => g.bin === b.id).length}</b>
                </button>
              ))}
            <button type="button" aria-pressed={bin === 'away'} onClick={() => setBin('away')}>
              <span>Put away</span>
              <b>{games.data.items.length - inUse.length}</b>
            </button>
          </nav>
          <div className={styles.tableWrap}>
            <FacetRow facets={facets} tags={tags} onChange={setFacets} />
            {picked.size > 0 && <Several games={[...picked]} bins={bins.data.items} tags={tags} onDone={() => setPicked(new Set())} />}
            {found && found.steps.length > 0 && !skill && (
              <p className={styles.steps}>
                Sorted by{' '}
                {found.steps.slice(0, mostSteps).map((s, i) => (
                  <button key={s.skill} type="button" className={i === 0 ? styles.chipOn : styles.chip} onClick={() => setSkill(s.skill)}>
                    {s.title}
                  </button>
                ))}
              </p>
            )}
            <table className={styles.table}>
              <thead>
                <tr>
                  <th scope="col">Game and version</th>
                  <th scope="col">What each child practises in ten minutes</th>
                  <th scope="col">Minutes</th>
                  <th scope="col">Players</th>
                  <th scope="col">Things</th>
                </tr>
              </thead>
              <tbody ref={list.holder}>
                <SpacerRow height={list.before} columns={5} />
                {list.shown.map((i) => (
                  <ShelfRow
                    key={lines[i]!.row.variant?.id ?? lines[i]!.row.game.id}
                    index={i}
                    measure={list.measure}
                    line={lines[i]!}
                    onFold={() => fold(lines[i]!.row.game.id)}
                    skill={skill ?? found?.items.find((f) => f.variant === lines[i]!.row.variant?.id)?.skill ?? null}
                    skills={skills}
                    kinds={kinds.data.items}
                    loading={profiles.isLoading}
                    picked={picked.has(lines[i]!.row.game.id)}
                    onPick={(on) => pick(lines[i]!.row.game.id, on)}
                  />
                ))}
                <SpacerRow height={list.after} columns={5} />
              </tbody>
            </table>
            <p className={`${panel.soft} ${panel.small}`}>
              {wanted.length} of {rows.length} versions
              {lines.length < wanted.length || open.size > 0 ? (
                <>
                  {' '}
                  (
                  <Button
                    kind="plain"
                    onClick={() => setOpen(lines.length < wanted.length ? new Set(wanted.map((r) => r.game.id)) : new Set())}
                  >
                    {lines.length < wanted.length ? 'unfold all' : 'fold all'}
                  </Button>
                  )
                </>
              ) : null}
              . Bars without outline are calculated from the rules; outlined ones are the owner’s word, or careful guesses from the words of
              a row.{' '}
              {kitchen ? (
                <Button kind="plain" onClick={showAll}>
                  Files, helpers and terms, please
                </Button>
              ) : (
                <LinkButton kind="plain" href={addressOf('GET /shelf.csv', {})} download>
                  Take the shelf out as a list
                </LinkButton>
              )}
            </p>
          </div>
          <Coverage
            skills={skills}
            profiles={profiles.data?.items ?? null}
            chosen={skill}
            onChoose={(s) => setSkill(s === skill ? null : s)}
          />
        </div>
      )}
      {adding && (
        <GameDialog
          game={null}
          bins={bins.data?.items ?? []}
          onClose={() => setAdding(false)}
          onSaved={(id) => {
            void client.invalidateQueries();
            location.href = link(`/shelf/${id}`);
          }}
        />
      )}
    </>
  );
}

/** Steps that a search may mean, shown beside it. */
const mostSteps = 4;
