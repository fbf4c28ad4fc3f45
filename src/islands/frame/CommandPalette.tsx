import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useEffect, useRef } from 'react';
import { get, link, type Page } from '../shared/api';
import type { GameWire, LearnerWire } from '../shared/types';
import styles from './strip.module.css';

const places = [
  { label: 'Shelf', path: '/shelf', key: 's' },
  { label: 'Learners', path: '/learners', key: 'l' },
  { label: 'Plan', path: '/plan', key: 'p' },
  { label: 'Prep: what to gather', path: '/prep', key: 'g' },
  { label: 'Play', path: '/play', key: 'y' },
  { label: 'Review', path: '/review', key: 'r' },
  { label: 'Bring in a shelf file', path: '/shelf/import', key: '' },
  { label: 'Bring in a roster', path: '/learners/import', key: '' },
];

/** Go anywhere by typing; lists the single-key shortcuts. */
export function CommandPalette({ onClose }: { onClose: () => void }) {
  const ref = useRef<HTMLDialogElement>(null);
  const games = useQuery({ queryKey: ['games'], queryFn: () => get<Page<GameWire>>('/games?limit=5000') });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => get<Page<LearnerWire>>('/learners?limit=5000') });
  useEffect(() => {
    ref.current?.showModal();
    ref.current?.querySelector('input')?.focus();
  }, []);
  const go = (path: string): void => void (location.href = link(path));
  return (
    <dialog ref={ref} className={styles.palette} onClose={onClose} aria-label="Go to">
      <Command label="Go to">
        <Command.Input placeholder="A place, a game, a learner …" />
        <Command.List>
          <Command.Empty>Nothing by that name.</Command.Empty>
          <Command.Group heading="Places (the letter alone works anywhere)">
            {places.map((p) => (
              <Command.Item key={p.path} onSelect={() => go(p.path)}>
                {p.label}
                {p.key && <kbd>{p.key}</kbd>}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Learners">
            {learners.data?.items.map((l) => (
              <Command.Item key={l.id} value={`learner ${l.nickname}`} onSelect={() => go(`/learners/${l.id}`)}>
                {l.nickname}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Games">
            {games.data?.items.map((g) => (
              <Command.Item key={g.id} value={`game ${g.title}`} onSelect={() => go(`/shelf/${g.id}`)}>
                {g.title}
              </Command.Item>
            ))}
          </Command.Group>
        </Command.List>
      </Command>
    </dialog>
  );
}
