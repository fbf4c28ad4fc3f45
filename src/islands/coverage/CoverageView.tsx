import type { CoverageWire } from '../../contract/wire/coverage';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { addressOf, call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import { usePapers } from '../shared/CountryChoice';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './coverage.module.css';
import { CoverageFrame } from './CoverageFrame';
import { Holes } from './Holes';
import { NextBest } from './NextBest';
import { OneStandard } from './OneStandard';
import { Pacing } from './Pacing';

export default function CoverageView() {
  return (
    <App>
      <Coverage />
    </App>
  );
}

/** Which expectations have no game, and what to do about it. */
function Coverage() {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const [framework, setFramework] = useState('');
  const [without, setWithout] = useState('');
  const [over, setOver] = useState('shelf');
  const [chosen, setChosen] = useState<string | null>(null);
  const [band, setBand] = useState<string | null>(null);
  const frameworks = useQuery({ queryKey: ['frameworks'], queryFn: () => call('GET /frameworks', { query: { limit: 100 } }) });
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 5000 } }) });
  const units = [...new Set((games.data?.items ?? []).flatMap((g) => g.tags))].sort((x, y) => x.localeCompare(y));
  const bins = useQuery({ queryKey: ['bins'], queryFn: () => call('GET /bins', { query: { limit: 5000 } }) });
  const query = { ...(framework ? { framework } : {}), ...(without ? { without } : {}), ...overOf(over) };
  const [paper] = usePapers();
  const coverage = useQuery({ queryKey: ['coverage', query], queryFn: () => call('GET /coverage', { query }) });
  const take = useMutation({
    mutationFn: (game: { readonly game: string; readonly title: string }) => call('POST /library/{id}/take', { params: { id: game.game } }),
    onSuccess: ({ change }, { title }) => {
      void client.invalidateQueries();
      tellUndo(`${title} is on your shelf.`, change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const back = useMutation({
    mutationFn: (game: { readonly game: string; readonly title: string }) =>
      call('POST /games/{id}/restore', { params: { id: game.game } }),
    onSuccess: ({ change }, { title }) => {
      void client.invalidateQueries();
      tellUndo(`${title} is back on the shelf.`, change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  const compare = useMutation({
    mutationFn: ({ identifiers, compared }: { identifiers: readonly string[]; compared: boolean }) =>
      call('POST /coverage/compared', { body: { framework: coverage.data!.framework, identifiers: [...identifiers], compared } }),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['coverage'] }),
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (coverage.error) return <Failure message={messageOf(coverage.error)} />;
  if (!coverage.data) return <Loading what="Laying games beside the standards …" />;
  const c: CoverageWire = coverage.data;
  const there = c.items.filter((e) => e.state !== 'none').length;
  const bandHere = band ?? bandMostWaitedIn(c);
  const bandItems = c.items.filter((e) => (e.band ?? '') === bandHere);
  const standard = c.items.find((e) => e.identifier === chosen) ?? c.items.find((e) => (e.band ?? '') === bandHere) ?? c.items[0];
  return (
    <>
      <div className={`${panel.head} ${styles.top}`}>
        <h1>Coverage</h1>
        <select
          aria-label="Framework"
          value={c.framework}
          onChange={(e) => {
            setFramework(e.target.value);
            setChosen(null);
            setBand(null);
          }}
        >
          {(frameworks.data?.items ?? [{ id: c.framework, title: c.title }]).map((f) => (
            <option key={f.id} value={f.id}>
              {f.title}
            </option>
          ))}
          <option value="steps">Steps, by strand</option>
        </select>
        <select aria-label="Looked at" value={over} onChange={(e) => setOver(e.target.value)}>
          <option value="shelf">the whole shelf</option>
          <option value="term">what the term plays</option>
          {units.map((t) => (
            <option key={t} value={`unit:${t}`}>
              only “{t}”
            </option>
          ))}
        </select>
        <select aria-label="Without a bin" value={without} onChange={(e) => setWithout(e.target.value)}>
          <option value="">with every bin</option>
          {bins.data?.items.map((b) => (
            <option key={b.id} value={b.id}>
              without {b.title}
            </option>
          ))}
        </select>
        <span className={panel.spring} />
        <LinkButton href={addressOf('GET /coverage.csv', { query })} download>
          CSV
        </LinkButton>
        <LinkButton href={addressOf('GET /coverage.pdf', { query: { ...query, paper } })} download>
          Two pages (PDF)
        </LinkButton>
        <LinkButton href={link('/shelf')}>Back to the shelf</LinkButton>
      </div>
      <p className={styles.lead}>
        <b>{there}</b> of {c.items.length} expectations have a game; <b>{c.items.length - there}</b> have none
        {c.sessions !== null && ` in the ${c.sessions} ${c.sessions === 1 ? 'session' : 'sessions'} of the term, planned or played`}.
        {without !== '' && c.lost.length > 0 && ` Without this bin ${c.lost.length} lose their last: ${c.lost.join(', ')}.`}
        {without !== '' && c.lost.length === 0 && ' Without this bin nothing is lost.'}
      </p>
      {c.fromMemory && (
        <p className={panel.soft}>
          {bandItems.filter((e) => e.compared).length} of {bandItems.length} codes in {bandHere || 'this list'} are compared with your
          document, the others are from memory.{' '}
          {bandItems.some((e) => !e.compared) && (
            <Button
              kind="plain"
              onClick={() => compare.mutate({ identifiers: bandItems.filter((e) => !e.compared).map((e) => e.identifier), compared: true })}
            >
              I have compared all of {bandHere || 'them'}
            </Button>
          )}
        </p>
      )}
      <div className={styles.columns}>
        <CoverageFrame
          coverage={c}
          band={bandHere}
          chosen={standard?.identifier ?? null}
          onChoose={(e) => {
            setChosen(e.identifier);
            setBand(e.band ?? '');
          }}
        />
        {standard && (
          <OneStandard
            standard={standard}
            fromMemory={c.fromMemory}
            onCompared={(identifiers, compared) => compare.mutate({ identifiers, compared })}
          />
        )}
      </div>
      {c.framework !== 'steps' && <Pacing key={c.framework} coverage={c} />}
      <NextBest busy={take.isPending} onTake={(g) => take.mutate(g)} />
      <Holes
        items={c.items.filter((e) => (e.band ?? '') === bandHere && e.state === 'none')}
        band={bandHere}
        busy={take.isPending}
        onTake={(g) => take.mutate(g)}
        onBack={(g) => back.mutate(g)}
        onChoose={(e) => setChosen(e.identifier)}
      />
      {c.spare.length > 0 && over === 'shelf' && (
        <details className={panel.sheet}>
          <summary>
            {c.spare.length === 1 ? 'One game' : `${c.spare.length} games`} could be put away, each alone, and every expectation would still
            have two others
          </summary>
          <ul className={styles.missing}>
            {c.spare.slice(0, mostSpare).map((s) => (
              <li key={s.game}>
                <a href={link(`/shelf/${s.game}`)}>{s.title}</a>, {s.covers} {s.covers === 1 ? 'expectation' : 'expectations'}
              </li>
            ))}
            {c.spare.length > mostSpare && <li className={panel.soft}>and {c.spare.length - mostSpare} more that cover less</li>}
          </ul>
        </details>
      )}
      <p className={`${panel.soft} ${panel.small}`}>
        A game counts for an expectation where one of its versions gives at least two chances in ten minutes on a step that stands for it;
        calculated from the rules, or the owner’s word. A chance is not proof.
      </p>
    </>
  );
}

/** What is looked at, as it is asked for: the shelf, the term, or the games of one unit or season. */
const overOf = (over: string): { over?: 'term' | 'unit'; tag?: string } =>
  over.startsWith('unit:') ? { over: 'unit', tag: over.slice('unit:'.length) } : over === 'term' ? { over: 'term' } : {};

/** The band in whose holes most children wait; the first where nobody does. */
function bandMostWaitedIn({ bands, items }: CoverageWire): string {
  const waiting = (band: string): number =>
    items.filter((e) => (e.band ?? '') === band && e.state === 'none').reduce((sum, e) => sum + e.waiting.length, 0);
  return bands.reduce((x, y) => (waiting(y) > waiting(x) ? y : x), bands[0] ?? '');
}

/** Games that could be spared and are told by name. */
const mostSpare = 12;
