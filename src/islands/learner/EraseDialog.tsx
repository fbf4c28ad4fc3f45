import type { LearnerWire } from '../../contract/wire/learners';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { forgetOnSheets } from '../shared/printHow';

/** Asks for the nickname, erases the child, and names what still holds it. */
export function EraseDialog({ learner, onClose }: { learner: LearnerWire; onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const erase = useMutation({
    mutationFn: () => call('DELETE /learners/{id}', { params: { id: learner.id }, query: { confirm: typed } }),
    onSuccess: () => forgetOnSheets(learner.nickname),
  });
  const leave = (): void => void (location.href = link('/learners'));
  if (erase.data)
    return (
      <Dialog title={`${learner.nickname} is erased`} onClose={leave}>
        <p>Notes, map, seats in plans and kept answers are gone, and no other child lost anything.</p>
        {erase.data.backups.length > 0 ? (
          <>
            <p>
              These copies in the data directory were made before and still hold the child. Delete them yourself when you no longer need
              them:
            </p>
            <ul>
              {erase.data.backups.map((b) => (
                <li key={b}>
                  <code>{b}</code>
                </li>
              ))}
            </ul>
          </>
        ) : (
          <p>No copy of the data lies beside the database.</p>
        )}
        {!erase.data.cleaned && <p>The disk had no room to make the database file anew; its freed pages are overwritten all the same.</p>}
        <p className={panel.soft}>
          Names that somebody typed into a game’s notes or a group’s title stay; look there too. So do files you exported.
        </p>
        <div className={panel.actions}>
          <LinkButton kind="main" href={link('/learners')}>
            To the learners
          </LinkButton>
        </div>
      </Dialog>
    );
  return (
    <Dialog title={`Erase ${learner.nickname}`} onClose={onClose}>
      <p>
        Everything about this child goes: notes, map, seats in plans. It cannot be undone. Backups made before still hold it and are named
        afterwards.
      </p>
      <Field label={`Type ${learner.nickname} to erase`} error={erase.error ? messageOf(erase.error) : null}>
        {(p) => <input {...p} value={typed} onInput={(e) => e.stopPropagation()} onChange={(e) => setTyped(e.target.value)} />}
      </Field>
      <div className={panel.actions}>
        <Button onClick={onClose}>Keep</Button>
        <Button kind="danger" disabled={typed !== learner.nickname || erase.isPending} onClick={() => erase.mutate()}>
          Erase everything
        </Button>
      </div>
    </Dialog>
  );
}
