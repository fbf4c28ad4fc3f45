import type { LibraryGameWire } from '../../contract/wire/library';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { operationWords } from '../../text/itemText';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { useTellUndo } from '../shared/useTellUndo';
import { App, messageOf, useTell } from '../shared/App';
import { CountryChoice } from '../shared/CountryChoice';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { useWindowRows } from '../shared/useWindowRows';
import { AskThings, type Needed, untold } from '../things/AskThings';
import { gradesOfSkill } from '../../core/skills/gradesOfSkill';
import { type Asking, everything, fittingVersions, grades, minuteChoices, playerChoices, searched, type StepPlaces } from './choosing';
import { GameCell } from './GameCell';
import styles from './library.module.css';
import { TryATurn } from './TryATurn';

export default function LibraryView({ text }: { text: string | null }) {
  return (
    <App>
      <Library first={text} />
    </App>
  );
}

/** Games that came with the app: what could we play with what we have? A drawing each, its strongest steps, its things. */
function Library({ first }: { first: string | null }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const skills = useSkills();
  const library = useQuery({ queryKey: ['library'], queryFn: () => call('GET /library', { query: { limit: 1000 } }) });
  const [asked, setAsked] = useState<Asking>({ ...everything, text: first ?? '' });
  const set = (part: Partial<Asking>): void => setAsked({ ...asked, ...part });
  /** On a phone the choices are folded, so that games come first. */
  const [choosing, setChoosing] = useState(false);
  const [trying, setTrying] = useState<{ game: LibraryGameWire; version: string } | null>(null);
  const [asking, setAsking] = useState<{ readonly game: string; readonly needs: readonly Needed[] } | null>(null);
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const take = useMutation({
    mutationFn: (game: LibraryGameWire) => call('POST /library/{id}/take', { params: { id: game.id } }),
    onSuccess: ({ change }, game) => {
      void client.invalidateQueries();
      tellUndo(`${game.title} is on your shelf.`, change);
      setAsking(null);
      const needs = untold(game.variants, kinds.data?.items ?? []);
      if (needs.length > 0) setAsking({ game: game.title, needs });
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const all = useMemo(() => library.data?.items ?? [], [library.data]);
  const words = useMemo(
    () =>
      new Map(
        skills
          ? all.map((g) => [
              g.id,
              searched(
                g,
                (id) => skills.title(id),
                (op) => operationWords[op],
              ),
            ])
          : [],
      ),
    [all, skills],
  );
  const wanted = useDeferredValue(asked);
  const places = useMemo((): StepPlaces => {
    const grades = new Map([...(skills?.byId ?? [])].map(([id, s]) => [id, gradesOfSkill(s)]));
    return { strand: (id) => skills?.byId.get(id)?.strand ?? '', grades: (id) => grades.get(id) ?? [] };
  }, [skills]);
  const shown = useMemo(
    () =>
      all.flatMap((game) => {
        const fits = fittingVersions(game, wanted, words.get(game.id) ?? [], places);
        return fits[0] ? [{ game, version: fits[0], fits: fits.length }] : [];
      }),
    [all, wanted, words, places],
  );
  // Two games stand side by side, so a row of the list is two of them.
  const rows = Math.ceil(shown.length / 2);
  const list = useWindowRows<HTMLUListElement>(rows, rowHeight, true);
  if (library.error) return <Failure message={messageOf(library.error)} />;
  if (!library.data || !skills) return <Loading what="Unrolling the catalogue …" />;
  const versions = shown.reduce((n, x) => n + x.fits, 0);
  return (
    <>
      <div className={panel.head}>
        <h1>Library</h1>
        <input
          className={styles.search}
          type="search"
          aria-label="Search the library"
          placeholder="A game, a step, how it plays …"
          value={asked.text}
          onChange={(e) => set({ text: e.target.value })}
        />
        <Button aria-pressed={asked.first} onClick={() => set({ first: !asked.first })}>
          First thirty
        </Button>
        <LinkButton href={link('/shelf')}>Back to the shelf</LinkButton>
      </div>
      <div className={styles.onPhone}>
        <Button aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
          {choosing ? 'Fewer choices' : 'Choose by grade, mood, length'}
        </Button>
      </div>
      <div className={choosing ? styles.choices : `${styles.choices} ${styles.folded}`}>
        <div className={styles.switch} role="group" aria-label="Grade">
          <span aria-hidden>grade</span>
          {grades.map((g, i) => (
            <button
              key={g}
              type="button"
              aria-label={`grade ${g}`}
              aria-pressed={asked.grades.includes(i)}
              onClick={() => set({ grades: asked.grades.includes(i) ? asked.grades.filter((x) => x !== i) : [...asked.grades, i] })}
            >
              {g}
            </button>
          ))}
        </div>
        <div className={styles.switch} role="group" aria-label="Mood">
          <span aria-hidden>mood</span>
          {(['any', 'calm', 'lively'] as const).map((m) => (
            <button key={m} type="button" aria-pressed={asked.mood === m} onClick={() => set({ mood: m })}>
              {m}
            </button>
          ))}
        </div>
        <div className={styles.switch} role="group" aria-label="Sort">
          {(
            [
              ['game', 'games'],
              ['practice', 'practice'],
              ['any', 'both'],
            ] as const
          ).map(([sort, title]) => (
            <button key={sort} type="button" aria-pressed={asked.sort === sort} onClick={() => set({ sort })}>
              {title}
            </button>
          ))}
        </div>
        <select aria-label="Line of steps" value={asked.strand} onChange={(e) => set({ strand: e.target.value })}>
          <option value="">all lines</option>
          {skills.strands.map((s) => (
            <option key={s.id} value={s.id}>
              {s.title}
            </option>
          ))}
        </select>
        <select aria-label="Players" value={asked.players} onChange={(e) => set({ players: Number(e.target.value) })}>
          <option value={0}>any players</option>
          {playerChoices.map((n) => (
            <option key={n} value={n}>
              {n === 1 ? 'one player' : `${n} players`}
            </option>
          ))}
        </select>
        <select aria-label="Minutes" value={asked.minutes} onChange={(e) => set({ minutes: Number(e.target.value) })}>
          <option value={0}>any length</option>
          {minuteChoices.map((n) => (
            <option key={n} value={n}>
              ends in {n} min
            </option>
          ))}
        </select>
        <label className={panel.row}>
          <input type="checkbox" checked={asked.here} onChange={(e) => set({ here: e.target.checked })} />
          <span>with what we have</span>
        </label>
      </div>
      <div className={styles.foundRow}>
        <p className={styles.found} role="status">
          <b>{shown.length}</b> of {all.length} games fit, {versions} {versions === 1 ? 'version' : 'versions'}.{' '}
          <span className={panel.soft}>Numbers: chances in ten minutes, calculated from the rules.</span>
          {changed(asked) && (
            <Button kind="plain" onClick={() => setAsked(everything)}>
              Show all
            </Button>
          )}
        </p>
        <CountryChoice />
      </div>
      <ul ref={list.holder} className={styles.games}>
        {list.before > 0 && <li aria-hidden="true" className={styles.room} style={{ height: list.before }} />}
        {list.shown.flatMap((row) =>
          [shown[2 * row], shown[2 * row + 1]].map(
            (x, side) =>
              x && (
                <li key={x.game.id} className={styles.cell} {...(side === 0 ? { ref: list.measure, 'data-index': row } : {})}>
                  <GameCell
                    game={x.game}
                    version={x.version}
                    skills={skills}
                    kinds={kinds.data?.items ?? []}
                    taking={take.isPending}
                    onTake={() => take.mutate(x.game)}
                    onTry={() => setTrying({ game: x.game, version: x.version.id })}
                  />
                  {asking?.game === x.game.title && <AskThings {...asking} onClose={() => setAsking(null)} />}
                </li>
              ),
          ),
        )}
        {list.after > 0 && <li aria-hidden="true" className={styles.room} style={{ height: list.after }} />}
      </ul>
      {shown.length === 0 && <p>Nothing in the library fits. Take a word or a choice away.</p>}
      {trying && <TryATurn game={trying.game} first={trying.version} onClose={() => setTrying(null)} />}
    </>
  );
}

/** Height of two games side by side until it is measured, in pixels. */
const rowHeight = 232;

const changed = (a: Asking): boolean => JSON.stringify(a) !== JSON.stringify(everything);
