import type { LibraryGameWire } from '../../contract/wire/library';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { operationHue, operationWords } from '../../text/itemText';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { ShareBar } from '../../ui/charts/ShareBar';
import { call, link } from '../shared/api';
import { useTellUndo } from '../shared/useTellUndo';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { wordsOf } from '../shared/search';
import { type Skills, useSkills } from '../shared/useSkills';
import { useWindowRows } from '../shared/useWindowRows';
import { AskThings, type Needed, untold } from '../things/AskThings';
import { ThingNeed } from '../things/ThingNeed';
import styles from './library.module.css';

type LibraryVersion = LibraryGameWire['variants'][number];

export default function LibraryView({ text }: { text: string | null }) {
  return (
    <App>
      <Library first={text} />
    </App>
  );
}

/** Games that came with the app: choose by what they practise, take them onto the shelf. */
function Library({ first }: { first: string | null }) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const skills = useSkills();
  const library = useQuery({ queryKey: ['library'], queryFn: () => call('GET /library', { query: { limit: 1000 } }) });
  const [text, setText] = useState(first ?? '');
  const [bin, setBin] = useState('');
  const [age, setAge] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const [here, setHere] = useState(false);
  const [asking, setAsking] = useState<{ readonly game: string; readonly needs: readonly Needed[] } | null>(null);
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const refresh = (): void => void client.invalidateQueries();
  const take = useMutation({
    mutationFn: (game: LibraryGameWire) => call('POST /library/{id}/take', { params: { id: game.id } }),
    onSuccess: ({ change }, game) => {
      refresh();
      tellUndo(`${game.title} is on your shelf.`, change);
      setAsking(null);
      const needs = untold(game.variants, kinds.data?.items ?? []);
      if (needs.length > 0) setAsking({ game: game.title, needs });
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const all = useMemo(() => library.data?.items ?? [], [library.data]);
  const shown = useMemo(
    () => (skills ? all.filter((g) => (bin === '' || g.bin === bin) && (!here || canBePlayed(g)) && matches(g, text, age, skills)) : []),
    [all, bin, text, age, here, skills],
  );
  const list = useWindowRows<HTMLUListElement>(shown.length, 150);
  if (library.error) return <Failure message={messageOf(library.error)} />;
  if (!library.data || !skills) return <Loading what="Unrolling the catalogue …" />;
  return (
    <>
      <div className={panel.head}>
        <h1>Library</h1>
        <input
          className={styles.search}
          type="search"
          aria-label="Search the library"
          placeholder="A game, a skill, how it plays …"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <select aria-label="Bin" value={bin} onChange={(e) => setBin(e.target.value)}>
          <option value="">all bins</option>
          {[...new Set(all.map((g) => g.bin))].map((b) => (
            <option key={b}>{b}</option>
          ))}
        </select>
        <select aria-label="Age" value={age} onChange={(e) => setAge(e.target.value)}>
          <option value="">any age</option>
          {[4, 5, 6, 7, 8, 9, 10, 11, 12].map((a) => (
            <option key={a} value={a}>
              for {a} years
            </option>
          ))}
        </select>
        <label className={panel.row}>
          <input type="checkbox" checked={here} onChange={(e) => setHere(e.target.checked)} />
          <span>with what we have</span>
        </label>
        <span className={panel.spring} />
        <LinkButton href={link('/shelf')}>Back to the shelf</LinkButton>
      </div>
      <p className={panel.soft}>
        {shown.length} of {all.length} games, {shown.reduce((n, g) => n + g.variants.length, 0)} versions. Folk games and our own, with
        dice, cards and paper. Every number is calculated from the rules.
      </p>
      <ul ref={list.holder} className={styles.games}>
        {list.before > 0 && <li aria-hidden="true" style={{ height: list.before }} />}
        {list.shown
          .map((i) => shown[i]!)
          .map((g, n) => (
            <li key={g.id} ref={list.measure} data-index={list.shown[n]} className={styles.game}>
              <div className={styles.head}>
                <h2>{g.title}</h2>
                <span className={panel.soft}>
                  {g.bin} · {g.plays.toLowerCase()}
                </span>
                <span className={panel.spring} />
                <Button kind="plain" onClick={() => setOpen(open === g.id ? null : g.id)}>
                  {open === g.id ? 'Less' : 'Rules and practice'}
                </Button>
                {g.onShelf ? (
                  <span className={styles.owned}>on your shelf</span>
                ) : (
                  <Button kind="main" onClick={() => take.mutate(g)} disabled={take.isPending}>
                    Take it
                  </Button>
                )}
              </div>
              {asking?.game === g.title && <AskThings {...asking} onClose={() => setAsking(null)} />}
              <table className={styles.versions}>
                <tbody>
                  {g.variants.map((v) => (
                    <tr key={v.id}>
                      <th scope="row">{v.title}</th>
                      <td>
                        {v.ages[0]}–{v.ages[1]} years
                      </td>
                      <td>{v.players.min === v.players.max ? v.players.min : `${v.players.min}–${v.players.max}`} players</td>
                      <td>{v.profile ? `${Math.round(v.profile.minutes[1])} min` : ''}</td>
                      <td className={styles.practice}>{v.profile ? mainPractice(v.profile, skills) : ''}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <p className={`${styles.needs} ${panel.small}`}>
                {neededBy(g).map((m) => (
                  <ThingNeed
                    key={m.kind}
                    id={m.kind}
                    kind={kinds.data?.items.find((k) => k.id === m.kind)}
                    quantity={m.quantity}
                    {...(isMissing(g, m.kind) ? {} : { state: 'there' as const })}
                  />
                ))}
                {neededBy(g).length === 0 && <span className={panel.soft}>nothing to lay out</span>}
              </p>
              {standInsOf(g).length > 0 && <p className={`${panel.soft} ${panel.small}`}>{standInsOf(g).join(' ')}</p>}
              {open === g.id && (
                <div className={styles.more}>
                  <p>{g.story}</p>
                  <div>
                    {g.variants.map(
                      (v) =>
                        v.profile && (
                          <div key={v.id}>
                            <h3>{v.title}</h3>
                            <ShareBar
                              label={v.title}
                              shares={v.profile.mix.map(([op, share]) => ({
                                title: operationWords[op],
                                share,
                                error: null,
                                fill: `var(--strand-${operationHue(op)})`,
                              }))}
                            />
                            <p className={`${panel.soft} ${panel.small}`}>
                              {v.profile.games.toLocaleString('en')} simulated games of {v.profile.seats};{' '}
                              {v.profile.minutes.map((m) => m.toFixed(0)).join(', ')} minutes (short, usual, long);{' '}
                              {(v.profile.idleTurns * 100).toFixed(0)} % of turns with nothing to do.
                            </p>
                          </div>
                        ),
                    )}
                  </div>
                </div>
              )}
            </li>
          ))}
        {list.after > 0 && <li aria-hidden="true" style={{ height: list.after }} />}
      </ul>
      {shown.length === 0 && <p>Nothing in the library fits. Take a word or the age away.</p>}
    </>
  );
}

/** Whether one of its versions has all that it takes. */
const canBePlayed = (g: LibraryGameWire): boolean => g.variants.some((v) => v.missing.length === 0);

/** What the version takes that needs least that is not there. */
const easiest = (g: LibraryGameWire): LibraryVersion | undefined => [...g.variants].sort((x, y) => x.missing.length - y.missing.length)[0];
const neededBy = (g: LibraryGameWire): LibraryVersion['materials'] => easiest(g)?.materials ?? [];
/** Neither there nor stood in for. */
const isMissing = (g: LibraryGameWire, kind: string): boolean => easiest(g)?.missing.some((m) => m.kind === kind) ?? false;
const standInsOf = (g: LibraryGameWire): readonly string[] => easiest(g)?.standIns ?? [];

const skillsNamed = 2;
const leastDose = 1;

/** The narrowest telling: the two skills met most, or what is done when no skill is met. */
function mainPractice(p: NonNullable<LibraryVersion['profile']>, skills: Skills): string {
  const met = p.doses.filter(([, dose]) => dose >= leastDose).slice(0, skillsNamed);
  if (met.length > 0) return met.map(([id, dose]) => `${skills.title(id).toLowerCase()} ${Math.round(dose)}`).join(' · ');
  return p.mix
    .slice(0, skillsNamed)
    .map(([op]) => operationWords[op])
    .join(' · ');
}

function matches(g: LibraryGameWire, text: string, age: string, skills: Skills): boolean {
  if (age !== '' && !g.variants.some((v) => v.ages[0] <= Number(age) && v.ages[1] >= Number(age))) return false;
  const words = wordsOf(text);
  if (words.length === 0) return true;
  const said = wordsOf(
    [
      g.title,
      g.bin,
      g.plays,
      ...g.variants.flatMap((v) => [
        v.title,
        ...(v.profile?.doses.filter(([, dose]) => dose >= leastDose).map(([id]) => skills.title(id)) ?? []),
        ...(v.profile?.mix.map(([op]) => operationWords[op]) ?? []),
      ]),
    ].join(' '),
  );
  return words.every((w) => said.some((x) => x.startsWith(w)));
}
