import type { OwnSkillWire } from '../../contract/wire/skills';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { ItemPredicate, SkillNature } from '../../core/skills/skill';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { ApiError, call, problemAt } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Skills } from '../shared/useSkills';
import { useClash } from '../shared/useClash';
import { useWriteKey } from '../shared/useWriteKey';
import { PredicateBuilder } from './PredicateBuilder';
import styles from './skills.module.css';

const natures: readonly [SkillNature, string][] = [
  ['by-heart', 'known by heart: right answers in games count'],
  ['method', 'a written way, an instrument, a scale: right answers in games count, worked out or not'],
  ['strategy', 'a way of working it out: only a note on how counts'],
  ['concept', 'an idea: only a note on how counts'],
];

/** Adds or changes a skill of the owner's. */
export function SkillDialog({
  skill,
  skills,
  onClose,
  onSaved,
}: {
  skill: OwnSkillWire | null;
  skills: Skills;
  onClose: () => void;
  onSaved: (change: string) => void;
}) {
  const [title, setTitle] = useState(skill?.title ?? '');
  const [looksLike, setLooksLike] = useState(skill?.looksLike ?? '');
  const [strand, setStrand] = useState(skill?.strand ?? 'add');
  const [nature, setNature] = useState<SkillNature>(skill?.nature ?? 'by-heart');
  const [age, setAge] = useState(String(skill?.wantedAt.us ?? 7));
  const [needs, setNeeds] = useState(skill?.prerequisites ?? []);
  const [byItems, setByItems] = useState(skill ? skill.predicate !== null : true);
  const [predicate, setPredicate] = useState<ItemPredicate>(skill?.predicate ?? { op: 'add', result: [0, 20] });
  const [why, setWhy] = useState(skill?.whyNoItems ?? '');
  const key = useWriteKey();
  const body = {
    title,
    looksLike,
    strand,
    nature,
    wantedAt: { us: Number(age), england: skill?.wantedAt.england ?? Number(age) },
    prerequisites: needs,
    predicate: byItems ? predicate : null,
    ...(byItems ? {} : { whyNoItems: why }),
  };
  const clash = useClash({
    version: skill?.version ?? 0,
    body,
    labels: {
      title: 'What it is called',
      looksLike: 'What it looks like',
      strand: 'Line',
      nature: 'How it is known',
      wantedAt: 'Usually wanted at age',
      prerequisites: 'What it needs',
      predicate: 'Items that count',
      whyNoItems: 'Why no item can show it',
    },
    load: async () => {
      const now = (await call('GET /skills/own')).skills.find((s) => s.id === skill!.id)!;
      const { title, looksLike, strand, nature, prerequisites, predicate } = now;
      const wantedAt = { us: now.wantedAt.us ?? 7, england: now.wantedAt.england ?? 7 };
      return {
        body: {
          title,
          looksLike,
          strand,
          nature,
          wantedAt,
          prerequisites,
          predicate,
          ...(now.whyNoItems === undefined ? {} : { whyNoItems: now.whyNoItems }),
        },
        version: now.version,
      };
    },
    onMine: () => save.mutate(),
    onTheirs: onClose,
  });
  const save = useMutation({
    mutationFn: () =>
      skill ? call('PUT /skills/{id}', { params: { id: skill.id }, body: clash.toSend() }) : call('POST /skills', { body, key }),
    onSuccess: ({ change }) => onSaved(change),
    onError: clash.met,
  });
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const at = (field: string): string | null => problemAt(save.error, field);
  return (
    <Dialog title={skill ? `Change “${skill.title}”` : 'Add a skill'} onClose={onClose} wide>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <div className={panel.grid2}>
          <Field label="What it is called" error={at('title')}>
            {(p) => <input {...p} value={title} onChange={(e) => setTitle(e.target.value)} required />}
          </Field>
          <Field label="What it looks like, in a line">
            {(p) => <input {...p} value={looksLike} onChange={(e) => setLooksLike(e.target.value)} required />}
          </Field>
          <Field label="Line">
            {(p) => (
              <select {...p} value={strand} onChange={(e) => setStrand(e.target.value)}>
                {skills.strands.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.title}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="Usually wanted at age" error={at('wantedAt.us')}>
            {(p) => <input {...p} type="number" step="0.1" min="3" max="14" value={age} onChange={(e) => setAge(e.target.value)} />}
          </Field>
        </div>
        <Field label="Of what sort">
          {(p) => (
            <select {...p} value={nature} onChange={(e) => setNature(e.target.value as SkillNature)}>
              {natures.map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Needs" error={at('prerequisites')} hint="What should be there before; a circle is refused.">
          {(p) => (
            <select {...p} value="" onChange={(e) => e.target.value && setNeeds([...needs, { id: e.target.value, sort: 'idea' }])}>
              <option value="">add one …</option>
              {skills.list
                .filter((s) => s.id !== skill?.id && !needs.some((n) => n.id === s.id))
                .map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.title}
                  </option>
                ))}
            </select>
          )}
        </Field>
        <ul className={styles.needs}>
          {needs.map((n) => (
            <li key={n.id}>
              {skills.title(n.id)}{' '}
              <select
                aria-label={`How ${skills.title(n.id)} is needed`}
                value={n.sort}
                onChange={(e) => setNeeds(needs.map((x) => (x.id === n.id ? { ...x, sort: e.target.value as 'idea' | 'heart' } : x)))}
              >
                <option value="idea">the idea</option>
                <option value="heart">by heart</option>
              </select>{' '}
              <button type="button" onClick={() => setNeeds(needs.filter((x) => x.id !== n.id))}>
                take out
              </button>
            </li>
          ))}
        </ul>
        <label>
          <input type="checkbox" checked={byItems} onChange={(e) => setByItems(e.target.checked)} /> Games can practise it: these items
          count
        </label>
        {byItems ? (
          <PredicateBuilder value={predicate} except={skill?.id ?? null} onChange={setPredicate} />
        ) : (
          <Field label="Why no item can show it" error={at('whyNoItems')}>
            {(p) => <input {...p} value={why} onChange={(e) => setWhy(e.target.value)} />}
          </Field>
        )}
        {clash.panel ??
          (save.error !== null && !['title', 'wantedAt.us', 'prerequisites', 'whyNoItems'].includes(problem?.field ?? '') && (
            <p className={panel.bad}>{messageOf(save.error)}</p>
          ))}
        {!clash.panel && <FormActions onLeave={onClose} busy={save.isPending} />}
      </form>
    </Dialog>
  );
}
