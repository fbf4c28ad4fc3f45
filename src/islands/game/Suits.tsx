import type { SuitsWire } from '../../contract/wire/practice';
import type { VariantWire } from '../../contract/wire/shelf';
import { Fragment, useState } from 'react';
import { Button } from '../../ui/Button';
import { link } from '../shared/api';
import panel from '../shared/panel.module.css';
import { MakeItFit } from '../fit/MakeItFit';
import { useSuits } from './useSuits';
import styles from './suits.module.css';

/** Practice is neither dull nor hopeless from 70 to 90 % (common practice, no source). */
const band = [0.7, 0.9] as const;
const width = 240;
const x = (share: number): number => share * width;

/** Neither dull nor hopeless, and nothing speaks against it. */
export const isJustRight = (s: SuitsWire): boolean => verdict(s) === 'just right';

function verdict(s: SuitsWire): string {
  if (s.because === 'needs') return `first: ${s.missing!.toLowerCase()}`;
  if (s.because === 'too-hard') return 'too much at once just now';
  if (s.because === 'accommodation') return 'not as it is; see what games should allow for';
  if (s.because === 'age') return 'not now';
  if (s.success < band[0]) return 'with a tool or somebody beside';
  return s.success > band[1] ? 'easy; good for playing again' : 'just right';
}

/** How the version would go for each learner today: in the order of their names, never a ranking. */
export function Suits({ variant }: { variant: VariantWire }) {
  const [asked, setAsked] = useState<{ readonly learner: string; readonly direction: 'easier' | 'harder' } | null>(null);
  const suits = useSuits(variant);
  if (!suits.data || suits.data.items.length === 0) return null;
  return (
    <section className={`${panel.sheet} ${styles.wide}`}>
      <h2>Whom it suits now</h2>
      <div className={styles.scroll}>
        <table className={styles.suits}>
          <thead>
            <tr>
              <th scope="col">Learner</th>
              <th scope="col">Answers likely right</th>
              <th scope="col">So</th>
              {variant.mechanism && <th scope="col">Make it</th>}
            </tr>
          </thead>
          <tbody>
            {suits.data.items.map((s) => (
              <Fragment key={s.learner}>
                <tr>
                  <th scope="row">
                    <a href={link(`/learners/${s.learner}`)}>{s.nickname}</a>
                  </th>
                  <td>
                    <svg
                      viewBox={`0 0 ${width} 20`}
                      className={styles.scale}
                      role="img"
                      aria-label={`about ${Math.round(s.success * 10)} of 10, between ${Math.round(s.low * 10)} and ${Math.round(s.high * 10)}`}
                    >
                      <rect x={x(band[0])} y={3} width={x(band[1] - band[0])} height={14} className={styles.band} />
                      <line x1={0} x2={width} y1={17} y2={17} className={styles.rule} />
                      <line x1={x(s.low)} x2={x(s.high)} y1={10} y2={10} className={styles.range} />
                      <path d={`M${x(s.success)},4 l4,6 l-4,6 l-4,-6 z`} className={styles.mark} />
                    </svg>
                    <span className={styles.of}>{Math.round(s.success * 10)} of 10</span>
                  </td>
                  <td>{verdict(s)}</td>
                  {variant.mechanism && (
                    <td className={styles.turn}>
                      {(['easier', 'harder'] as const).map((direction) => (
                        <Button
                          key={direction}
                          kind="plain"
                          aria-expanded={asked?.learner === s.learner && asked.direction === direction}
                          aria-label={`${direction} for ${s.nickname}`}
                          onClick={() =>
                            setAsked(
                              asked?.learner === s.learner && asked.direction === direction ? null : { learner: s.learner, direction },
                            )
                          }
                        >
                          {direction}
                        </Button>
                      ))}
                    </td>
                  )}
                </tr>
                {asked?.learner === s.learner && (
                  <tr>
                    <td colSpan={4}>
                      <MakeItFit
                        key={asked.direction}
                        variant={variant}
                        who={[{ id: s.learner, nickname: s.nickname }]}
                        direction={asked.direction}
                        onDone={() => setAsked(null)}
                      />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      </div>
      <p className={`${panel.soft} ${panel.small}`}>
        Calculated: what it practises, weighed by each learner’s map of today; the line spans the map’s 80 % intervals. The shaded part is 7
        to 9 of 10, common practice.
      </p>
    </section>
  );
}
