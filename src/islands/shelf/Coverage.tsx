import type { ProfileSummary } from '../../contract/wire/practice';
import { type KeyboardEvent, useRef, useState } from 'react';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import styles from './shelf.module.css';

const lineWidth = 244;
const widestStep = 17;
/** A dose below this is not practice. */
const leastDose = 2;

/** Skills × versions: how many versions practise each step; hollow means none. */
export function Coverage({
  skills,
  profiles,
  chosen,
  onChoose,
}: {
  skills: Skills;
  /** Null while they are not known. */
  profiles: readonly ProfileSummary[] | null;
  chosen: string | null;
  onChoose: (skill: string) => void;
}) {
  const section = useRef<HTMLElement>(null);
  const order = skills.strands.flatMap((s) => s.skills);
  const [at, setAt] = useState<string | null>(null);
  const stop = at ?? chosen ?? order[0];
  const count = new Map<string, number>();
  for (const p of profiles ?? [])
    for (const d of p.doses) if (d.perTenMinutes >= leastDose) count.set(d.skill, (count.get(d.skill) ?? 0) + 1);
  const holes = skills.list.filter((s) => !count.get(s.id)).length;
  /** One stop for all dots: arrows go along a line and from line to line. */
  function onKey(event: KeyboardEvent): void {
    const here = order.indexOf(stop ?? '');
    const line = skills.strands.findIndex((s) => s.skills.includes(stop ?? ''));
    const beside = (by: number): number => {
      const other = skills.strands[line + by];
      if (!other) return here;
      return order.indexOf(other.skills[Math.min(other.skills.length - 1, skills.strands[line]!.skills.indexOf(stop ?? ''))]!);
    };
    const to = { ArrowRight: here + 1, ArrowLeft: here - 1, ArrowDown: beside(1), ArrowUp: beside(-1), Home: 0, End: order.length - 1 }[
      event.key
    ];
    const next = to === undefined ? undefined : order[to];
    if (next === undefined) return;
    event.preventDefault();
    setAt(next);
    section.current?.querySelector<SVGGElement>(`[data-skill="${next}"]`)?.focus();
  }
  return (
    <section ref={section} className={`${panel.sheet} ${styles.coverage}`} aria-label="What the shelf covers" onKeyDown={onKey}>
      <h2>What the shelf covers</h2>
      <p className={`${panel.soft} ${panel.small}`}>Each dot is a step; the larger, the more versions practise it. Hollow: none.</p>
      {skills.strands.map((strand) => {
        const step = Math.min(widestStep, lineWidth / strand.skills.length);
        return (
          <div key={strand.id} className={styles.strand}>
            <span style={{ color: `var(--strand-${strand.hue})` }}>{strand.title}</span>
            <svg width={strand.skills.length * step + 6} height="20">
              <path d={`M6 10H${strand.skills.length * step - 8}`} stroke={`var(--strand-${strand.hue})`} strokeWidth="1.5" />
              {strand.skills.map((id, i) => {
                const n = count.get(id) ?? 0;
                const r = n === 0 ? 4.5 : Math.min(step / 2 - 0.5, 3 + n * 0.9);
                return (
                  <g
                    key={id}
                    role="button"
                    tabIndex={id === stop ? 0 : -1}
                    data-skill={id}
                    onFocus={() => setAt(id)}
                    aria-pressed={chosen === id}
                    aria-label={`${skills.title(id)}: ${n} versions`}
                    className={styles.dot}
                    onClick={() => onChoose(id)}
                    onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), onChoose(id))}
                  >
                    <rect x={i * step} y="0" width={step} height="20" fill="transparent" />
                    <circle
                      cx={8 + i * step}
                      cy="10"
                      r={r}
                      fill={n === 0 ? 'var(--sheet)' : `var(--strand-${strand.hue})`}
                      stroke={n === 0 ? 'var(--vermilion)' : chosen === id ? 'var(--ink)' : 'none'}
                      strokeWidth="2"
                    />
                    <title>{`${skills.title(id)}: ${n} versions`}</title>
                  </g>
                );
              })}
            </svg>
          </div>
        );
      })}
      <p className={panel.small}>
        {profiles === null ? 'Counting …' : null}
        <b className={panel.num} hidden={profiles === null}>
          {holes}
        </b>{' '}
        of {skills.list.length} steps have no game yet. Choose a dot to see its games.
      </p>
    </section>
  );
}
