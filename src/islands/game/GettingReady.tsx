import type { VariantWire } from '../../contract/wire/shelf';
import { prepSorts } from '../../core/materials/gettingReady';
import { prepWords } from '../../text/sentences';
import { Button } from '../../ui/Button';
import panel from '../shared/panel.module.css';
import styles from './game.module.css';

type Steps = VariantWire['steps'];
type Uses = VariantWire['uses'];

/** What is to be done once before it can be played, step by step, and what is used up by it. */
export function GettingReady({
  steps,
  uses,
  onSteps,
  onUses,
}: {
  steps: Steps;
  uses: Uses;
  onSteps: (steps: Steps) => void;
  onUses: (uses: Uses) => void;
}) {
  const step = (i: number, part: Partial<Steps[number]>): void => onSteps(steps.map((s, j) => (j === i ? { ...s, ...part } : s)));
  const use = (i: number, part: Partial<Uses[number]>): void => onUses(uses.map((u, j) => (j === i ? { ...u, ...part } : u)));
  const number = (text: string): number => Number(text.replace(',', '.')) || 0;
  return (
    <fieldset className={styles.fieldset}>
      <legend>Getting it ready, once</legend>
      {steps.map((s, i) => (
        <div key={i} className={panel.row}>
          <select aria-label={`Step ${i + 1}`} value={s.sort} onChange={(e) => step(i, { sort: e.target.value as Steps[number]['sort'] })}>
            {prepSorts.map((sort) => (
              <option key={sort} value={sort}>
                {prepWords[sort]}
              </option>
            ))}
          </select>
          <input
            aria-label={`What step ${i + 1} is`}
            maxLength={200}
            placeholder="two sheets of cards"
            value={s.what}
            onChange={(e) => step(i, { what: e.target.value })}
          />
          <input
            type="number"
            min={0}
            max={1000}
            aria-label={`Minutes of step ${i + 1}`}
            value={s.minutes}
            onChange={(e) => step(i, { minutes: number(e.target.value) })}
          />
          <span>min</span>
          <Button kind="plain" onClick={() => onSteps(steps.filter((_, j) => j !== i))}>
            remove
          </Button>
        </div>
      ))}
      <Button kind="plain" disabled={steps.length >= 20} onClick={() => onSteps([...steps, { sort: 'print', what: '', minutes: 5 }])}>
        add a step
      </Button>
      {uses.map((u, i) => (
        <div key={i} className={panel.row}>
          <input
            type="number"
            min={0}
            aria-label={`How many of what is used up, ${i + 1}`}
            value={u.quantity}
            onChange={(e) => use(i, { quantity: number(e.target.value) })}
          />
          <input
            aria-label={`What is used up, ${i + 1}`}
            maxLength={120}
            placeholder="sheets of card"
            value={u.what}
            onChange={(e) => use(i, { what: e.target.value })}
          />
          <input
            type="number"
            min={0}
            step="0.01"
            aria-label={`What it costs, ${i + 1}`}
            placeholder="cost"
            value={u.cost ?? ''}
            onChange={(e) => use(i, { cost: e.target.value === '' ? null : number(e.target.value) })}
          />
          <Button kind="plain" onClick={() => onUses(uses.filter((_, j) => j !== i))}>
            remove
          </Button>
        </div>
      ))}
      <Button kind="plain" disabled={uses.length >= 20} onClick={() => onUses([...uses, { what: '', quantity: 1, cost: null }])}>
        add what is used up
      </Button>
    </fieldset>
  );
}
