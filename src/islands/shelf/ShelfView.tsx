import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { Light } from '../../ui/Light';
import { api, get, link, type Page } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { GameWire, KindWire, ProfileSummary, VariantWire } from '../shared/types';
import { type Skills, useSkills } from '../shared/useSkills';
import { Coverage } from './Coverage';
import { GameDialog } from './GameDialog';
import styles from './shelf.module.css';

interface Bin {
  id: string;
  title: string;
}

interface Row {
  game: GameWire;
  variant: VariantWire | null;
  profile: ProfileSummary | undefined;
}

export default function ShelfView() {
  return (
    <App>
      <Shelf />
    </App>
  );
}

function Shelf() {
  const client = useQueryClient();
  const tell = useTell();
  const skills = useSkills();
  const games = useQuery({ queryKey: ['games', 'all'], queryFn: () => get<Page<GameWire>>('/games?limit=5000&retired=true') });
  const variants = useQuery({ queryKey: ['variants'], queryFn: () => get<Page<VariantWire>>('/variants?limit=5000') });
  const profiles = useQuery({ queryKey: ['profiles'], queryFn: () => get<Page<ProfileSummary>>('/profiles?limit=5000') });
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => get<Page<Bin>>('/bins?limit=5000') });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => get<Page<KindWire>>('/kinds?limit=5000') });
  const [bin, setBin] = useState<string | null>(null);
  const [text, setText] = useState('');
  const [skill, setSkill] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const undo = useMutation({
    mutationFn: () => api<{ what: string }>('POST', '/undo', {}),
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
  const shown = rows.filter((r) => matches(r, { bin, text, skill }, skills));
  if (games.error) return <Failure message={messageOf(games.error)} />;
  if (!games.data || !variants.data || !skills) return <Loading what="Opening the bins …" />;
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
              <tbody>
                {shown.map((r) => (
                  <ShelfRow
                    key={r.variant?.id ?? r.game.id}
                    row={r}
                    skills={skills}
                    kinds={kinds.data?.items ?? []}
                    loading={profiles.isLoading}
                  />
                ))}
              </tbody>
            </table>
            <p className={`${panel.soft} ${panel.small}`}>
              {shown.length} of {rows.length} versions shown. Bars without outline are calculated from the rules; outlined ones are the
              owner’s word.
            </p>
          </div>
          <Coverage
            skills={skills}
            profiles={profiles.data?.items ?? []}
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

function matches(
  { game, variant, profile }: Row,
  asked: { bin: string | null; text: string; skill: string | null },
  skills: Skills | null,
): boolean {
  if (asked.bin === 'away' ? !game.retired : game.retired) return false;
  if (asked.bin && asked.bin !== 'away' && game.bin !== asked.bin) return false;
  if (asked.skill && !profile?.doses.some((d) => d.skill === asked.skill && d.perTenMinutes >= 1)) return false;
  const words = asked.text.trim().toLowerCase();
  if (words === '') return true;
  const top = profile?.doses.slice(0, 6).map((d) => skills?.title(d.skill)) ?? [];
  return [
    game.title,
    variant?.title,
    game.notes,
    game.condition,
    ...top,
    ...(variant?.materials.map((m) => m.kind.replaceAll('-', ' ')) ?? []),
  ].some((t) => t?.toLowerCase().includes(words));
}

const scale = 2.4;

function ShelfRow({
  row: { game, variant, profile },
  skills,
  kinds,
  loading,
}: {
  row: Row;
  skills: Skills;
  kinds: readonly KindWire[];
  loading: boolean;
}) {
  const byKind = new Map(kinds.map((k) => [k.id, k]));
  return (
    <tr className={game.retired ? styles.away : undefined}>
      <td>
        <a href={link(`/shelf/${game.id}${variant ? `?version=${variant.id}` : ''}`)} className={styles.title}>
          {game.title}
        </a>
        <span className={styles.version}>{variant?.title ?? 'no version yet'}</span>
      </td>
      <td>
        {loading && variant?.mechanism && <span className={panel.soft}>being played …</span>}
        {profile?.doses.slice(0, 2).map((d) => (
          <div key={d.skill} className={styles.dose}>
            <svg width={Math.min(120, d.perTenMinutes * scale) + 2} height="11" aria-hidden="true">
              <rect
                x="1"
                y="1"
                width={Math.min(120, d.perTenMinutes * scale)}
                height="9"
                fill={`var(--strand-${skills.strandOf(d.skill)?.hue ?? 'slate'})`}
                className={profile.source === 'declared' ? styles.declared : undefined}
              />
            </svg>
            <b>{Math.round(d.perTenMinutes)}</b> <span>{skills.byId.get(d.skill)?.title}</span>
          </div>
        ))}
        {profile?.source === 'none' && <span className={panel.soft}>nobody has said yet</span>}
      </td>
      <td className={panel.num}>{profile ? Math.round(profile.minutes) : variant?.minutes}</td>
      <td className={panel.num}>
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
