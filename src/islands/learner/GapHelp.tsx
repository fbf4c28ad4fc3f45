import type { GapHelpWire } from '../../contract/wire/practice';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Progress } from '../../ui/Empty';
import { call, finished, link } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import { keepTurned, settingWords } from '../fit/turnedVersion';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import styles from './learner.module.css';

/** A need that no game here serves, and what would: measured, when asked. */
export function GapHelp({ skill, who, barred }: { skill: string; who: string | null; barred: { title: string; because: string } | null }) {
  const skills = useSkills();
  const [asked, setAsked] = useState(false);
  const [share, setShare] = useState(0);
  const help = useQuery({
    queryKey: ['gap-help', skill],
    queryFn: ({ signal }) => finished('POST /skills/{id}/help', { params: { id: skill }, query: { wait: 0 } }, setShare, signal),
    enabled: asked,
    staleTime: Infinity,
  });
  const client = useQueryClient();
  const tell = useTell();
  const done = (what: string) => () => {
    void client.invalidateQueries();
    tell(what);
  };
  const onError = (error: unknown): void => tell(messageOf(error), { bad: true });
  const take = useMutation({
    mutationFn: (game: string) => call('POST /library/{id}/take', { params: { id: game } }),
    onSuccess: done('On the shelf now, with all its versions.'),
    onError,
  });
  const turn = useMutation({
    mutationFn: async (c: GapHelpWire['changes'][number]) => keepTurned(await call('GET /variants/{id}', { params: { id: c.variant } }), c),
    onSuccess: done('Kept as a version of its own.'),
    onError,
  });
  const d = help.data;
  return (
    <div className={styles.suggestion}>
      <p>
        No good game here for “{skills?.title(skill) ?? skill}”{who ? ` (${who})` : ''}.
        {barred && ` Nearest: ${barred.title}. ${barred.because}`}{' '}
        {!asked && (
          <Button kind="plain" onClick={() => setAsked(true)}>
            What would help?
          </Button>
        )}
      </p>
      {help.isLoading && <Progress share={share} label="turning the parameters of what is nearest" />}
      {help.error && <p className={panel.bad}>{messageOf(help.error)}</p>}
      {d && (
        <ul className={styles.excluded}>
          {d.changes.map((c) => (
            <li key={`${c.variant}${c.parameterTitle}`}>
              <a href={link(`/shelf/${c.game}?version=${c.variant}`)}>
                {c.gameTitle}, {c.title}
              </a>{' '}
              with “{c.parameterTitle}” at {settingWords(c.value)}: {c.before.mean.toFixed(1)} → {c.after.mean.toFixed(1)} ±{' '}
              {c.after.standardError.toFixed(1)} chances in ten minutes{' '}
              <Button kind="plain" disabled={turn.isPending} onClick={() => turn.mutate(c)}>
                Keep as a version
              </Button>
            </li>
          ))}
          {d.library.map((l) => (
            <li key={`${l.game}${l.version}`}>
              <a href={link('/shelf/library')}>{l.title}</a>, {l.version}, in the library: {l.perTenMinutes.toFixed(1)} ±{' '}
              {l.standardError.toFixed(1)} chances in ten minutes{' '}
              <Button kind="plain" disabled={take.isPending} onClick={() => take.mutate(l.game)}>
                Take it
              </Button>
            </li>
          ))}
          {d.changes.length + d.library.length === 0 && (
            <li>
              Nothing that ships plays it, and no single change does. Practise it with things at the table; a note about it counts all the
              same.
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
