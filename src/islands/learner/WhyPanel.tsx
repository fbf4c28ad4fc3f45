import type { EstimateWire } from '../../contract/wire/maps';
import type { EvidenceWire, LearnerWire } from '../../contract/wire/learners';
import type { SkillWire } from '../../contract/wire/things';
import { useMutation, useQuery } from '@tanstack/react-query';
import { helpWords, howWords, resultWords, statusWords } from '../../text/sentences';
import { Button } from '../../ui/Button';
import { HistoryLine } from '../../ui/charts/HistoryLine';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { signOf } from '../shared/words';
import styles from './learner.module.css';
import { SupportNext } from './SupportNext';

/** An inference that moves less than this is not told. */
const leastStep = 0.005;

/** Why this number: the chain of what was seen, each step with its effect. */
export function WhyPanel({
  learner,
  skill,
  estimate: e,
  skills,
  evidence,
  onNote,
  onChanged,
}: {
  learner: LearnerWire;
  skill: SkillWire;
  estimate: EstimateWire;
  skills: Skills;
  evidence: readonly EvidenceWire[];
  onNote: () => void;
  onChanged: () => void;
}) {
  const tell = useTell();
  const byId = new Map(evidence.map((x) => [x.id, x]));
  const retract = useMutation({
    mutationFn: (id: string) =>
      call('POST /evidence/{id}/retract', { params: { id: id }, body: { because: 'taken back on the learner page' } }),
    onSuccess: () => {
      onChanged();
      tell('Taken back; it stays on record.');
    },
    onError: (error) => tell(messageOf(error), { bad: true }),
  });
  const met = useQuery({
    queryKey: ['met', learner.id],
    queryFn: () => call('GET /learners/{id}/met', { params: { id: learner.id }, query: { limit: 1000 } }),
  }).data?.items.find((m) => m.skill === skill.id);
  const goal = learner.goals.includes(skill.id);
  const setGoal = useMutation({
    mutationFn: () =>
      call('PATCH /learners/{id}', {
        params: { id: learner.id },
        body: {
          version: learner.version,
          goals: goal ? learner.goals.filter((g) => g !== skill.id) : [...learner.goals, skill.id],
        },
      }),
    onSuccess: () => {
      onChanged();
      tell(goal ? 'No goal any more.' : 'A goal now: games that lead there come first.');
    },
    onError: (error) => tell(messageOf(error), { bad: true }),
  });
  const notedBy = evidence.filter((x) => x.skill === skill.id && !x.retracted).length;
  const history = e.steps
    .filter((s, i, all) => s.evidence !== null && all.slice(i + 1).every((later) => later.evidence !== s.evidence))
    .map((s) => ({ at: s.at!, height: s.after }));
  return (
    <section className={`${panel.sheet} ${styles.why}`} aria-live="polite">
      <h2>{skill.title}</h2>
      <p className={panel.soft}>{skill.looksLike}</p>
      <p>
        <b className={panel.num}>{statusWords[e.status]}</b>
        {e.seen ? '' : ', assumed'} ·{' '}
        {e.sure
          ? `${e.mastery.toFixed(2)}, likely ${e.interval[0].toFixed(2)} to ${e.interval[1].toFixed(2)}`
          : `not sure yet (${e.mastery.toFixed(2)} from ${e.notes === 0 ? 'no notes' : `${Math.ceil(e.notes)} ${Math.ceil(e.notes) === 1 ? 'note' : 'notes'}`})`}
      </p>
      <p className={panel.small}>
        Noted by someone: {notedBy === 0 ? 'never' : notedBy === 1 ? 'once' : `${notedBy} times`}. Probably met in games:{' '}
        {met
          ? `about ${met.chances} chances in ${met.sessions} ${met.sessions === 1 ? 'session' : 'sessions'} (calculated, not counted as seen)`
          : 'hardly'}
        .
      </p>
      <HistoryLine points={history} title={`How “${skill.title}” moved`} />
      <h3>Why {e.mastery.toFixed(2)}?</h3>
      <ol className={styles.steps}>
        {e.steps
          .filter((s, i) => i === 0 || s.evidence !== null || Math.abs(s.after - s.before) >= leastStep)
          .map((s, i) => {
            const note = s.evidence ? byId.get(s.evidence) : undefined;
            return (
              <li key={i}>
                <span>{stepWords(s, note, skills)}</span>
                <b className={panel.num}>{i === 0 ? s.after.toFixed(2) : `${s.before.toFixed(2)} → ${s.after.toFixed(2)}`}</b>
                {note && s.because === 'noted' && (
                  <Button kind="plain" onClick={() => retract.mutate(note.id)}>
                    take back
                  </Button>
                )}
              </li>
            );
          })}
      </ol>
      <SupportNext skill={skill} estimate={e} skills={skills} learner={learner} evidence={evidence} />
      {skill.prerequisites.length > 0 && (
        <p className={panel.small}>
          Needs {skill.prerequisites.map((p) => `“${skills.title(p.id)}”${p.sort === 'heart' ? ' by heart' : ''}`).join(', ')}.
        </p>
      )}
      <p className={`${panel.soft} ${panel.small}`}>
        {skill.nature === 'by-heart'
          ? 'Known by heart: answers in games count.'
          : skill.nature === 'method'
            ? 'A written way, an instrument or a scale: to work it out is to hold it.'
            : 'A way of thinking: only a note on how it was done counts.'}{' '}
        Codes: {skill.codes.join(', ')}. Commonly goes wrong: {skill.slips.join(' ')}
      </p>
      <div className={panel.row}>
        <Button onClick={onNote}>Note something about this</Button>
        <Button kind="plain" onClick={() => setGoal.mutate()}>
          {goal ? 'No goal any more' : 'Make it a goal'}
        </Button>
      </div>
    </section>
  );
}

function stepWords(s: EstimateWire['steps'][number], note: EvidenceWire | undefined, skills: Skills): string {
  if (s.because === 'norm') return 'What is to be expected at this age';
  if (s.because === 'age') return `A new term has begun, at ${s.what} years`;
  if (s.because === 'forgotten') return `Not met for ${s.what} days: part of it may have gone`;
  if (s.because === 'right-facts') return `${s.at!.slice(0, 10)}: ${s.what} of its facts right on the way`;
  if (s.because === 'parts') return `It is held when its parts are; the least sure is “${skills.title(s.what)}”`;
  if (s.because === 'later-skill') return `It is needed for “${skills.title(s.what)}”, which goes well`;
  if (s.because === 'neighbour') return `${s.at!.slice(0, 10)}: what was noted about “${skills.title(s.what)}” tells of this too`;
  if (s.because === 'missed-fact') {
    const facts = s.what.split(', ').map((fact) => {
      const [a, op, b] = fact.split(' ');
      return `${a} ${signOf[op!] ?? op} ${b}`;
    });
    return `${s.at!.slice(0, 10)}: missed ${facts.join(', ')}`;
  }
  if (!note) return `${s.at?.slice(0, 10)}: ${s.what}`;
  const result = note.result ? resultWords[note.result] : `${note.correct} of ${note.total} right`;
  const tool = note.support ? `, ${helpWords[note.support] ?? note.support.replaceAll('-', ' ')}` : '';
  const how = note.how ? `, ${howWords[note.how as keyof typeof howWords]}` : '';
  const kind = { placement: 'placed', note: 'table note', 'check-in': 'check-in', statement: 'statement' }[note.kind] ?? note.kind;
  return `${note.at.slice(0, 10)}, ${kind} by ${/^[aeiou]/.test(note.by.role) ? 'an' : 'a'} ${note.by.role}${note.by.ownChild ? ' (own child)' : ''}: ${result}${tool}${how}`;
}
