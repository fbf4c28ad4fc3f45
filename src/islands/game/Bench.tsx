import type { MechanismWire } from '../../contract/wire/families';
import type { VariantWire } from '../../contract/wire/shelf';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { wishes, type Wish } from '../../core/simulate/searchChanges';
import { usualSeats } from '../../core/simulate/usualSeats';
import { DEFAULT_TIME, type TimeModel } from '../../core/simulate/timeModel';
import { valueWords, wishWords } from '../../text/bench';
import { Button } from '../../ui/Button';
import { Loading, Progress } from '../../ui/Empty';
import { Field } from '../../ui/Field';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { useWriteKey } from '../shared/useWriteKey';
import styles from './bench.module.css';
import { ParameterInput } from './ParameterInput';
import { SideBySide } from './SideBySide';
import { cappedWorthSaying, endlessWords } from './measureRows';
import { useEstimate, useSearch } from './useBench';

const timeFields: readonly (readonly [keyof TimeModel, string])[] = [
  ['easySeconds', 'an easy fact'],
  ['hardSeconds', 'a fact that crosses a ten'],
  ['timesSeconds', 'a product'],
  ['fractionSeconds', 'a fraction'],
  ['lookSeconds', 'a look'],
  ['handlingSeconds', 'handling dice and cards, each turn'],
  ['choiceSeconds', 'choosing, each doubling of moves'],
];

/** Turn a number and see at once what becomes of the practice; keep it as a new version. */
export function Bench({
  variant,
  mechanism,
  skills,
  onSaved,
}: {
  variant: VariantWire;
  mechanism: MechanismWire;
  skills: Skills;
  onSaved: (id: string, change: string) => void;
}) {
  const base = { ...mechanism.example, ...variant.parameters };
  const [turned, setTurned] = useState<Record<string, unknown>>({});
  const [seats, setSeats] = useState(Math.min(mechanism.seats.max, usualSeats(variant.players)));
  const [title, setTitle] = useState('');
  const now = { ...base, ...turned };
  const changed = Object.keys(turned).filter((k) => JSON.stringify(turned[k]) !== JSON.stringify(base[k]));
  const old = useEstimate(variant.mechanism!, base, seats);
  const [time, setTime] = useState<Partial<TimeModel>>({});
  const live = useEstimate(variant.mechanism!, now, seats, time);
  const key = useWriteKey();
  const save = useMutation({
    mutationFn: () => {
      const own = Object.fromEntries(Object.entries(now).filter(([k, v]) => JSON.stringify(v) !== JSON.stringify(mechanism.example[k])));
      const minutes = Math.max(1, Math.round(Number(live.result?.minutes['0.5'] ?? variant.minutes)));
      return call('POST /variants', {
        body: {
          game: variant.game,
          title: title.trim(),
          mechanism: variant.mechanism,
          parameters: own,
          ages: variant.ages,
          players: variant.players,
          minutes,
          helper: variant.helper,
          room: variant.room,
          preparationMinutes: variant.preparationMinutes,
        },
        key,
      });
    },
    onSuccess: ({ id, change }) => {
      setTitle('');
      onSaved(id, change);
    },
  });
  return (
    <div className={styles.bench}>
      <section className={`${panel.sheet} ${styles.levers}`}>
        <h2>Its numbers and rules</h2>
        <Field label="Players">
          {(p) => (
            <input
              {...p}
              type="number"
              min={mechanism.seats.min}
              max={mechanism.seats.max}
              value={seats}
              onChange={(e) => setSeats(Math.min(mechanism.seats.max, Math.max(mechanism.seats.min, Number(e.target.value))))}
            />
          )}
        </Field>
        {Object.entries(mechanism.parametersSchema.properties).map(([name, schema]) => (
          <div key={name} className={changed.includes(name) ? styles.turned : ''}>
            <Field
              label={schema.title ?? name}
              {...(changed.includes(name) ? { hint: `was ${valueWords(base[name])}` } : {})}
              error={live.problem?.field === name ? live.problem.message : null}
            >
              {(p) => (
                <ParameterInput props={p} schema={schema} value={now[name]} onChange={(value) => setTurned({ ...turned, [name]: value })} />
              )}
            </Field>
          </div>
        ))}
        <details>
          <summary>Seconds at your table</summary>
          <p className={`${panel.soft} ${panel.small}`}>
            Common practice, no source; change them to your children’s pace. They count for “turned” only.
          </p>
          {timeFields.map(([name, label]) => (
            <Field key={name} label={label} error={live.problem?.field === `time.${name}` ? live.problem.message : null}>
              {(p) => (
                <input
                  {...p}
                  type="number"
                  min={0}
                  max={600}
                  step="any"
                  value={time[name] ?? DEFAULT_TIME[name]}
                  onChange={(e) => setTime({ ...time, [name]: Number(e.target.value) })}
                />
              )}
            </Field>
          ))}
        </details>
        {changed.length > 0 && <Button onClick={() => setTurned({})}>Back to the version as it is</Button>}
      </section>
      <div className={styles.benchMain}>
        {live.problem ? (
          <p className={panel.bad} role="alert">
            {live.problem.message}
          </p>
        ) : (
          <p className={panel.soft} role="status">
            {live.stale
              ? 'Playing …'
              : live.final
                ? 'Played to the end: as sharp as it gets here.'
                : 'A first estimate; it sharpens while you look.'}
          </p>
        )}
        {(live.result?.outcomes.capped ?? 0) > cappedWorthSaying && (
          <p className={panel.bad} role="alert">
            {endlessWords(live.result!.outcomes.capped)} Turn a number until it does.
          </p>
        )}
        {old.result ? (
          <SideBySide
            before={old.result}
            after={live.result}
            names={['as it is', changed.length > 0 ? 'turned' : 'the same']}
            skills={skills}
          />
        ) : (
          <Loading what="Playing the first games …" />
        )}
        <Wishes
          mechanism={variant.mechanism!}
          parameters={now}
          seats={seats}
          titles={mechanism}
          onTry={(parameter, value) => setTurned({ ...turned, [parameter]: value })}
        />
        <section className={panel.sheet}>
          <h2>Keep it as a version of its own</h2>
          <form
            className={panel.row}
            onSubmit={(e) => {
              e.preventDefault();
              save.mutate();
            }}
          >
            <Field label="Name of the new version">
              {(p) => <input {...p} value={title} onChange={(e) => setTitle(e.target.value)} required maxLength={80} />}
            </Field>
            <Button kind="main" type="submit" disabled={changed.length === 0 || !title.trim() || live.problem !== null || save.isPending}>
              Save as a new version
            </Button>
          </form>
          {changed.length === 0 && <p className={`${panel.soft} ${panel.small}`}>Turn at least one number first.</p>}
          {save.error && <p className={panel.bad}>{messageOf(save.error)}</p>}
        </section>
      </div>
    </div>
  );
}

/** "What would give more …?": three changes with their measured effect. */
function Wishes({
  mechanism,
  parameters,
  seats,
  titles,
  onTry,
}: {
  mechanism: string;
  parameters: Record<string, unknown>;
  seats: number;
  titles: MechanismWire;
  onTry: (parameter: string, value: unknown) => void;
}) {
  const search = useSearch();
  const [wish, setWish] = useState<Wish>('fewer-idle-turns');
  const [asked, setAsked] = useState<Wish | null>(null);
  const words = asked ? wishWords[asked] : null;
  const number = (n: number): string => (words?.share ? `${(n * 100).toFixed(1)} %` : n.toFixed(1));
  return (
    <section className={panel.sheet}>
      <h2>What would give …</h2>
      <div className={panel.row}>
        <select aria-label="A wish" value={wish} onChange={(e) => setWish(e.target.value as Wish)}>
          {wishes.map((w) => (
            <option key={w} value={w}>
              {wishWords[w].ask}
            </option>
          ))}
        </select>
        {search.share === null ? (
          <Button
            onClick={() => {
              setAsked(wish);
              search.start(mechanism, parameters, seats, wish);
            }}
          >
            Try all changes
          </Button>
        ) : (
          <>
            <Progress share={search.share} label="trying" />
            <Button onClick={search.stop}>Stop</Button>
          </>
        )}
      </div>
      {search.problem && <p className={panel.bad}>{search.problem.message}</p>}
      {search.changes?.length === 0 && <p>No single change helps with that beyond chance.</p>}
      {search.changes && search.changes.length > 0 && words && (
        <ol className={styles.wishes}>
          {search.changes.map((c) => (
            <li key={c.parameter}>
              <div>
                <b>
                  {titles.parametersSchema.properties[c.parameter]?.title ?? c.parameter}: {valueWords(c.value)}
                </b>
                <br />
                <span className={panel.soft}>
                  {number(c.before.mean)} → {number(c.after.mean)} ±{' '}
                  {words.share ? (c.after.standardError * 100).toFixed(1) : c.after.standardError.toFixed(1)} {words.unit};{' '}
                  {c.minutes.mean.toFixed(0)} minutes a game
                </span>
              </div>
              <Button onClick={() => onTry(c.parameter, c.value)}>Turn it</Button>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
