import type { BinWire, GameWire, KindWire, VariantWire } from '../../contract/wire/shelf';
import type { ProfileSummary } from '../../contract/wire/practice';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { Light } from '../../ui/Light';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { wordsOf } from '../shared/search';
import { type Skills, useSkills } from '../shared/useSkills';
import { useWindowRows } from '../shared/useWindowRows';
import { SpacerRow } from '../../ui/SpacerRow';
import { Coverage } from './Coverage';
import { GameDialog } from './GameDialog';
import styles from './shelf.module.css';

interface Row {
  game: GameWire;
  variant: VariantWire | null;
  profile: ProfileSummary | undefined;
}

export default function ShelfView({ text, skill }: { text: string | null; skill: string | null }) {
  return (
    <App>
      <Shelf first={{ text, skill }} />
    </App>
  );
}

function Shelf({ first }: { first: { text: string | null; skill: string | null } }) {
  const client = useQueryClient();
  const tell = useTell();
  const skills = useSkills();
  const games = useQuery({ queryKey: ['games', 'all'], queryFn: () => call('GET /games', { query: { limit: 5000, retired: 'true' } }) });
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => call('GET /variants', { query: { limit: 5000 } }) });
  const profiles = useQuery({
    queryKey: ['profiles'],
    queryFn: () => call('GET /profiles', { query: { limit: 20000 } }),
    refetchInterval: (q) => (q.state.data?.measuring ? 1500 : false),
  });
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins', { query: { limit: 5000 } }) });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const [bin, setBin] = useState<string | null>(null);
  const [text, setText] = useState(first.text ?? '');
  const [skill, setSkill] = useState<string | null>(first.skill);
  const [adding, setAdding] = useState(false);
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
  const wanted = useMemo(() => {
    const fitting = rows.filter((r) => matches(r, { bin, text, skill }, skills, kinds.data?.items ?? [], bins.data?.items ?? []));
    return skill ? fitting.sort((x, y) => doseOf(y, skill) - doseOf(x, skill)) : fitting;
  }, [rows, bin, text, skill, skills, kinds.data, bins.data]);
  const list = useWindowRows<HTMLTableSectionElement>(wanted.length, 62);
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
        <LinkButton href={link('/shelf/library')}>Library</LinkButton>
        <LinkButton href={link('/shelf/import')}>Bring in a file</LinkButton>
        <Button kind="main" onClick={() => setAdding(true)}>
          Add a game
        </Button>
      </div>
      {measuring && (
        <p className={panel.soft} role="status">
          {measuring.left} {measuring.left === 1 ? 'version is' : 'versions are'} being played by the machine; their numbers follow.
        </p>
      )}
      {games.data.items.length === 0 ? (
        <Empty title="The shelf is empty">
          <p>
            Take games from the library that came with the app, bring in the list you already have as a CSV file, or add one game by hand.
            Dice, cards and paper are enough to start.
          </p>
          <div className={panel.row}>
            <LinkButton kind="main" href={link('/shelf/library')}>
              Look through the library
            </LinkButton>
            <LinkButton href={link('/shelf/import')}>Bring in a file</LinkButton>
            <Button onClick={() => setAdding(true)}>Add a game</Button>
          </div>
        </Empty>
      ) : (
        <div className={styles.columns}>
          <nav className={styles.bins} aria-label="Bins">
            <button type="button" aria-pressed={bin === null} onClick={() => setBin(null)}>
              <span>All</span>
              <b>{inUse.length}</b>
            </button>
            {bins.data?.items.map((b) => (
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
                    key={wanted[i]!.variant?.id ?? wanted[i]!.game.id}
                    index={i}
                    measure={list.measure}
                    row={wanted[i]!}
                    skill={skill}
                    skills={skills}
                    kinds={kinds.data.items}
                    loading={profiles.isLoading}
                  />
                ))}
                <SpacerRow height={list.after} columns={5} />
              </tbody>
            </table>
            <p className={`${panel.soft} ${panel.small}`}>
              {wanted.length} of {rows.length} versions. Bars without outline are calculated from the rules; outlined ones are the owner’s
              word.
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

function rowsOf(games: readonly GameWire[] = [], variants: readonly VariantWire[] = [], profiles: readonly ProfileSummary[] = []): Row[] {
  const byVariant = new Map(profiles.map((p) => [p.variant, p]));
  return games.flatMap((game): Row[] => {
    const own = variants.filter((v) => v.game === game.id);
    return own.length === 0
      ? [{ game, variant: null, profile: undefined }]
      : own.map((variant) => ({ game, variant, profile: byVariant.get(variant.id) }));
  });
}

/** Chances for one skill, for sorting. */
const doseOf = (r: Row, skill: string): number => r.profile?.doses.find((d) => d.skill === skill)?.perTenMinutes ?? 0;

function matches(
  { game, variant, profile }: Row,
  asked: { bin: string | null; text: string; skill: string | null },
  skills: Skills | null,
  kinds: readonly KindWire[],
  bins: readonly BinWire[],
): boolean {
  if (asked.bin === 'away' ? !game.retired : game.retired) return false;
  if (asked.bin && asked.bin !== 'away' && game.bin !== asked.bin) return false;
  if (asked.skill && !profile?.doses.some((d) => d.skill === asked.skill && d.perTenMinutes >= 1)) return false;
  const words = wordsOf(asked.text);
  if (words.length === 0) return true;
  const said = wordsOf(
    [
      game.title,
      variant?.title,
      game.notes,
      game.condition,
      bins.find((b) => b.id === game.bin)?.title,
      ...(profile?.doses.filter((d) => d.perTenMinutes >= 1).map((d) => skills?.title(d.skill)) ?? []),
      ...(variant?.materials.map((m) => kinds.find((k) => k.id === m.kind)?.title ?? m.kind) ?? []),
    ].join(' '),
  );
  return words.every((w) => said.some((x) => x.startsWith(w)));
}

const scale = 2.4;

function ShelfRow({
  row: { game, variant, profile },
  index,
  measure,
  skill,
  skills,
  kinds,
  loading,
}: {
  row: Row;
  index: number;
  measure: ((row: Element | null) => void) | undefined;
  /** Chosen to look for: its chances stand first. */
  skill: string | null;
  skills: Skills;
  kinds: readonly KindWire[];
  loading: boolean;
}) {
  const byKind = new Map(kinds.map((k) => [k.id, k]));
  const doses = [...(profile?.doses ?? [])].sort((x, y) => Number(y.skill === skill) - Number(x.skill === skill)).slice(0, 2);
  return (
    <tr ref={measure} data-index={index} className={game.retired ? styles.away : undefined}>
      <td>
        <a href={link(`/shelf/${game.id}${variant ? `?version=${variant.id}` : ''}`)} className={styles.title}>
          {game.title}
        </a>
        <span className={styles.version}>{variant?.title ?? 'no version yet'}</span>
      </td>
      <td>
        {(loading || profile?.source === 'measuring') && variant?.mechanism && <span className={panel.soft}>being played …</span>}
        {profile?.source === 'faulty' && <span className={panel.soft}>cannot be played as it stands; open it to mend it</span>}
        {doses.map((d) => (
          <div key={d.skill} className={styles.dose}>
            <svg width={Math.min(120, d.perTenMinutes * scale) + 2} height="11" aria-hidden="true">
              <rect
                x="1"
                y="1"
                width={Math.min(120, d.perTenMinutes * scale)}
                height="9"
                fill={`var(--strand-${skills.strandOf(d.skill)?.hue ?? 'slate'})`}
                className={profile?.source === 'declared' ? styles.declared : undefined}
              />
            </svg>
            <b>{Math.round(d.perTenMinutes)}</b> <span>{skills.byId.get(d.skill)?.title}</span>
          </div>
        ))}
        {profile?.source === 'none' && <span className={panel.soft}>nobody has said yet</span>}
      </td>
      <td className={panel.num} data-label="minutes">
        {profile ? Math.round(profile.minutes) : variant?.minutes}
      </td>
      <td className={panel.num} data-label="players">
        {variant
          ? variant.players.min === variant.players.max
            ? variant.players.min
            : `${variant.players.min}–${variant.players.max}`
          : ''}
      </td>
      <td className={styles.things}>
        {variant?.materials.map((m) => {
          const kind = byKind.get(m.kind);
          const state = !kind || kind.plentiful || kind.quantity >= m.quantity ? 'there' : kind.quantity === 0 ? 'missing' : 'short';
          return (
            <span key={m.kind}>
              <Light state={state} /> {m.quantity > 1 ? `${m.quantity} × ` : ''}
              {(kind?.title ?? m.kind).toLowerCase()}
            </span>
          );
        })}
      </td>
    </tr>
  );
}
