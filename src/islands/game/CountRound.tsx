import type { VariantWire } from '../../contract/wire/shelf';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { countRound, type CountedSum } from '../../core/content/countRound';
import { shippedGraph } from '../../contract/shippedData';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { DoseBars } from '../../ui/charts/DoseBars';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import styles from './questions.module.css';

const signs: Readonly<Record<CountedSum['op'], string>> = { add: '+', subtract: '−', multiply: '×', divide: '÷', compare: '≷', count: '#' };
const barsShown = 6;
/** Below so many answers a count says little. */
const fewAnswers = 20;

/** Thumb in each sum met at a real table; a profile comes of it, with its n. */
export function CountRound({
  variant,
  skills,
  onClose,
  onSaved,
}: {
  variant: VariantWire;
  skills: Skills;
  onClose: () => void;
  onSaved: (id: string, change: string) => void;
}) {
  const [sums, setSums] = useState<readonly CountedSum[]>([]);
  const [op, setOp] = useState<CountedSum['op']>('add');
  const [a, setA] = useState('');
  const [b, setB] = useState('');
  const [players, setPlayers] = useState(Math.max(1, variant.players.min));
  const [minutes, setMinutes] = useState(10);
  const doses = useMemo(
    () => (players > 0 && minutes > 0 ? countRound(shippedGraph(), sums, players, minutes) : []),
    [sums, players, minutes],
  );
  const save = useMutation({
    mutationFn: () => call('PATCH /variants/{id}', { params: { id: variant.id }, body: { declared: doses, version: variant.version } }),
    onSuccess: ({ id, change }) => onSaved(id, change),
  });
  const add = (): void => {
    const [x, y] = [Number(a), op === 'count' ? 0 : Number(b)];
    if (a === '' || (op !== 'count' && b === '') || !Number.isInteger(x) || !Number.isInteger(y)) return;
    setSums([...sums, { op, a: x, b: y }]);
    setA('');
    setB('');
    document.getElementById('count-a')?.focus();
  };
  return (
    <Dialog title={`Count one round: ${variant.title}`} onClose={onClose} wide>
      <div className={panel.grid2}>
        <div>
          <p>Watch one table. For every sum a child works out, tap it in; Enter adds it.</p>
          <form
            className={styles.counting}
            onSubmit={(e) => {
              e.preventDefault();
              add();
            }}
          >
            <input id="count-a" inputMode="numeric" aria-label="First number" value={a} onChange={(e) => setA(e.target.value)} />
            <div className={styles.signs} role="group" aria-label="What was done">
              {(Object.keys(signs) as CountedSum['op'][]).map((o) => (
                <button key={o} type="button" aria-pressed={o === op} aria-label={o} onClick={() => setOp(o)}>
                  {signs[o]}
                </button>
              ))}
            </div>
            {op !== 'count' && <input inputMode="numeric" aria-label="Second number" value={b} onChange={(e) => setB(e.target.value)} />}
            <Button kind="main" type="submit">
              Add
            </Button>
          </form>
          <p aria-live="polite">
            <span className={panel.big}>{sums.length}</span> counted{' '}
            {sums.length > 0 && (
              <Button kind="plain" onClick={() => setSums(sums.slice(0, -1))}>
                take back {sums[sums.length - 1]!.a} {signs[sums[sums.length - 1]!.op]}{' '}
                {sums[sums.length - 1]!.op === 'count' ? '' : sums[sums.length - 1]!.b}
              </Button>
            )}
          </p>
          <div className={panel.grid2}>
            <Field label="Children at the table">
              {(p) => <input {...p} type="number" min={1} max={30} value={players} onChange={(e) => setPlayers(Number(e.target.value))} />}
            </Field>
            <Field label="Minutes watched">
              {(p) => <input {...p} type="number" min={1} max={120} value={minutes} onChange={(e) => setMinutes(Number(e.target.value))} />}
            </Field>
          </div>
        </div>
        <div>
          {doses.length === 0 ? (
            <p className={panel.soft}>What was counted shows here as practice in ten minutes.</p>
          ) : (
            <>
              <DoseBars
                bars={doses.slice(0, barsShown).map((d) => ({
                  id: d.skill,
                  title: skills.title(d.skill),
                  hue: skills.strandOf(d.skill)?.hue ?? 'slate',
                  value: d.perTenMinutes,
                  error: d.perTenMinutes / Math.sqrt(d.counted),
                }))}
                declared
              />
              <p className={`${panel.soft} ${panel.small}`}>
                Counted at a table: {sums.length} answers of {players} in {minutes} minutes; whiskers ± √n.
                {sums.length < fewAnswers ? ' So few say little yet: count on.' : ''}
              </p>
            </>
          )}
        </div>
      </div>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (doses.length > 0) save.mutate();
        }}
      >
        {save.error && <p className={panel.bad}>{messageOf(save.error)}</p>}
        <FormActions onLeave={onClose} busy={save.isPending} />
      </form>
    </Dialog>
  );
}
