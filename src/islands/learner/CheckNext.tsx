import type { LearnerWire } from '../../contract/wire/learners';
import { useQuery } from '@tanstack/react-query';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { dayWords } from '../shared/words';
import styles from './learner.module.css';

/** The sheet of ten that would tell most about a child, offered two weeks after the last look at the soonest. */
export function CheckNext({ learner, skills, onSheet }: { learner: LearnerWire; skills: Skills; onSheet: (skill: string) => void }) {
  const found = useQuery({
    queryKey: ['check', learner.id],
    queryFn: () => call('GET /learners/{id}/check', { params: { id: learner.id } }),
  });
  const [first, ...others] = found.data?.steps ?? [];
  if (!found.data || !first) return null;
  const step = (id: string): string => `“${skills.title(id)}”`;
  return (
    <section className={panel.sheet} aria-label="What a sheet would tell">
      {found.data.due ? (
        <>
          <h2>A sheet that would tell most</h2>
          <p>
            Ten questions on <b>{skills.title(first.skill)}</b> would settle more about {learner.nickname} than a sheet on any other step
            {first.also.length > 0 && `; they tell something of ${first.also.map(step).join(', ')} as well`}.
          </p>
          <Button onClick={() => onSheet(first.skill)}>Take this sheet</Button>
          {others.length > 0 && (
            <p className={`${panel.small} ${panel.soft}`}>
              Next to it:{' '}
              {others.map((o, i) => (
                <span key={o.skill}>
                  {i > 0 && ', '}
                  <button type="button" className={styles.linkLike} onClick={() => onSheet(o.skill)}>
                    {skills.title(o.skill)}
                  </button>
                </span>
              ))}
            </p>
          )}
        </>
      ) : (
        <p className={panel.small}>
          {learner.nickname} was looked at on {dayWords(found.data.last!)}. Two weeks of play first; then {step(first.skill)} is worth a
          sheet.
        </p>
      )}
    </section>
  );
}
