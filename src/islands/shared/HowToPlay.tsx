import type { HowToWire } from '../../contract/wire/howTo';
import { Drawing } from '../../ui/drawing/Drawing';
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

/** Three drawings with the words a helper says to them, for children who do not read yet. */
export function PictureSteps({ howTo }: { howTo: HowToWire }) {
  return (
    <ol className={styles.pictures}>
      {howTo.pictures.map((p) => (
        <li key={p.say}>
          <Drawing picture={p.picture} />
          <span>{p.say}</span>
        </li>
      ))}
    </ol>
  );
}

/** How one version is played, for somebody who has never seen it: all of it on at most twelve lines. */
export function HowToPlay({
  howTo,
  story,
  own = [],
  folded = false,
}: {
  howTo: HowToWire;
  story?: string | undefined;
  own?: readonly string[];
  /** Pictures wait until they are asked for, where room is scarce. */
  folded?: boolean;
}) {
  return (
    <div className={styles.howTo}>
      {story && <p className={styles.story}>{story}</p>}
      {folded ? (
        <details>
          <summary>In three pictures</summary>
          <PictureSteps howTo={howTo} />
        </details>
      ) : (
        <PictureSteps howTo={howTo} />
      )}
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
