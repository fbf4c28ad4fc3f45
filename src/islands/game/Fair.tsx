import type { VariantWire } from '../../contract/wire/shelf';
import { useQuery } from '@tanstack/react-query';
import { finished } from '../shared/api';
import panel from '../shared/panel.module.css';
import styles from './game.module.css';

/** Luck or choice, who goes first, and what would even the chances. */
export function Fair({ variant, seats }: { variant: VariantWire; seats: number }) {
  const fair = useQuery({
    queryKey: ['fairness', variant.id, variant.version, seats],
    queryFn: () =>
      finished('POST /fairness', {
        query: { wait: 30 },
        body: {
          mechanism: variant.mechanism!,
          parameters: variant.parameters,
          seats,
          seed: 7,
        },
      }),
    enabled: seats > 1,
  });
  if (seats < 2 || fair.error) return null;
  const f = fair.data?.fairness;
  const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits)} %`;
  return (
    <section className={panel.sheet}>
      <h2>Luck, choice and turn order</h2>
      {fair.isLoading && <p className={panel.soft}>Playing both sides …</p>}
      {fair.data && !f && <p>Nobody plays against another here: all work together, or each for themselves.</p>}
      {f && (
        <>
          <div className={styles.numbers}>
            <p>
              <span className={panel.big}>{f.choiceWord}</span>
              <br />
              choices matter: a careful player wins {percent(f.choice.mean)} ± {(f.choice.standardError * 100).toFixed(0)} of what luck
              leaves open
            </p>
            <p>
              <span className={panel.big}>
                {f.seatAdvantage.mean >= 0 ? '+' : '−'}
                {percent(Math.abs(f.seatAdvantage.mean), 1)}
              </span>
              <br />
              for whoever goes first, ± {(f.seatAdvantage.standardError * 100).toFixed(1)}
            </p>
          </div>
          {f.handicap && (
            <p>
              To even it, give player {f.handicap.seat + 1} {f.handicap.headStart} {f.handicap.unit}: from {percent(f.handicap.before.mean)}{' '}
              to {percent(f.handicap.after.mean)} of games.
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
