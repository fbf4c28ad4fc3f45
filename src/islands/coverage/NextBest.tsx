import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import styles from './coverage.module.css';

/** An amount of minutes, or of the owner's money, whatever money it is. */
const costWords = (cost: number, unit: 'minutes' | 'money'): string =>
  unit === 'money' ? (cost === 0 ? 'nothing' : cost.toFixed(2)) : `${cost} ${cost === 1 ? 'minute' : 'minutes'}`;

/** Steps that are told one by one. */
const mostMissing = 8;
const evenings = [15, 30, 60, 120] as const;

/** What one evening of preparing is best used for: games of the library that close most of what children wait for. */
export function NextBest({ busy, onTake }: { busy: boolean; onTake: (game: { game: string; title: string }) => void }) {
  const [minutes, setMinutes] = useState<number>(60);
  const [money, setMoney] = useState<number | null>(null);
  const asked = money === null ? { minutes } : { money };
  const next = useQuery({ queryKey: ['coverage', 'next', asked], queryFn: () => call('GET /coverage/next', { query: asked }) });
  const n = next.data;
  return (
    <section className={panel.sheet} aria-labelledby="next-best">
      <div className={panel.row}>
        <h2 id="next-best">Best use of one evening</h2>
        <div className={styles.evenings} role="group" aria-label="Minutes to prepare">
          {evenings.map((m) => (
            <button
              key={m}
              type="button"
              aria-pressed={money === null && m === minutes}
              onClick={() => {
                setMoney(null);
                setMinutes(m);
              }}
            >
              {m} min
            </button>
          ))}
        </div>
        <label>
          or for what is missing, at most{' '}
          <input
            type="number"
            min={0}
            step="1"
            className={styles.money}
            aria-label="Money for what is missing"
            placeholder="money"
            value={money ?? ''}
            onChange={(e) => setMoney(e.target.value === '' ? null : Number(e.target.value))}
          />
        </label>
      </div>
      {next.error && <p className={panel.bad}>{messageOf(next.error)}</p>}
      {!n && !next.error && <p role="status">Trying what goes together …</p>}
      {n && n.open === 0 && (
        <p>
          Nothing is open: for each of the eight things a child needs most there is a game, or there are no children yet.{' '}
          <LinkButton href={link('/learners')}>To the learners</LinkButton>
        </p>
      )}
      {n && n.open > 0 && (
        <>
          {n.chosen.length > 0 && (
            <p>
              <b>{n.covered}</b> of {n.open} open needs closed {n.unit === 'money' ? 'for' : 'in'} <b>{costWords(n.cost, n.unit)}</b>{' '}
              {n.unit === 'money' ? 'of things to buy' : 'of preparing'}.{' '}
              <span className={panel.soft}>
                {n.proven
                  ? `No other choice from the library does more ${n.unit === 'money' ? 'for that money' : 'in that time'}.`
                  : `Another choice could close at most ${n.atMost}.`}
              </span>
            </p>
          )}
          <ul className={styles.next}>
            {n.chosen.map((c) => (
              <li key={c.game}>
                <Button disabled={busy} onClick={() => onTake(c)}>
                  Take {c.title}
                </Button>
                <span>
                  <b>{costWords(c.cost, n.unit)}</b> · {c.closes.map((s) => `${s.title} for ${s.learners.join(', ')}`).join('; ')}
                </span>
              </li>
            ))}
          </ul>
          {n.missing.length > 0 && (
            <>
              <p>
                {n.chosen.length === 0 ? 'The library closes none of them' : 'The library does not close all of them'}: a game that you
                make, turn or buy would have to practise one of these.
              </p>
              <ul className={styles.missing}>
                {n.missing.slice(0, mostMissing).map((m) => (
                  <li key={m.skill}>
                    <b>{m.title}</b> for {m.learners.join(', ')}
                  </li>
                ))}
                {n.missing.length > mostMissing && <li className={panel.soft}>and {n.missing.length - mostMissing} more</li>}
              </ul>
              <LinkButton href={link('/shelf')}>Add a game of your own</LinkButton>
            </>
          )}
          {n.unit === 'money' && n.unpriced > 0 && (
            <p>
              {n.unpriced === 1 ? 'One game is' : `${n.unpriced} games are`} left out: nobody wrote down what a missing thing costs.{' '}
              <LinkButton href={link('/shelf/things')}>Write prices under Things</LinkButton>
            </p>
          )}
          <p className={`${panel.soft} ${panel.small}`}>
            A need is one of the eight steps a child needs most and is ready for, without a game of yours that gives it four chances in a
            round of fifteen minutes. Minutes are what the library says a game takes to prepare, three at least. Worked out exactly as a
            maximum coverage.
          </p>
        </>
      )}
    </section>
  );
}
