import type { VariantWire } from '../../contract/wire/shelf';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { ShareBar } from '../../ui/charts/ShareBar';
import { finished } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';

const fills = ['var(--teal)', 'var(--lamp)', 'var(--strand-indigo)', 'var(--strand-plum)', 'var(--strand-moss)', 'var(--strand-slate)'];
const mostPlayers = 6;
/** Chances further apart than this are called uneven. */
const uneven = 0.08;

/** One table, each player at an own version: who wins how often, and what head start evens it. */
export function MixedTable({ variant, others }: { variant: VariantWire; others: readonly VariantWire[] }) {
  const same = others.filter((v) => v.mechanism === variant.mechanism);
  const [seats, setSeats] = useState<readonly string[]>([variant.id, same.find((v) => v.id !== variant.id)?.id ?? variant.id]);
  const ask = useMutation({
    mutationFn: () =>
      finished('POST /fairness', {
        query: { wait: 30 },
        body: {
          mechanism: variant.mechanism!,
          parameters: {},
          seats: seats.map((id) => ({ parameters: same.find((v) => v.id === id)!.parameters })),
          seed: 7,
        },
      }),
  });
  if (same.length < 2 || variant.players.max < 2) return null;
  const f = ask.data?.fairness;
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  const even = f ? f.wins.every((w) => Math.abs(w.mean - f.wins.reduce((sum, x) => sum + x.mean, 0) / f.wins.length) < uneven) : false;
  return (
    <section className={panel.sheet}>
      <h2>A mixed table</h2>
      {seats.map((id, i) => (
        <p key={i} className={panel.row}>
          <label>
            Player {i + 1}{' '}
            <select value={id} onChange={(e) => setSeats(seats.map((s, j) => (j === i ? e.target.value : s)))}>
              {same.map((v) => (
                <option key={v.id} value={v.id}>
                  {v.title}
                </option>
              ))}
            </select>
          </label>
        </p>
      ))}
      <div className={panel.row}>
        {seats.length < Math.min(mostPlayers, variant.players.max) && (
          <Button onClick={() => setSeats([...seats, variant.id])}>One more</Button>
        )}
        {seats.length > 2 && <Button onClick={() => setSeats(seats.slice(0, -1))}>One fewer</Button>}
        <Button onClick={() => ask.mutate()} disabled={ask.isPending}>
          {ask.isPending ? 'Playing …' : 'Who would win?'}
        </Button>
      </div>
      {ask.error && <p className={panel.bad}>{messageOf(ask.error)} Players of one table must share it.</p>}
      {ask.data && !f && <p>Nobody plays against another here.</p>}
      {f && (
        <>
          <ShareBar
            label="Chance to win"
            shares={f.wins.map((w, i) => ({
              title: `player ${i + 1}`,
              share: w.mean,
              error: w.standardError,
              fill: fills[i % fills.length]!,
            }))}
          />
          {f.handicap ? (
            <p>
              To even it, give player {f.handicap.seat + 1} {f.handicap.headStart} {f.handicap.unit}: from {percent(f.handicap.before.mean)}{' '}
              to {percent(f.handicap.after.mean)} ± {(f.handicap.after.standardError * 100).toFixed(0)} of games.
            </p>
          ) : (
            <p>
              {even
                ? 'A fair chance for everyone as it is.'
                : 'No head start evens this table; play together, or let the stronger take the harder version.'}
            </p>
          )}
          <p className={`${panel.soft} ${panel.small}`}>
            Calculated from the rules: {f.games.toLocaleString('en')} simulated games for each question.
          </p>
        </>
      )}
    </section>
  );
}
