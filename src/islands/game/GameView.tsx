import type { HowToWire } from '../../contract/wire/howTo';
import type { VariantWire } from '../../contract/wire/shelf';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Button } from '../../ui/Button';
import { Empty, Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { Tabs } from '../../ui/Tabs';
import { addressOf, call, link } from '../shared/api';
import { useTellUndo } from '../shared/useTellUndo';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { prepWords } from '../../text/sentences';
import { sortOf } from '../../core/mechanisms/character';
import { cautionsOnce } from '../../core/safety/hazards';
import { moodWords } from '../shared/words';
import { HowToPlay } from '../shared/HowToPlay';
import { ThingNeed } from '../things/ThingNeed';
import { GameDialog } from '../shelf/GameDialog';
import styles from './game.module.css';
import { History } from './History';
import { Practice } from './Practice';
import { useHowTo } from './useHowTo';
import { useMechanisms } from './useMechanism';
import { useSkills } from '../shared/useSkills';

// What is opened seldom comes when it is opened: it brings all rule families along.
const Bench = lazy(async () => ({ default: (await import('./Bench')).Bench }));
const Compare = lazy(async () => ({ default: (await import('./Compare')).Compare }));
const Watch = lazy(async () => ({ default: (await import('./Watch')).Watch }));
const PictureSteps = lazy(async () => ({ default: (await import('../shared/PictureSteps')).PictureSteps }));
const VariantDialog = lazy(async () => ({ default: (await import('./VariantDialog')).VariantDialog }));

type Moving = `POST /${'games' | 'variants'}/{id}/${'retire' | 'restore'}`;

/** The drawings wait until they are asked for: the page is light, and full enough. */
function FoldedPictures({ howTo }: { howTo: HowToWire }) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>In three pictures</summary>
      <Suspense>{open && <PictureSteps howTo={howTo} />}</Suspense>
    </details>
  );
}

const mixedWords = {
  together: 'yes: all play as one',
  'head-start': 'yes, with a head start',
  'own-numbers': 'yes, each with their own version',
  'like-only': 'best with children alike',
} as const;
const firstWords = { taught: 'somebody shows it', read: 'they can read the rules' } as const;

/** What an owner asks before choosing: its mood, who may sit together, who starts it. */
function Quick({ variant }: { variant: VariantWire }) {
  const quick = useHowTo(variant).data?.quick;
  if (!quick) return null;
  return (
    <>
      <dt>Mood</dt>
      <dd>{moodWords[quick.mood]}</dd>
      <dt>Older with younger</dt>
      <dd>{mixedWords[quick.mixed]}</dd>
      <dt>First time</dt>
      <dd>{firstWords[quick.firstTime]}</dd>
    </>
  );
}

/** How this version is played, from its own numbers; the owner's lines stand beside it. */
function Rules({ variant, own }: { variant: VariantWire; own: readonly string[] }) {
  const rules = useHowTo(variant);
  const howTo = rules.data?.howTo ?? null;
  if (!howTo && own.length === 0) return null;
  return (
    <section className={panel.sheet}>
      <h2>How it is played</h2>
      {howTo ? (
        <HowToPlay howTo={howTo} pictures={<FoldedPictures howTo={howTo} />} {...(own.length === 1 ? { story: own[0] } : { own })} />
      ) : (
        <ol className={styles.rules}>
          {own.map((r) => (
            <li key={r}>{r}</li>
          ))}
        </ol>
      )}
    </section>
  );
}

export default function GameView({ id, version }: { id: string; version: string | null }) {
  return (
    <App>
      <Game id={id} version={version} />
    </App>
  );
}

const views = ['practises', 'bench', 'watch', 'compare'] as const;
type View = (typeof views)[number];
const viewWords: Record<View, string> = {
  practises: 'What it practises',
  bench: 'Bench: turn a number',
  watch: 'Watch one game',
  compare: 'Two versions side by side',
};

/** The four ways to look at a version. */
function Main({
  variant,
  others,
  onSaved,
}: {
  variant: VariantWire;
  others: readonly VariantWire[];
  onSaved: (id: string, change: string) => void;
}) {
  const [view, setView] = useState<View>('practises');
  const skills = useSkills();
  const mechanism = useMechanisms()?.find((m) => m.id === variant.mechanism);
  const open = variant.mechanism ? views : views.slice(0, 1);
  const panelOf = (
    <Suspense fallback={<Loading what="Setting up the bench …" />}>
      {view === 'practises' && <Practice variant={variant} others={others} onSaved={onSaved} />}
      {view !== 'practises' && (!mechanism || !skills) && <Loading what="Setting up the bench …" />}
      {view === 'bench' && mechanism && skills && <Bench variant={variant} mechanism={mechanism} skills={skills} onSaved={onSaved} />}
      {view === 'watch' && mechanism && <Watch variant={variant} mechanism={mechanism} />}
      {view === 'compare' && skills && <Compare variant={variant} others={others} skills={skills} />}
    </Suspense>
  );
  if (open.length === 1) return <div>{panelOf}</div>;
  return (
    <div>
      <Tabs
        label="Ways to look at it"
        className={styles.views}
        tabs={open.map((id) => ({ id, title: viewWords[id] }))}
        chosen={view}
        onChoose={setView}
      >
        {panelOf}
      </Tabs>
    </div>
  );
}

export const roomWords = { calm: 'quietly at a table', lively: 'lively', floor: 'on the floor' };
const helperWords = { alone: 'runs alone', nearby: 'adult nearby', needed: 'adult needed' };
const sourceWords = { made: 'made at home', bought: 'bought', free: 'free, printed' };

function Game({ id, version }: { id: string; version: string | null }) {
  const client = useQueryClient();
  const tell = useTell();
  const game = useQuery({ queryKey: ['game', id], queryFn: () => call('GET /games/{id}', { params: { id: id } }) });
  const variants = useQuery({
    queryKey: ['variants', id],
    queryFn: () => call('GET /variants', { query: { game: id, limit: 1000, retired: 'true' } }),
  });
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins', { query: { limit: 1000 } }) });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const [chosen, setChosen] = useState<string | null>(version);
  const [editing, setEditing] = useState<'game' | 'variant' | 'new' | null>(null);
  const refresh = (): void => void client.invalidateQueries();
  const tellUndo = useTellUndo();
  const change = useMutation({
    mutationFn: ({ what, of }: { what: Moving; of: string }) => call(what, { params: { id: of } }),
    onSuccess: ({ change: c }) => {
      refresh();
      tellUndo('Done.', c);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (game.error) return <Failure message={messageOf(game.error)} />;
  if (!game.data || !variants.data) return <Loading what="Taking it off the shelf …" />;
  const g = game.data;
  const inUse = variants.data.items.filter((v) => !v.retired);
  const away = variants.data.items.filter((v) => v.retired);
  const variant = inUse.find((v) => v.id === chosen) ?? inUse[0] ?? null;
  const binTitle = bins.data?.items.find((b) => b.id === g.bin)?.title;
  return (
    <>
      <div className={panel.head}>
        <h1>{g.title}</h1>
        {g.retired && <span className={styles.away}>put away</span>}
        <span className={`${panel.soft} ${styles.facts}`}>
          {[binTitle, sourceWords[g.source], ...g.tags, g.condition, g.notes].filter(Boolean).join(' · ')}
        </span>
        <Button onClick={() => change.mutate({ what: g.retired ? 'POST /games/{id}/restore' : 'POST /games/{id}/retire', of: id })}>
          {g.retired ? 'Bring back' : 'Put away'}
        </Button>
        <LinkButton href={addressOf('GET /games/{id}/file', { params: { id } })} download>
          Take it out
        </LinkButton>
        <Button onClick={() => setEditing('game')}>Change</Button>
        <Button kind="main" onClick={() => setEditing('new')}>
          Add a version
        </Button>
      </div>
      {!variant ? (
        <Empty title="No version yet">
          <p>
            A version holds the numbers and rules that are really played. Add one, and the game is played some thousand times to see what it
            practises.
          </p>
          <Button kind="main" onClick={() => setEditing('new')}>
            Add a version
          </Button>
        </Empty>
      ) : (
        <Tabs
          label="Versions"
          className={styles.versions}
          tabs={inUse.map((v) => ({ id: v.id, title: v.title }))}
          chosen={variant.id}
          onChoose={setChosen}
        >
          <div className={styles.columns}>
            <aside className={styles.facts}>
              <section className={panel.sheet}>
                <h2>{variant.title}</h2>
                <dl className={styles.dl}>
                  <dt>Ages</dt>
                  <dd>
                    {variant.ages[0]}–{variant.ages[1]}
                  </dd>
                  <dt>Players</dt>
                  <dd>
                    {variant.players.min === variant.players.max ? variant.players.min : `${variant.players.min}–${variant.players.max}`}
                  </dd>
                  <dt>Given time</dt>
                  <dd>{variant.minutes} min</dd>
                  <dt>Helper</dt>
                  <dd>{helperWords[variant.helper]}</dd>
                  {sortOf(variant.mechanism) === 'practice' && (
                    <>
                      <dt>Filed as</dt>
                      <dd>practice, not a game</dd>
                    </>
                  )}
                  <dt>In the room</dt>
                  <dd>{roomWords[variant.room]}</dd>
                  {variant.mechanism && <Quick variant={variant} />}
                  {variant.preparationMinutes > 0 && (
                    <>
                      <dt>Getting ready</dt>
                      <dd>
                        {variant.preparationMinutes} min
                        {variant.steps.length > 0 && <small>: {variant.steps.map((s) => s.what || prepWords[s.sort]).join(', ')}</small>}
                      </dd>
                    </>
                  )}
                  {variant.mechanism && (
                    <>
                      <dt>How it plays</dt>
                      <dd>{variant.mechanism.replaceAll('-', ' ')}</dd>
                    </>
                  )}
                </dl>
                <h3>Things</h3>
                <ul className={styles.things}>
                  {variant.materials.map((m) => {
                    const kind = kinds.data?.items.find((k) => k.id === m.kind);
                    return (
                      <li key={m.kind}>
                        <ThingNeed
                          id={m.kind}
                          kind={kind}
                          quantity={m.quantity}
                          standIn={variant.standIns.find((s) => s.instead === m.kind)?.say ?? null}
                        />
                      </li>
                    );
                  })}
                  {variant.materials.length === 0 && <li className={panel.soft}>nothing named</li>}
                </ul>
                {cautionsOnce(variant.materials.flatMap((m) => kinds.data?.items.find((k) => k.id === m.kind)?.caution ?? [])).map((c) => (
                  <p key={c} className={`${panel.soft} ${panel.small}`}>
                    {c}
                  </p>
                ))}
                <div className={panel.row}>
                  <Button onClick={() => setEditing('variant')}>Change version</Button>
                  {variant.mechanism && <LinkButton href={link(`/prep/print?variant=${variant.id}`)}>Print what it needs</LinkButton>}
                  <Button onClick={() => change.mutate({ what: 'POST /variants/{id}/retire', of: variant.id })}>Put away</Button>
                </div>
              </section>
              <Rules variant={variant} own={g.rules} />
              <History game={id} />
              {away.length > 0 && (
                <section className={panel.sheet}>
                  <h2>Versions put away</h2>
                  <ul className={panel.list}>
                    {away.map((v) => (
                      <li key={v.id}>
                        {v.title}{' '}
                        <Button kind="plain" onClick={() => change.mutate({ what: 'POST /variants/{id}/restore', of: v.id })}>
                          bring back
                        </Button>
                      </li>
                    ))}
                  </ul>
                </section>
              )}
            </aside>
            <Main
              key={variant.id}
              variant={variant}
              others={inUse}
              onSaved={(saved, c) => {
                setChosen(saved);
                refresh();
                tellUndo('Saved.', c);
              }}
            />
          </div>
        </Tabs>
      )}
      {editing === 'game' && (
        <GameDialog
          game={g}
          bins={bins.data?.items ?? []}
          onClose={() => setEditing(null)}
          onSaved={(_, c) => {
            setEditing(null);
            refresh();
            tellUndo('Saved.', c);
          }}
        />
      )}
      {(editing === 'variant' || editing === 'new') && (
        <Suspense>
          <VariantDialog
            game={g}
            variant={editing === 'variant' ? variant : null}
            kinds={kinds.data?.items ?? []}
            onClose={() => setEditing(null)}
            onSaved={(saved, c) => {
              setEditing(null);
              setChosen(saved);
              refresh();
              tellUndo('Saved.', c);
            }}
          />
        </Suspense>
      )}
      <p>
        <a href={link('/shelf')}>Back to the shelf</a>
      </p>
    </>
  );
}
