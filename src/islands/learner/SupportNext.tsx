import type { EstimateWire } from '../../contract/wire/maps';
import type { EvidenceWire, LearnerWire } from '../../contract/wire/learners';
import type { SkillWire } from '../../contract/wire/things';
import { ladderOf, nextSupport } from '../../core/mastery/nextSupport';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { useSupportTitle } from '../shared/useSupportTitle';
import styles from './learner.module.css';

const reasons = {
  lightest: 'the lightest with which most should come right',
  heaviest: 'the most help the ladder has; play beside the child',
  'stepped-back': 'a step back after two stuck notes',
  keeps: 'this child keeps it, with full credit',
} as const;

/** The ladder of tools for a skill, with the one to play with next. */
export function SupportNext({
  skill,
  estimate,
  skills,
  learner,
  evidence,
}: {
  skill: SkillWire;
  estimate: EstimateWire;
  skills: Skills;
  learner: LearnerWire;
  evidence: readonly EvidenceWire[];
}) {
  const title = useSupportTitle();
  const ladder = ladderOf(skill, skills.strandOf(skill.id)!);
  const notes = evidence.filter((e) => e.skill === skill.id && !e.retracted && e.result !== null).sort((x, y) => (x.at < y.at ? 1 : -1));
  const next = nextSupport(ladder, estimate.right, notes, learner.permanentSupports);
  return (
    <>
      <h3>Tool to play with next</h3>
      <ol className={styles.rungs}>
        {ladder.map((id) => (
          <li key={id} aria-current={id === next.support}>
            {title(id)}
          </li>
        ))}
        <li aria-current={next.support === null}>no tool</li>
      </ol>
      <p className={`${panel.soft} ${panel.small}`}>
        {next.support === null ? 'No tool is needed' : `With ${title(next.support)}`}: {reasons[next.because]}. About{' '}
        {Math.round(next.success * 10)} of 10 answers likely right (calculated; what a tool brings is common practice).
      </p>
    </>
  );
}
