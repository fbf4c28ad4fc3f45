import { useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { ApiError } from './api';
import styles from './clash.module.css';

/** What a form would save, and the version of the thing it was read from. */
export interface Read<B extends object> {
  readonly body: B;
  readonly version: number;
}

export interface Clash<B extends object> {
  /** The body with the version it stands on; after a clash what only they changed is in it too. */
  readonly toSend: () => B & { version: number };
  /** For the error of a write: reads what stands now when somebody else was quicker. */
  readonly met: (error: unknown) => void;
  /** Both to choose from; null as long as nobody else was quicker. */
  readonly panel: ReactNode;
}

const same = (x: unknown, y: unknown): boolean => JSON.stringify(x) === JSON.stringify(y);

/** A value in a line: lists with commas, things with their parts. */
function said(value: unknown): string {
  if (value === undefined || value === null || value === '' || (Array.isArray(value) && value.length === 0)) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(said).join(', ');
  if (typeof value === 'object')
    return Object.entries(value)
      .map(([name, x]) => `${name} ${said(x)}`)
      .join(' ');
  return String(value);
}

/**
 * Two people at one form. The version is the one that was seen when the form was opened, whatever the page read
 * since. When somebody else saved first, what they wrote is read and shown beside one's own where both changed the
 * same; what only one of the two changed is kept from both.
 */
export function useClash<B extends object>({
  version,
  body,
  labels,
  load,
  onMine,
  onTheirs,
}: {
  version: number;
  /** As it stands in the form now; on the first call, as it was opened. */
  body: B;
  labels: Readonly<Partial<Record<keyof B, string>>>;
  load: () => Promise<Read<B>>;
  /** Save again. */
  onMine: () => void;
  /** Leave the form; the page then shows what stands. */
  onTheirs: () => void;
}): Clash<B> {
  const [opened] = useState<Read<B>>({ body, version });
  const client = useQueryClient();
  const [theirs, setTheirs] = useState<Read<B> | null>(null);
  const shown = useRef<HTMLElement>(null);
  // It stands at the end of a form that may be longer than the screen.
  useEffect(() => {
    shown.current?.scrollIntoView({ block: 'end' });
    shown.current?.focus({ preventScroll: true });
  }, [theirs]);
  const keys = Object.keys({ ...theirs?.body, ...body }) as (keyof B)[];
  const mine = keys.filter((k) => !same(body[k], opened.body[k]));
  const both = theirs ? mine.filter((k) => !same(theirs.body[k], opened.body[k]) && !same(theirs.body[k], body[k])) : [];
  return {
    toSend: () => ({
      ...(theirs ? (Object.fromEntries(keys.map((k) => [k, mine.includes(k) ? body[k] : theirs.body[k]])) as B) : body),
      version: (theirs ?? opened).version,
    }),
    met: (error) => {
      if (error instanceof ApiError && error.problem.code === 'conflict') void load().then(setTheirs, () => undefined);
    },
    panel: theirs && (
      <section ref={shown} tabIndex={-1} className={styles.clash} role="alert" aria-label="Two changed this">
        <p>
          {both.length > 0
            ? 'Somebody else changed the same while you wrote. Choose what is kept; what only one of you changed is kept either way.'
            : 'Somebody else changed other things here while you wrote. Both can be kept.'}
        </p>
        {both.length > 0 && (
          <dl>
            {both.map((k) => (
              <div key={String(k)}>
                <dt>{labels[k] ?? String(k)}</dt>
                <dd>
                  <i>theirs:</i> {said(theirs.body[k])}
                </dd>
                <dd>
                  <i>yours:</i> {said(body[k])}
                </dd>
              </div>
            ))}
          </dl>
        )}
        <div className={styles.choices}>
          <Button kind="main" onClick={onMine}>
            {both.length > 0 ? 'Keep mine' : 'Keep both'}
          </Button>
          <Button
            onClick={() => {
              void client.invalidateQueries();
              onTheirs();
            }}
          >
            Take theirs
          </Button>
        </div>
      </section>
    ),
  };
}
