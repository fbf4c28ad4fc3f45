import type { EvidenceWire } from '../../contract/wire/learners';
import { type Fact, mixFacts } from '../../core/print/mixFacts';
import { operationWords, operationHue } from '../../text/itemText';
import { ObservedGrid, type ObservedCell } from '../../ui/charts/ObservedGrid';
import panel from '../shared/panel.module.css';
import { OwnCards } from './OwnCards';
import { signOf } from '../shared/words';
import styles from './learner.module.css';

/** Right so often in a row, the last times, counts as secure. */
const secureFrom = 3;
/** Facts up to here fit a grid; larger ones are named in a list. */
const gridMost = 12;
/** A grid has one of these widths, so that neighbours look alike. */
const gridSizes = [5, 10, gridMost] as const;
/** The four operations in the order they are learned, with what their axes count. */
const grids = [
  ['add', 'one number', 'the other'],
  ['subtract', 'taken away', 'what is left'],
  ['multiply', 'one number', 'the other'],
  ['divide', 'shared by', 'each gets'],
] as const;

/** Facts that fill up a set where few are known yet. */
const small = [1, 2, 3].flatMap((b) => [1, 2, 3, 4, 5, 6].map((a): Fact => [a, b]));
const easy: Readonly<Record<(typeof grids)[number][0], readonly Fact[]>> = {
  add: small,
  subtract: small.map(([a, b]): Fact => [a + b, b]),
  multiply: small,
  divide: small.map(([a, b]): Fact => [a * b, b]),
};

/** Facts that people noted, right or missed; nothing simulated. */
export function FactsSeen({ evidence, nickname }: { evidence: readonly EvidenceWire[]; nickname: string }) {
  const facts = new Map<string, { op: string; a: number; b: number; answers: boolean[] }>();
  const inOrder = [...evidence].filter((e) => !e.retracted).sort((x, y) => (x.at < y.at ? -1 : 1));
  for (const e of inOrder)
    for (const i of e.items) {
      // A sum and a product are the same fact either way round.
      const turned = (i.op === 'add' || i.op === 'multiply') && i.a < i.b;
      const [a, b] = turned ? [i.b, i.a] : [i.a, i.b];
      const key = `${i.op}|${a}|${b}`;
      const known = facts.get(key) ?? { op: i.op, a, b, answers: [] };
      known.answers.push(i.correct);
      facts.set(key, known);
    }
  if (facts.size === 0) return null;
  const cells = [...facts.values()].map((f): ObservedCell & { op: string } => {
    const right = f.answers.filter(Boolean).length;
    const last = f.answers.slice(-secureFrom);
    const state = !f.answers.at(-1) ? 'missed' : last.length >= secureFrom && last.every(Boolean) ? 'secure' : 'seen';
    return {
      op: f.op,
      x: f.op === 'subtract' || f.op === 'divide' ? f.b : f.a,
      y: f.op === 'subtract' ? f.a - f.b : f.op === 'divide' ? f.a / f.b : f.b,
      state,
      text: `${f.a} ${signOf[f.op] ?? f.op} ${f.b}: right ${right} of ${f.answers.length}`,
    };
  });
  const missed = [...facts.values()].filter((f) => !f.answers.at(-1));
  return (
    <section className={panel.sheet}>
      <h2>Facts noted</h2>
      <div className={styles.grids}>
        {grids.map(([op, across, up]) => {
          const here = cells.filter((c) => c.op === op && c.x <= gridMost && c.y <= gridMost);
          if (here.length === 0) return null;
          const reach = Math.max(...here.map((c) => Math.max(c.x, c.y)));
          return (
            <figure key={op}>
              <figcaption>{operationWords[op]}</figcaption>
              <ObservedGrid
                cells={here}
                hue={`var(--strand-${operationHue(op)})`}
                label={`Facts noted, ${operationWords[op]}`}
                axes={[across, up]}
                most={gridSizes.find((n) => n >= reach) ?? gridMost}
              />
            </figure>
          );
        })}
      </div>
      <p className={`${panel.soft} ${panel.small}`}>
        Full: right the last three times. Ring: seen right. Cross: missed the last time. Empty: nobody noted it. From{' '}
        {inOrder.filter((e) => e.items.length > 0).length} notes and sheets; nothing here is calculated.
      </p>
      {missed.length > 0 && (
        <p>
          <b>Practise again:</b>{' '}
          {missed.map((f) => (
            <span key={`${f.op}${f.a}${f.b}`} className={styles.missed}>
              {f.a} {signOf[f.op] ?? f.op} {f.b}
            </span>
          ))}
        </p>
      )}
      {grids.map(([op]) => {
        const own = [...facts.values()].filter((f) => f.op === op);
        // Missed ones first, then those that were right too seldom to be sure of.
        const practise = [
          ...own.filter((f) => !f.answers.at(-1)),
          ...own.filter((f) => f.answers.at(-1) && f.answers.length < secureFrom),
        ].map((f): Fact => [f.a, f.b]);
        if (practise.length === 0) return null;
        const known = own.filter((f) => f.answers.at(-1) && f.answers.length >= secureFrom).map((f): Fact => [f.a, f.b]);
        const only = mixFacts(practise, known, easy[op]);
        const wanted = new Set(practise.map((f) => f.join()));
        return (
          <OwnCards
            key={op}
            learner={nickname}
            operation={op}
            title={operationWords[op]}
            only={only}
            practise={only.filter((f) => wanted.has(f.join()))}
          />
        );
      })}
    </section>
  );
}
