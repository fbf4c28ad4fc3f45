import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { type Skills, useSkills } from '../shared/useSkills';
import { useWriteKey } from '../shared/useWriteKey';
import { numberStrands } from '../../core/cohort/placeLearner';
import { Example } from './Example';
import styles from './placement.module.css';
import { type Answer, useDraft } from './useDraft';

export default function PlacementView({ id }: { id: string }) {
  return (
    <App>
      <Placement id={id} />
    </App>
  );
}

/** Ten to fourteen questions, line by line: the first something sure, then a step up or down by what was answered; stop any time. */
function Placement({ id }: { id: string }) {
  const skills = useSkills();
  const learner = useQuery({ queryKey: ['learner', id], queryFn: () => call('GET /learners/{id}', { params: { id: id } }) });
  const [answers, setAnswers] = useDraft(id);
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [lines, setLines] = useState<readonly string[]>(numberStrands);
  const [thorough, setThorough] = useState(false);
  const key = useWriteKey();
  const sent = [...answers].map(([skill, result]) => ({ skill, result }));
  const question = useQuery({
    queryKey: ['placement', id, sent, lines, skipped, thorough],
    queryFn: () =>
      call('POST /learners/{id}/placement', { params: { id: id }, body: { answers: sent, strands: lines, leaveOut: skipped, thorough } }),
    placeholderData: (before) => before,
  });
  const save = useMutation({
    mutationFn: () =>
      call('POST /evidence/batch', {
        body: { items: sent.map((a) => ({ learner: id, kind: 'placement' as const, ...a, by: { role: 'organiser' as const } })) },
        key,
      }),
    onSuccess: () => {
      setAnswers(new Map());
      location.href = link(`/learners/${id}`);
    },
  });
  if (learner.error) return <Failure message={messageOf(learner.error)} />;
  if (!skills || !learner.data) return <Loading />;
  const next = question.data?.next ?? null;
  const put = (skill: string, a: Answer | ''): void => {
    const copy = new Map(answers);
    if (a === '') copy.delete(skill);
    else copy.set(skill, a);
    setAnswers(copy);
  };
  const undoLast = (): void => {
    const last = [...answers.keys()].at(-1);
    if (last) put(last, '');
  };
  return (
    <>
      <div className={panel.head}>
        <h1>Where is {learner.data.nickname}?</h1>
        <span className={panel.spring} />
        <LinkButton href={link(`/learners/${id}/script`)}>Print the script</LinkButton>
        <LinkButton href={link(`/learners/${id}`)}>Leave for now</LinkButton>
        <Button kind="main" disabled={answers.size === 0 || save.isPending} onClick={() => save.mutate()}>
          Save {answers.size} {answers.size === 1 ? 'answer' : 'answers'}
        </Button>
      </div>
      <p className={panel.lead}>With real things at the table, or the example shown. Tap what you see; stop any time. No test, no grade.</p>
      {save.error && <Failure message={messageOf(save.error)} />}
      <div className={styles.lines} role="group" aria-label="Lines to ask about">
        {skills.strands.map((s) => (
          <button
            key={s.id}
            type="button"
            aria-pressed={lines.includes(s.id)}
            onClick={() => setLines(lines.includes(s.id) ? lines.filter((x) => x !== s.id) : [...lines, s.id])}
          >
            {s.title}
          </button>
        ))}
      </div>
      <div className={styles.columns}>
        <section className={styles.card} aria-live="polite">
          {question.error && <Failure message={messageOf(question.error)} />}
          {next && (
            <Question
              key={next}
              skill={next}
              line={skills.strands.find((s) => s.id === question.data?.strand)?.title ?? ''}
              why={question.data?.because ? whyNow[question.data.because] : ''}
              skills={skills}
              nickname={learner.data.nickname}
              waiting={question.isPlaceholderData}
              follows={answers.size > 0 || skipped.length > 0}
              onAnswer={(a) => put(next, a)}
              onSkip={() => setSkipped([...skipped, next])}
              onBack={answers.size > 0 ? undoLast : null}
            />
          )}
          {!next && question.data && (
            <>
              <h2>{lines.length === 0 ? 'Choose a line to ask about' : 'Enough for now'}</h2>
              {lines.length > 0 && (
                <p className={styles.looks}>
                  {answers.size > 0
                    ? 'Every line in question was asked about. Save, and let play show the rest.'
                    : 'Enough was seen on these lines lately. Choose another line, or let play show the rest.'}
                </p>
              )}
              {lines.length > 0 && !thorough && <Button onClick={() => setThorough(true)}>Ask on all the same</Button>}
              {answers.size > 0 && (
                <Button kind="plain" onClick={undoLast}>
                  Back to the last question
                </Button>
              )}
            </>
          )}
          {question.data && lines.length > 0 && answers.size > 0 && (
            <p className={styles.meter}>{progressWords(answers.size, question.data.about, next !== null)}</p>
          )}
        </section>
        <section>
          <h2 className={styles.heard}>What you said</h2>
          {answers.size === 0 && (
            <p className={panel.soft}>Nothing yet. Usually ten to fourteen questions are enough; the first is an easy one.</p>
          )}
          <ol className={styles.ladder}>
            {[...answers].map(([k, a]) => (
              <li key={k} data-answer={a}>
                <span>{skills.title(k)}</span>
                <select aria-label={skills.title(k)} value={a} onChange={(e) => put(k, e.target.value as Answer | '')}>
                  <option value="">take out</option>
                  <option value="alone">can</option>
                  <option value="support">with help</option>
                  <option value="stuck">not yet</option>
                </select>
              </li>
            ))}
          </ol>
        </section>
      </div>
    </>
  );
}

/** How far the talk has come, in words. */
function progressWords(asked: number, about: number, more: boolean): string {
  const answers = asked === 1 ? 'One answer' : `${asked} answers`;
  if (!more) return `${answers}; that was all.`;
  const share = asked / Math.max(1, about);
  return `${answers} of about ${about}; ${share < 0.34 ? 'just begun' : share < 0.67 ? 'about half way' : 'nearly there'}.`;
}

/** Why this is asked now, so that nobody takes a hard question for a test. */
const whyNow = {
  sure: 'Something that should go well, to begin with.',
  edge: 'This may be about where the line ends.',
  above: 'That went well: a step further.',
  below: 'A step easier, to see what is there.',
} as const;

/** While the next question is being chosen, the one on show takes no second answer. */
function Question({
  skill,
  line,
  why,
  skills,
  nickname,
  waiting,
  follows,
  onAnswer,
  onSkip,
  onBack,
}: {
  skill: string;
  line: string;
  why: string;
  skills: Skills;
  nickname: string;
  waiting: boolean;
  follows: boolean;
  onAnswer: (a: Answer) => void;
  onSkip: () => void;
  onBack: (() => void) | null;
}) {
  const s = skills.byId.get(skill)!;
  const heading = useRef<HTMLHeadingElement>(null);
  // The buttons of the question before are gone; the keyboard goes on from the new one.
  useEffect(() => {
    if (follows) heading.current?.focus();
  }, [skill]);
  return (
    <>
      <p className={`${panel.soft} ${panel.small}`}>
        {line}. {why}
      </p>
      <h2 ref={heading} tabIndex={-1}>
        {s.title}
      </h2>
      <p className={styles.looks}>{s.looksLike}</p>
      <Example skill={s} all={skills.list} />
      <Choice
        large
        disabled={waiting}
        label={`${nickname} …`}
        value={null}
        options={[
          { id: 'alone', title: 'can' },
          { id: 'support', title: 'with help' },
          { id: 'stuck', title: 'not yet' },
        ]}
        onChange={(a) => onAnswer(a as Answer)}
      />
      <div className={panel.row}>
        <Button kind="plain" onClick={onSkip}>
          I do not know
        </Button>
        {onBack && (
          <Button kind="plain" onClick={onBack}>
            Back
          </Button>
        )}
      </div>
    </>
  );
}
