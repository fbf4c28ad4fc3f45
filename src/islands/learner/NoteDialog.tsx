import type { EvidenceWire, LearnerWire } from '../../contract/wire/learners';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { howWords, resultWords } from '../../text/sentences';
import { Button } from '../../ui/Button';
import { Choice, choicesOf } from '../../ui/Choice';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { useWriteKey } from '../shared/useWriteKey';

type Role = EvidenceWire['by']['role'];

/** One observation about one named skill, by a named role. */
export function NoteDialog({
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
  const [about, setAbout] = useState(skill ?? '');
  const [sheet, setSheet] = useState(false);
  const [result, setResult] = useState<EvidenceWire['result']>(null);
  const [how, setHow] = useState<EvidenceWire['how']>(null);
  const [support, setSupport] = useState<string | null>(null);
  const [correct, setCorrect] = useState(0);
  const [total, setTotal] = useState(10);
  const [role, setRole] = useState<Role>('organiser');
  const [own, setOwn] = useState(false);
  const key = useWriteKey();
  const supports = useQuery({ queryKey: ['supports'], queryFn: () => call('GET /supports') });
  const save = useMutation({
    mutationFn: () =>
      call('POST /evidence', {
        body: {
          learner: learner.id,
          skill: about,
          kind: sheet ? 'check-in' : 'statement',
          ...(sheet ? { correct, total } : { result: result! }),
          ...(how ? { how } : {}),
          ...(support ? { support } : {}),
          by: { role, ownChild: own },
        },
        key,
      }),
    onSuccess: onSaved,
  });
  return (
    <Dialog title={`About ${learner.nickname}`} onClose={onClose}>
      <Field label="Skill">
        {(p) => (
          <select {...p} value={about} onChange={(e) => setAbout(e.target.value)}>
            <option value="">choose …</option>
            {skills.strands.map((s) => (
              <optgroup key={s.id} label={s.title}>
                {s.skills.map((id) => (
                  <option key={id} value={id}>
                    {skills.title(id)}
                  </option>
                ))}
              </optgroup>
            ))}
          </select>
        )}
      </Field>
      <Choice
        label="What you saw"
        value={sheet ? 'sheet' : 'seen'}
        options={[
          { id: 'seen', title: 'how it went' },
          { id: 'sheet', title: 'a check-in sheet' },
        ]}
        onChange={(v) => setSheet(v === 'sheet')}
      />
      {sheet ? (
        <div className={panel.grid2}>
          <Field label="Right">
            {(p) => <input {...p} type="number" min={0} max={total} value={correct} onChange={(e) => setCorrect(Number(e.target.value))} />}
          </Field>
          <Field label="of">
            {(p) => <input {...p} type="number" min={1} max={200} value={total} onChange={(e) => setTotal(Number(e.target.value))} />}
          </Field>
        </div>
      ) : (
        <>
          <Choice label="How it went" value={result} options={choicesOf(resultWords)} onChange={setResult} />
          <Choice label="How it was done" value={how} options={choicesOf(howWords)} onChange={(v) => setHow(v === how ? null : v)} />
          <Choice
            label="With which help"
            value={support}
            options={(supports.data?.items ?? []).map((s) => ({ id: s.id, title: s.title }))}
            onChange={(v) => setSupport(v === support ? null : v)}
          />
        </>
      )}
      <Choice
        label="Who saw it"
        value={role}
        options={(['organiser', 'helper', 'parent'] as const).map((id) => ({ id, title: id }))}
        onChange={setRole}
      />
      {role === 'parent' && (
        <label>
          <input type="checkbox" checked={own} onChange={(e) => setOwn(e.target.checked)} /> about the own child
        </label>
      )}
      {save.error && <p className={panel.bad}>{messageOf(save.error)}</p>}
      <div className={panel.actions}>
        <Button onClick={onClose}>Leave it</Button>
        <Button kind="main" disabled={!about || (!sheet && !result) || save.isPending} onClick={() => save.mutate()}>
          Note it
        </Button>
      </div>
    </Dialog>
  );
}
