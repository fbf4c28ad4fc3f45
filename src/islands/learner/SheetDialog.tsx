import type { LearnerWire } from '../../contract/wire/learners';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { ladderOf } from '../../core/mastery/nextSupport';
import { questionText } from '../../text/itemText';
import { canBeWritten, questionsOf, sheetOfQuestions } from '../../text/onASheet';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { call, fileOf, saveFile } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { paperAndInk } from '../shared/printHow';
import type { Skills } from '../shared/useSkills';
import { useSupportTitle } from '../shared/useSupportTitle';
import { useWriteKey } from '../shared/useWriteKey';
import styles from './learner.module.css';

/** Facts that a grid can show later on. */
const factOps = ['add', 'subtract', 'multiply', 'divide'];

/** A sheet of ten, done alone: which came right, and with which tool. Not to be finished, and no grade. */
export function SheetDialog({
  learner,
  skill,
  skills,
  onClose,
  onSaved,
}: {
  learner: LearnerWire;
  skill: string | null;
  skills: Skills;
  onClose: () => void;
  onSaved: () => void;
}) {
  const possible = useMemo(() => skills.list.filter(canBeWritten), [skills]);
  const [chosen, setChosen] = useState(skill && possible.some((s) => s.id === skill) ? skill : 'add-in-10');
  const [draw, setDraw] = useState(1);
  const [answers, setAnswers] = useState<ReadonlyMap<number, boolean>>(new Map());
  const [tool, setTool] = useState('');
  const [minutes, setMinutes] = useState('');
  const key = useWriteKey();
  const title = useSupportTitle();
  const s = skills.byId.get(chosen)!;
  const items = useMemo(() => questionsOf(s, skills.list, draw), [s, skills, draw]);
  const right = [...answers.values()].filter(Boolean).length;
  const save = useMutation({
    mutationFn: () =>
      call('POST /evidence', {
        body: {
          learner: learner.id,
          kind: 'check-in',
          skill: chosen,
          correct: right,
          total: answers.size,
          items: [...answers]
            .filter(([i]) => factOps.includes(items[i]!.op))
            .map(([i, correct]) => ({ op: items[i]!.op, a: items[i]!.a, b: items[i]!.b, correct })),
          ...(tool ? { support: tool } : {}),
          ...(minutes ? { seconds: Number(minutes) * 60 } : {}),
          by: { role: 'organiser' },
        },
        key,
      }),
    onSuccess: onSaved,
  });
  const paper = useMutation({
    mutationFn: () =>
      fileOf('POST /sheets/{id}/pdf', {
        params: { id: 'question-sheet' },
        body: { parameters: sheetOfQuestions(s.title, items), label: learner.nickname, ...paperAndInk() },
      }),
    onSuccess: (file) => saveFile(file, `sheet-${chosen}.pdf`),
  });
  const put = (i: number, correct: boolean): void => {
    const copy = new Map(answers);
    if (copy.get(i) === correct) copy.delete(i);
    else copy.set(i, correct);
    setAnswers(copy);
  };
  return (
    <Dialog title={`A sheet for ${learner.nickname}`} onClose={onClose} wide>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <div className={panel.grid2}>
          <Field label="About">
            {(p) => (
              <select
                {...p}
                value={chosen}
                onChange={(e) => {
                  setChosen(e.target.value);
                  setAnswers(new Map());
                }}
              >
                {possible.map((x) => (
                  <option key={x.id} value={x.id}>
                    {x.title}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="With which tool">
            {(p) => (
              <select {...p} value={tool} onChange={(e) => setTool(e.target.value)}>
                <option value="">none</option>
                {ladderOf(s, skills.strandOf(chosen)!).map((id) => (
                  <option key={id} value={id}>
                    {title(id)}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
        {items.length === 0 ? (
          <p>Nothing of this can be put on a sheet; note it at the table instead.</p>
        ) : (
          <ol className={styles.sheetItems}>
            {items.map((i, n) => (
              <li key={questionText(i)}>
                <b>{questionText(i)}</b>
                <span role="group" aria-label={questionText(i)!}>
                  <button type="button" aria-pressed={answers.get(n) === true} onClick={() => put(n, true)}>
                    right
                  </button>
                  <button type="button" aria-pressed={answers.get(n) === false} onClick={() => put(n, false)}>
                    practise again
                  </button>
                </span>
              </li>
            ))}
          </ol>
        )}
        <p className={`${panel.soft} ${panel.small}`}>
          {answers.size === 0 ? 'Tap what was done; what is left out counts for nothing.' : `${right} right of ${answers.size} done.`}{' '}
          <button type="button" className={styles.linkLike} onClick={() => (setDraw(draw + 1), setAnswers(new Map()))}>
            Other questions
          </button>
        </p>
        {items.length > 0 && (
          <p className={`${panel.soft} ${panel.small}`}>
            <Button disabled={paper.isPending} onClick={() => paper.mutate()}>
              {paper.isPending ? 'Printing …' : 'These questions on paper'}
            </Button>{' '}
            The name goes on the back.
          </p>
        )}
        {paper.error && <p className={panel.bad}>{messageOf(paper.error)}</p>}
        {learner.accommodations.includes('speed-welcome') && (
          <Field label="Minutes, if you timed it" hint="Kept beside the sheet; no estimate depends on it.">
            {(p) => (
              <input {...p} type="number" min="0" max="120" step="0.5" value={minutes} onChange={(e) => setMinutes(e.target.value)} />
            )}
          </Field>
        )}
        {save.error && <p className={panel.bad}>{messageOf(save.error)}</p>}
        <FormActions onLeave={onClose} busy={save.isPending || answers.size === 0} />
      </form>
    </Dialog>
  );
}
