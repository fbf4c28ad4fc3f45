import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { api, get, link, type Page, writeKey } from '../shared/api';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { EstimateWire, LearnerWire } from '../shared/types';
import { type Skills, useSkills } from '../shared/useSkills';
import styles from './placement.module.css';

export default function PlacementView({ id }: { id: string }) {
  return (
    <App>
      <Placement id={id} />
    </App>
  );
}

type Answer = 'alone' | 'support' | 'stuck';
/** After so many "not yet" in a row a line is done for now. */
const enoughMisses = 2;

/** Two minutes: walk each line's ladder upward from what is likely there; stop any time. */
function Placement({ id }: { id: string }) {
  const skills = useSkills();
  const learner = useQuery({ queryKey: ['learner', id], queryFn: () => get<LearnerWire>(`/learners/${id}`) });
  const mastery = useQuery({ queryKey: ['mastery', id], queryFn: () => get<Page<EstimateWire>>(`/learners/${id}/mastery?limit=1000&steps=false`), staleTime: Infinity });
  const [answers, setAnswers] = useState<ReadonlyMap<string, Answer>>(new Map());
  const [strand, setStrand] = useState(0);
  const [key] = useState(writeKey);
  const save = useMutation({
    mutationFn: () => api('POST', '/evidence/batch', { items: [...answers].map(([skill, result]) => ({ learner: id, kind: 'placement', skill, result, by: { role: 'organiser' } })) }, key),
    onSuccess: () => void (location.href = link(`/learners/${id}`)),
  });
  if (learner.error) return <Failure message={messageOf(learner.error)} />;
  if (!skills || !learner.data || !mastery.data) return <Loading />;
  const map = new Map(mastery.data.items.map((e) => [e.skill, e]));
  const line = skills.strands[strand]!;
  const next = nextStep(line.skills, answers, map);
  const goOn = (): void => setStrand((strand + 1) % skills.strands.length);
  return (
    <>
      <div className={panel.head}>
        <h1>Where is {learner.data.nickname}?</h1>
        <p className={panel.lead}>Do it with real things at the table. Tap what you see; leave out what you do not know; stop any time. This is no test and gives no grade.</p>
        <span className={panel.spring} />
        <LinkButton href={link(`/learners/${id}`)}>Leave without saving</LinkButton>
        <Button kind="main" disabled={answers.size === 0 || save.isPending} onClick={() => save.mutate()}>
          Save {answers.size} {answers.size === 1 ? 'answer' : 'answers'}
        </Button>
      </div>
      {save.error && <Failure message={messageOf(save.error)} />}
      <div className={styles.tabs} role="tablist" aria-label="Lines">
        {skills.strands.map((s, i) => (
          <button key={s.id} type="button" role="tab" aria-selected={i === strand} onClick={() => setStrand(i)}>
            {s.title} {s.skills.filter((k) => answers.has(k)).length > 0 && <b>{s.skills.filter((k) => answers.has(k)).length}</b>}
          </button>
        ))}
      </div>
      <div className={styles.columns}>
        <section className={styles.card} aria-live="polite">
          {next ? (
            <Question key={next} skill={next} skills={skills} nickname={learner.data.nickname} onAnswer={(a) => setAnswers(new Map(answers).set(next, a))} onSkip={goOn} />
          ) : (
            <>
              <h2>Enough for “{line.title}”</h2>
              <p>Go on to the next line, or save now.</p>
              <Button kind="main" onClick={goOn}>
                Next line
              </Button>
            </>
          )}
        </section>
        <ol className={styles.ladder}>
          {line.skills.map((k) => (
            <li key={k} data-answer={answers.get(k) ?? ''} aria-current={k === next}>
              <span>{skills.title(k)}</span>
              <select aria-label={skills.title(k)} value={answers.get(k) ?? ''} onChange={(e) => setAnswers(change(answers, k, e.target.value as Answer | ''))}>
                <option value="">–</option>
                <option value="alone">can</option>
                <option value="support">with help</option>
                <option value="stuck">not yet</option>
              </select>
            </li>
          ))}
        </ol>
      </div>
    </>
  );
}

function change(answers: ReadonlyMap<string, Answer>, skill: string, answer: Answer | ''): ReadonlyMap<string, Answer> {
  const copy = new Map(answers);
  if (answer === '') copy.delete(skill);
  else copy.set(skill, answer);
  return copy;
}

/** Starts where the estimate is open (about a half), goes up on "can" and down on "not yet". */
function nextStep(line: readonly string[], answers: ReadonlyMap<string, Answer>, map: ReadonlyMap<string, EstimateWire>): string | null {
  const answered = line.map((k, i) => ({ i, a: answers.get(k) })).filter((x): x is { i: number; a: Answer } => x.a !== undefined);
  if (answered.length === 0) {
    const start = line.findIndex((k) => (map.get(k)?.mastery ?? 0) < 0.6);
    return line[start < 0 ? line.length - 1 : start] ?? null;
  }
  const highestCan = Math.max(-1, ...answered.filter((x) => x.a !== 'stuck').map((x) => x.i));
  const misses = answered.filter((x) => x.a === 'stuck' && x.i > highestCan).length;
  if (highestCan < 0) {
    const lowest = Math.min(...answered.map((x) => x.i));
    return lowest > 0 && answered.length < 4 ? line[lowest - 1]! : null;
  }
  if (misses >= enoughMisses) return null;
  const up = line.findIndex((k, i) => i > highestCan && !answers.has(k));
  return up < 0 ? null : line[up]!;
}

function Question({ skill, skills, nickname, onAnswer, onSkip }: { skill: string; skills: Skills; nickname: string; onAnswer: (a: Answer) => void; onSkip: () => void }) {
  const s = skills.byId.get(skill)!;
  return (
    <>
      <h2>{s.title}</h2>
      <p className={styles.looks}>{s.looksLike}</p>
      <Choice
        large
        label={`${nickname} …`}
        value={null}
        options={[
          { id: 'alone', title: 'can' },
          { id: 'support', title: 'with help' },
          { id: 'stuck', title: 'not yet' },
        ]}
        onChange={(a) => onAnswer(a as Answer)}
      />
      <Button kind="plain" onClick={onSkip}>
        Leave this line
      </Button>
    </>
  );
}
