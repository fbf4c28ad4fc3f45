import type { CoveredWire } from '../../contract/wire/coverage';
import { useQuery } from '@tanstack/react-query';
import { call, link } from '../shared/api';
import { GapHelp } from '../learner/GapHelp';
import { ThingNeed } from '../things/ThingNeed';
import panel from '../shared/panel.module.css';
import { StandardMark, stateWords } from './StandardMark';
import styles from './coverage.module.css';

/** One expectation: its words, how far it has come, its best games. */
export function OneStandard({
  standard: e,
  fromMemory,
  onCompared,
}: {
  standard: CoveredWire;
  fromMemory: boolean;
  onCompared: (identifiers: readonly string[], compared: boolean) => void;
}) {
  const kinds = useQuery({
    queryKey: ['kinds'],
    queryFn: () => call('GET /kinds', { query: { limit: 5000 } }),
    enabled: e.lacking.length > 0,
  });
  return (
    <aside className={`${panel.sheet} ${styles.one}`} aria-live="polite">
      <h2>{e.code}</h2>
      <p>{e.statement}</p>
      {fromMemory && (
        <label className={e.compared ? styles.compared : styles.memory}>
          <input type="checkbox" checked={e.compared} onChange={(x) => onCompared([e.identifier], x.target.checked)} />{' '}
          {e.compared
            ? 'compared with my document; the words are ours'
            : 'code from memory; tick it when you have compared it with your document'}
        </label>
      )}
      <p>
        <StandardMark state={e.state} waited={e.waiting.length > 0} /> {stateWords[e.state]}; {e.stepsWithGame} of {e.steps}{' '}
        {e.steps === 1 ? 'step has' : 'steps have'} a game
      </p>
      {e.games.length > 0 && (
        <>
          <h3>{e.gamesInAll === 1 ? 'Its only game' : `Best of ${e.gamesInAll} games`}</h3>
          <ul className={panel.list}>
            {e.games.map((g) => (
              <li key={g.variant}>
                <a href={link(`/shelf/${g.game}?version=${g.variant}`)}>{g.title}</a> <span className={panel.soft}>{g.variantTitle}</span>
                <p className={`${panel.soft} ${panel.small}`}>
                  about {Math.round(g.dose)} chances in ten minutes for “{g.skill.toLowerCase()}”
                </p>
              </li>
            ))}
          </ul>
        </>
      )}
      {e.lacking.length > 0 && (
        <>
          <p className={panel.bad}>None of its games can be laid out now:</p>
          <ul className={panel.list}>
            {e.lacking.map((g) => (
              <li key={g.game}>
                {g.title} lacks{' '}
                {g.missing.map((m) => {
                  const kind = kinds.data?.items.find((k) => k.id === m.kind);
                  return <ThingNeed key={m.kind} id={m.kind} kind={kind} quantity={m.short + (kind?.quantity ?? 0)} />;
                })}
              </li>
            ))}
          </ul>
        </>
      )}
      {e.lacks.map((skill) => (
        <GapHelp key={skill} skill={skill} who={null} barred={null} />
      ))}
      {e.waiting.length > 0 && (
        <p>
          Ready for it now:{' '}
          {e.waiting.map((l, i) => (
            <span key={l.learner}>
              {i > 0 && ', '}
              <a href={link(`/learners/${l.learner}`)}>{l.nickname}</a>
            </span>
          ))}
        </p>
      )}
    </aside>
  );
}
