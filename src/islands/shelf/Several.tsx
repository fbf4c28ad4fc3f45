import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { BinWire } from '../../contract/wire/shelf';
import { Button } from '../../ui/Button';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import { useTellUndo } from '../shared/useTellUndo';
import styles from './shelf.module.css';

/** What is done with several games at once. */
export function Several({
  games,
  bins,
  tags,
  onDone,
}: {
  games: readonly string[];
  bins: readonly BinWire[];
  tags: readonly string[];
  onDone: () => void;
}) {
  const [tag, setTag] = useState('');
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const many = games.length === 1 ? 'One game' : `${games.length} games`;
  const change = useMutation({
    mutationFn: (wish: { bin?: string; away?: boolean; tag?: string; untag?: string }) =>
      call('POST /games/together', { body: { games: [...games], ...wish } }),
    onSuccess: ({ change: c }, wish) => {
      void client.invalidateQueries();
      tellUndo(
        wish.tag !== undefined
          ? `${many} tagged “${wish.tag}”.`
          : wish.untag !== undefined
            ? `“${wish.untag}” taken off.`
            : wish.bin === undefined
              ? `${many} put away.`
              : `${many} moved to ${wish.bin}.`,
        c,
      );
      onDone();
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  return (
    <div className={styles.several} role="group" aria-label="With the chosen games">
      <b>{many} chosen</b>
      <select
        aria-label="Move to"
        value=""
        disabled={change.isPending}
        onChange={(e) => e.target.value && change.mutate({ bin: e.target.value })}
      >
        <option value="">move to …</option>
        {bins.map((b) => (
          <option key={b.id}>{b.title}</option>
        ))}
      </select>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (tag.trim() !== '') change.mutate({ tag: tag.trim() });
        }}
      >
        <input
          aria-label="Tag for all of them"
          placeholder="unit, season …"
          list="shelf-tags"
          maxLength={40}
          value={tag}
          onChange={(e) => setTag(e.target.value)}
        />
        <datalist id="shelf-tags">
          {tags.map((t) => (
            <option key={t} value={t} />
          ))}
        </datalist>{' '}
        <Button type="submit" disabled={change.isPending || tag.trim() === ''}>
          Tag
        </Button>{' '}
        <Button disabled={change.isPending || !tags.includes(tag.trim())} onClick={() => change.mutate({ untag: tag.trim() })}>
          Take the tag off
        </Button>
      </form>
      <Button disabled={change.isPending} onClick={() => change.mutate({ away: true })}>
        Put away
      </Button>
      <Button kind="plain" onClick={onDone}>
        choose none
      </Button>
    </div>
  );
}
