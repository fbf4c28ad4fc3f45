import type { GameWire } from '../../contract/wire/shelf';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { ApiError, call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useClash } from '../shared/useClash';
import { useWriteKey } from '../shared/useWriteKey';

/** Add or change a game by hand. */
export function GameDialog({
  game,
  bins,
  onClose,
  onSaved,
}: {
  game: GameWire | null;
  bins: readonly { id: string; title: string }[];
  onClose: () => void;
  onSaved: (id: string, change: string) => void;
}) {
  const [title, setTitle] = useState(game?.title ?? '');
  const [bin, setBin] = useState(bins.find((b) => b.id === game?.bin)?.title ?? '');
  const [source, setSource] = useState<GameWire['source']>(game?.source ?? 'made');
  const [condition, setCondition] = useState(game?.condition ?? '');
  const [notes, setNotes] = useState(game?.notes ?? '');
  const [tags, setTags] = useState(game?.tags.join(', ') ?? '');
  const [rules, setRules] = useState(game?.rules.join('\n') ?? '');
  const key = useWriteKey();
  const body = {
    title,
    source,
    condition,
    notes,
    tags: tags
      .split(/[,;]/)
      .map((t) => t.trim())
      .filter(Boolean),
    rules: rules
      .split('\n')
      .map((r) => r.trim())
      .filter(Boolean),
    ...(bin.trim() ? { bin: bin.trim() } : {}),
  };
  const clash = useClash({
    version: game?.version ?? 0,
    body,
    labels: {
      title: 'Name',
      source: 'Source',
      condition: 'Condition',
      notes: 'Notes',
      tags: 'Units and seasons',
      rules: 'Rules',
      bin: 'Bin',
    },
    load: async () => {
      const [now, { items }] = await Promise.all([
        call('GET /games/{id}', { params: { id: game!.id } }),
        call('GET /bins', { query: { limit: 5000 } }),
      ]);
      const stands = items.find((b) => b.id === now.bin)?.title;
      const { title, source, condition, notes, tags, rules } = now;
      return { body: { title, source, condition, notes, tags, rules, ...(stands ? { bin: stands } : {}) }, version: now.version };
    },
    onMine: () => save.mutate(),
    onTheirs: onClose,
  });
  const save = useMutation({
    mutationFn: () =>
      game ? call('PATCH /games/{id}', { params: { id: game.id }, body: clash.toSend() }) : call('POST /games', { body, key }),
    onSuccess: ({ id, change }) => onSaved(id, change),
    onError: clash.met,
  });
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  return (
    <Dialog title={game ? `Change ${game.title}` : 'Add a game'} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <Field label="Name" error={problem?.field === 'title' ? problem.message : null}>
          {(p) => <input {...p} value={title} onChange={(e) => setTitle(e.target.value)} required />}
        </Field>
        <div className={panel.grid2}>
          <Field label="Bin">
            {(p) => (
              <>
                <input {...p} list="bins" value={bin} onChange={(e) => setBin(e.target.value)} placeholder="Unsorted" />
                <datalist id="bins">
                  {bins.map((b) => (
                    <option key={b.id} value={b.title} />
                  ))}
                </datalist>
              </>
            )}
          </Field>
          <Field label="Source">
            {(p) => (
              <select {...p} value={source} onChange={(e) => setSource(e.target.value as GameWire['source'])}>
                <option value="made">made at home</option>
                <option value="bought">bought</option>
                <option value="free">free, printed</option>
              </select>
            )}
          </Field>
        </div>
        <Field label="Condition" hint="What is worn, bent or missing">
          {(p) => <input {...p} value={condition} onChange={(e) => setCondition(e.target.value)} />}
        </Field>
        <Field label="Notes">{(p) => <input {...p} value={notes} onChange={(e) => setNotes(e.target.value)} />}</Field>
        <Field
          label="Units and seasons"
          hint="Words to find it by, with commas between them: unit 3, winter"
          error={problem?.field?.startsWith('tags') ? problem.message : null}
        >
          {(p) => <input {...p} value={tags} onChange={(e) => setTags(e.target.value)} />}
        </Field>
        <Field label="Rules, a line each" hint="At most twelve lines, for a helper who has never seen it">
          {(p) => <textarea {...p} rows={5} value={rules} onChange={(e) => setRules(e.target.value)} />}
        </Field>
        {clash.panel ?? (save.error !== null && problem?.field !== 'title' && <p className={panel.bad}>{messageOf(save.error)}</p>)}
        {!clash.panel && <FormActions onLeave={onClose} busy={save.isPending} />}
      </form>
    </Dialog>
  );
}
