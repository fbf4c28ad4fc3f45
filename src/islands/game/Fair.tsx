import type { CourseWire } from '../../contract/wire/bench';
import type { VariantWire } from '../../contract/wire/shelf';
import panel from '../shared/panel.module.css';
import { useFair } from './useFair';
import styles from './game.module.css';

/** Luck or choice, who goes first, and what would even the chances. */
export function Fair({ variant, seats }: { variant: VariantWire; seats: number }) {
  const fair = useFair(variant, seats);
  if (seats < 2 || fair.error) return null;
  const f = fair.data?.fairness;
  const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits)} %`;
  return (
    <section className={panel.sheet}>
      <h2>Is it a good game?</h2>
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
          {f.course && <CourseOfPlay course={f.course} seats={seats} />}
          {f.handicap && (
            <p>
              To even it, give player {f.handicap.seat + 1} {f.handicap.headStart} {f.handicap.unit}: from {percent(f.handicap.before.mean)}{' '}
              to {percent(f.handicap.after.mean)} of games.
            </p>
          )}
          <p className={`${panel.soft} ${panel.small}`}>
            Calculated from the rules: {f.games.toLocaleString('en')} simulated games for each question
            {f.course && `, ${f.course.games.toLocaleString('en')} between like players for how it goes`}.
          </p>
        </>
      )}
    </section>
  );
}

/** How a game goes until it is won: whether it stays open, and for everybody. */
function CourseOfPlay({ course, seats }: { course: CourseWire; seats: number }) {
  const { leadChanges, known, level, weakest } = course;
  const ofHundred = (share: number): string => String(Math.round(share * 100));
  return (
    <div className={styles.numbers}>
      <p>
        <span className={panel.big}>{leadChanges.mean.toFixed(1)} ×</span>
        <br />
        the lead changes in a game, ± {leadChanges.standardError.toFixed(2)}
      </p>
      <p>
        <span className={panel.big}>{known < 1 ? `after ${ofHundred(known)} %` : 'to the end'}</span>
        <br />
        {known < 1 ? 'of a middling game the winner is as good as known' : 'a middling game stays open'}
      </p>
      <p>
        <span className={panel.big}>
          {ofHundred(weakest.mean / seats)} <small>of 100</small>
        </span>
        <br />
        won games go to the weakest seat, ± {((weakest.standardError / seats) * 100).toFixed(1)}; even would be {ofHundred(1 / seats)}
      </p>
      <p>
        <span className={panel.big}>
          {ofHundred(level.mean)} <small>of 100</small>
        </span>
        <br />
        games end level
      </p>
    </div>
  );
}
