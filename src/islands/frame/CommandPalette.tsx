import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useEffect, useRef, useState } from 'react';
import { readStrip } from '../../core/print/pack/stripNumber';
import { call, link } from '../shared/api';
import { wordsOf } from '../shared/search';
import { useSkills } from '../shared/useSkills';
import { placeKeys } from './keys';
import styles from './strip.module.css';

const places: readonly { readonly label: string; readonly path: string; readonly key: string }[] = [
  ...Object.entries(placeKeys).map(([key, p]) => ({ ...p, key })),
  { label: 'Things: what is in the cupboard', path: '/shelf/things', key: '' },
  { label: 'Only this cupboard: tick what you have', path: '/shelf/things?tick', key: '' },
  { label: 'Printer’s desk: cards, boards, mats, labels', path: '/prep/print', key: '' },
  { label: 'Strips: notes from paper', path: '/play/strips', key: '' },
  { label: 'Stock-take: a bin at a time', path: '/shelf/stocktake', key: '' },
  { label: 'How is each played? Rows nobody has answered', path: '/shelf/recognise', key: '' },
  { label: 'Coverage: which standards have a game', path: '/shelf/coverage', key: '' },
  { label: 'Library: games that came with the app', path: '/shelf/library', key: '' },
  { label: 'The group in one picture', path: '/learners/group', key: '' },
  { label: 'Place the group', path: '/learners/place', key: '' },
  { label: 'Skills', path: '/learners/skills', key: '' },
  { label: 'Frameworks', path: '/learners/frameworks', key: '' },
  { label: 'Country: coins, rulers, paper, dates and words', path: '/learners/frameworks', key: '' },
  { label: 'Bring in a shelf file', path: '/shelf/import', key: '' },
  { label: 'Bring in a roster', path: '/learners/import', key: '' },
  { label: 'Bring in notes', path: '/learners/evidence', key: '' },
];

/** Items of one group that are drawn at once; typing narrows them. */
const mostShown = 8;

interface Found {
  readonly id: string;
  readonly label: string;
  readonly path: string;
}

/** Go anywhere by typing: places, learners, games on the shelf and in the library, skills, things, frameworks. */
export default function CommandPalette({ onClose }: { onClose: () => void }) {
  const ref = useRef<HTMLDialogElement>(null);
  const [text, setText] = useState('');
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 5000 } }) });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const library = useQuery({
    queryKey: ['library', 'titles'],
    queryFn: () => call('GET /library/titles', { query: { limit: 1000 } }),
  });
  const kinds = useQuery({ queryKey: ['kinds'], queryFn: () => call('GET /kinds', { query: { limit: 5000 } }) });
  const frameworks = useQuery({
    queryKey: ['frameworks'],
    queryFn: () => call('GET /frameworks', { query: { limit: 1000 } }),
  });
  const skills = useSkills();
  useEffect(() => {
    const dialog = ref.current!;
    const opener = document.activeElement instanceof HTMLElement ? document.activeElement : null;
    dialog.showModal();
    dialog.querySelector('input')?.focus();
    return () => {
      dialog.close();
      if (opener?.isConnected) opener.focus();
    };
  }, []);
  const go = (path: string): void => void (location.href = link(path));
  const groups: readonly (readonly [string, readonly Found[]])[] = [
    ['Learners', (learners.data?.items ?? []).map((l) => ({ id: l.id, label: l.nickname, path: `/learners/${l.id}` }))],
    ['Games on the shelf', (games.data?.items ?? []).map((g) => ({ id: g.id, label: g.title, path: `/shelf/${g.id}` }))],
    [
      'Games in the library',
      (library.data?.items ?? []).map((g) => ({ id: g.id, label: g.title, path: `/shelf/library?text=${encodeURIComponent(g.title)}` })),
    ],
    ['Skills: games that practise them', (skills?.list ?? []).map((s) => ({ id: s.id, label: s.title, path: `/shelf?skill=${s.id}` }))],
    [
      'Things: games that need them',
      (kinds.data?.items ?? []).map((k) => ({ id: k.id, label: k.title, path: `/shelf?text=${encodeURIComponent(k.title)}` })),
    ],
    ['Frameworks', (frameworks.data?.items ?? []).map((f) => ({ id: f.id, label: f.title, path: `/learners/frameworks?id=${f.id}` }))],
  ];
  const wanted = wordsOf(text);
  const meant = (label: string): boolean => wanted.every((w) => wordsOf(label).some((x) => x.startsWith(w)));
  const strip = readStrip(text);
  const shownPlaces = [
    ...(strip
      ? [{ label: `Strip ${text.trim()}: key in what was noted`, path: `/play/strips?strip=${encodeURIComponent(text.trim())}`, key: '' }]
      : []),
    ...places.filter((p) => meant(p.label)),
  ];
  const shown = groups.map(
    ([title, all]) => [title, text === '' && title !== 'Learners' ? [] : all.filter((f) => meant(f.label)).slice(0, mostShown)] as const,
  );
  return (
    <dialog ref={ref} className={styles.palette} onClose={onClose} aria-label="Go to">
      <Command label="Go to" shouldFilter={false}>
        <Command.Input placeholder="A place, a game, a learner, a skill, a thing, a strip …" value={text} onValueChange={setText} />
        <Command.List>
          <Command.Empty>Nothing by that name.</Command.Empty>
          {shownPlaces.length > 0 && (
            <Command.Group heading="Places">
              {shownPlaces.map((p) => (
                <Command.Item key={p.label} value={`place ${p.label}`} onSelect={() => go(p.path)}>
                  {p.label}
                  {p.key && <kbd>{p.key}</kbd>}
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {shown.map(
            ([title, found]) =>
              found.length > 0 && (
                <Command.Group key={title} heading={title}>
                  {found.map((f) => (
                    <Command.Item key={f.id} value={`${title} ${f.id}`} onSelect={() => go(f.path)}>
                      {f.label}
                    </Command.Item>
                  ))}
                </Command.Group>
              ),
          )}
        </Command.List>
      </Command>
    </dialog>
  );
}
