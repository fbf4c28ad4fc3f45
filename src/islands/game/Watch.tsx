import type { MechanismWire } from '../../contract/wire/families';
import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { StoryEvent } from '../../core/simulate/storyLog';
import { itemText, toldText } from '../../text/itemText';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { finished } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import styles from './bench.module.css';
import { useHowTo } from './useHowTo';

interface Turn {
  readonly seat: number;
  readonly options: number;
  readonly events: readonly StoryEvent[];
}

/** One simulated game, turn by turn, in plain words: how a newcomer learns the rules. */
export function Watch({ variant, mechanism }: { variant: VariantWire; mechanism: MechanismWire }) {
  const seats = Math.min(variant.players.max, mechanism.seats.max, Math.max(variant.players.min, 2));
  const [game, setGame] = useState(1);
  const [at, setAt] = useState(0);
  const list = useRef<HTMLOListElement>(null);
  const story = useQuery({
    queryKey: ['story', variant.id, variant.version, seats, game],
    queryFn: () =>
      finished('POST /stories', { body: { mechanism: variant.mechanism!, parameters: variant.parameters, seats, seed: 7, game } }),
  });
  const howTo = useHowTo(variant).data?.howTo;
  const turns = useMemo(() => (story.data ? turnsOf(story.data.events) : []), [story.data]);
  const shown = Math.min(at, Math.max(0, turns.length - 1));
  useEffect(() => {
    list.current?.querySelector('[aria-current="step"]')?.scrollIntoView({ block: 'nearest' });
  }, [shown]);
  if (story.error) return <Failure message={messageOf(story.error)} />;
  if (!story.data) return <Loading what="Playing one game …" />;
  const s = story.data;
  const fractions = s.events.some((e) => e.kind === 'item' && e.item.op.includes('fraction'));
  const over = shown === turns.length - 1;
  const step = (by: number): void => setAt(Math.min(turns.length - 1, Math.max(0, shown + by)));
  return (
    <div
      className={styles.watch}
      onKeyDown={(e) => {
        if (e.key === 'ArrowRight' || e.key === 'ArrowDown') step(1);
        else if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') step(-1);
        else if (e.key === 'Home') setAt(0);
        else if (e.key === 'End') setAt(turns.length - 1);
        else return;
        e.preventDefault();
      }}
    >
      <section className={panel.sheet}>
        <div className={panel.row}>
          <Button onClick={() => step(-1)} disabled={shown === 0}>
            Turn back
          </Button>
          <Button kind="main" onClick={() => step(1)} disabled={over}>
            Next turn
          </Button>
          <Button onClick={() => setAt(turns.length - 1)} disabled={over}>
            To the end
          </Button>
          <span className={panel.spring} />
          <Button
            onClick={() => {
              setGame(game + 1);
              setAt(0);
            }}
          >
            Another game
          </Button>
        </div>
        <p className={panel.soft} aria-live="polite">
          Turn {shown + 1} of {turns.length} · simulated game {game} of {seats} typical {seats === 1 ? 'player' : 'players'}, about{' '}
          {s.minutes.toFixed(0)} minutes at a table. Arrow keys step.
        </p>
        <ol ref={list} className={styles.story} tabIndex={0} aria-label="Turns">
          {turns.slice(0, shown + 1).map((t, i) => (
            <li key={i} {...(i === shown ? { 'aria-current': 'step' as const } : {})}>
              <span className={styles.player}>Player {t.seat + 1}</span>
              <div>
                {t.events.map((e, j) =>
                  e.kind === 'told' ? (
                    <p key={j}>
                      {e.seat !== t.seat ? `Player ${e.seat + 1} ` : ''}
                      {toldText(mechanism.told[e.sentence] ?? '', e.x, e.y, fractions)}
                    </p>
                  ) : e.kind === 'item' ? (
                    <p key={j} className={styles.met}>
                      {e.seat !== t.seat ? `Player ${e.seat + 1}: ` : ''}
                      {itemText(e.item)}
                    </p>
                  ) : null,
                )}
                {t.options === 0 && <p className={panel.soft}>nothing to do this turn</p>}
                {t.options > 1 && <p className={`${panel.soft} ${panel.small}`}>had {t.options} moves to choose from</p>}
              </div>
            </li>
          ))}
        </ol>
        {over && (
          <p>
            <b>
              {s.winner >= 0
                ? seats === 1
                  ? 'Done.'
                  : `Player ${s.winner + 1} ends ahead.`
                : 'Nobody ends ahead: all together, or a tie.'}
            </b>{' '}
            {s.scores.some((x) => x !== 0) && `Scores: ${s.scores.map((x) => Number(x.toFixed(1))).join(', ')}.`}
          </p>
        )}
      </section>
      <section className={panel.sheet}>
        <h2>How it is played</h2>
        <ol className={styles.rules}>
          {(howTo ? [...howTo.setUp, ...howTo.turn, ...howTo.scoring, howTo.end] : mechanism.words).map((w) => (
            <li key={w}>{w}</li>
          ))}
        </ol>
        <h2 className={styles.second}>When time is up</h2>
        <p>{mechanism.earlyEnding}</p>
        <p className={`${panel.soft} ${panel.small}`}>In brackets stands what the player had to find.</p>
      </section>
    </div>
  );
}

/** Events grouped by turn; what a seat meets just before its turn is counted belongs to that turn. */
function turnsOf(events: readonly StoryEvent[]): Turn[] {
  const turns: { seat: number; options: number; events: StoryEvent[] }[] = [];
  let pending: StoryEvent[] = [];
  for (const e of events) {
    const last = turns[turns.length - 1];
    if (e.kind === 'turn') {
      last?.events.push(...pending.filter((p) => p.seat !== e.seat));
      turns.push({ seat: e.seat, options: e.options, events: pending.filter((p) => p.seat === e.seat || !last) });
      pending = [];
    } else if (last?.seat === e.seat) last.events.push(e);
    else pending.push(e);
  }
  turns[turns.length - 1]?.events.push(...pending);
  return turns;
}
