import type { HowToWire } from '../../contract/wire/howTo';
import type { ReactNode } from 'react';
import styles from './howTo.module.css';
import panel from './panel.module.css';

const who: Readonly<Record<HowToWire['presence']['is'], string>> = {
  alone: 'Children play alone.',
  nearby: 'A grown-up nearby',
  needed: 'A grown-up at the table',
};

/** Who has to be there, and what for. */
export const presenceText = (p: HowToWire['presence']): string =>
  p.for === '' ? who[p.is].replace(/\.$/, '') + '.' : `${who[p.is].replace(/\.$/, '')}: ${p.for}.`;

/** How one version is played, for somebody who has never seen it: all of it on at most twelve lines. */
export function HowToPlay({
  howTo,
  story,
  own = [],
  pictures,
}: {
  howTo: HowToWire;
  story?: string | undefined;
  own?: readonly string[];
  /** The three drawings, or what opens them where room is scarce. */
  pictures: ReactNode;
}) {
  return (
    <div className={styles.howTo}>
      {story && <p className={styles.story}>{story}</p>}
      {pictures}
      <dl className={styles.lines}>
        <dt>You need</dt>
        <dd>{howTo.needs.join('; ') || 'nothing to lay out'}</dd>
        <Lines title="Set up" lines={howTo.setUp} />
        <Lines title="A turn" lines={howTo.turn} numbered />
        <Lines title="Scoring" lines={howTo.scoring} />
        <Lines title="The end" lines={[howTo.end]} />
        <Lines title="Time is up" lines={[howTo.timeUp]} />
        <Lines title="House rules" lines={own} />
      </dl>
      <Helping howTo={howTo} />
    </div>
  );
}

/** What a helper says and does beside the rules. */
export function Helping({ howTo }: { howTo: HowToWire }) {
  return (
    <p className={`${styles.helping} ${panel.small}`}>
      <b>{presenceText(howTo.presence)}</b> Ask: “{howTo.ask}” Stuck? {howTo.tool} Still stuck? {howTo.smaller}
    </p>
  );
}

function Lines({ title, lines, numbered }: { title: string; lines: readonly string[]; numbered?: boolean }) {
  if (lines.length === 0) return null;
  return (
    <>
      <dt>{title}</dt>
      {lines.length === 1 ? (
        <dd>{lines[0]}</dd>
      ) : (
        <dd>
          {numbered ? (
            <ol>
              {lines.map((l) => (
                <li key={l}>{l}</li>
              ))}
            </ol>
          ) : (
            lines.map((l) => <p key={l}>{l}</p>)
          )}
        </dd>
      )}
    </>
  );
}
