import panel from '../shared/panel.module.css';
import type { EvidenceWire } from '../shared/types';
import { signOf } from '../shared/words';
import styles from './learner.module.css';

/** Facts that people noted, right or missed; nothing simulated. */
export function FactsSeen({ evidence }: { evidence: readonly EvidenceWire[] }) {
  const facts = new Map<string, { text: string; right: number; missed: number }>();
  for (const e of evidence)
    if (!e.retracted)
      for (const i of e.items) {
        const text = `${i.a} ${signOf[i.op] ?? i.op} ${i.b}`;
        const known = facts.get(text) ?? { text, right: 0, missed: 0 };
        if (i.correct) known.right++;
        else known.missed++;
        facts.set(text, known);
      }
  if (facts.size === 0) return null;
  return (
    <section className={panel.sheet}>
      <h2>Facts noted</h2>
      <p className={panel.row}>
        {[...facts.values()].map((f) => (
          <span key={f.text} className={f.missed > 0 ? styles.missed : styles.right}>
            {f.text}
            {f.missed > 0 && <small> practise again{f.missed > 1 ? ` (${f.missed}×)` : ''}</small>}
          </span>
        ))}
      </p>
    </section>
  );
}
