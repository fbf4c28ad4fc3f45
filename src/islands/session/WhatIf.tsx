import type { WhatIfWire } from '../../contract/wire/plans';
import { useQuery } from '@tanstack/react-query';
import { finished } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import type { Draft } from './edit';
import styles from './session.module.css';

type Seat = WhatIfWire['children'][number]['then'];

/** A child held over a table: what all who sit there would practise, wait and win, against now. */
export function WhatIf({
  plan,
  draft,
  at,
  learner,
  nickname,
}: {
  plan: string;
  draft: Draft;
  at: { readonly round: number; readonly table: number };
  learner: string;
  nickname: (id: string) => string;
}) {
  const found = useQuery({
    queryKey: ['whatif', plan, draft.rounds[at.round]!.tables[at.table], at, learner],
    queryFn: ({ signal }) =>
      finished('POST /plans/{id}/whatif', { params: { id: plan }, body: { rounds: draft.rounds, ...at, learner } }, undefined, signal),
    staleTime: 60_000,
  });
  return (
    <aside className={`${panel.sheet} ${styles.panel}`} aria-live="polite" aria-label={`What if ${nickname(learner)} sat here`}>
      <h2>
        What if {nickname(learner)} sat at table {at.table + 1}?
      </h2>
      {found.isLoading && <p className={panel.soft}>Playing it through …</p>}
      {found.error && <p className={panel.bad}>{messageOf(found.error)}</p>}
      {found.data && (
        <>
          <p>{found.data.title}</p>
          <ul className={panel.list}>
            {heldFirst(found.data.children, learner).map(({ learner: l, now, then }) => (
              <li key={l}>
                <b className={panel.num}>{nickname(l)}</b> <span className={panel.soft}>{then.variantTitle}</span>
                <p className={styles.why}>{practice(then)}</p>
                <p className={`${panel.soft} ${panel.small}`}>{[waits(now, then), wins(now, then)].filter(Boolean).join(' ')}</p>
              </li>
            ))}
          </ul>
          <p className={`${panel.soft} ${panel.small}`}>
            Chances to win: {found.data.games} games played by the machine at each table, everybody right as often as the map of today says.
          </p>
        </>
      )}
    </aside>
  );
}

/** The child that is held comes first, the others as they sit. */
const heldFirst = (children: WhatIfWire['children'], held: string): WhatIfWire['children'] => [
  ...children.filter((c) => c.learner === held),
  ...children.filter((c) => c.learner !== held),
];

const percent = (share: number): string => `${Math.round(share * 100)} %`;

function practice({ skill, chances, success, beside }: Seat): string {
  if (skill === null) return 'Nothing that is needed; good company.';
  const many = Math.round(chances);
  return `About ${many} ${many === 1 ? 'chance' : 'chances'} for “${skill.toLowerCase()}”, ${percent(success)} likely right${beside ? '; with somebody beside' : ''}.`;
}

function waits(now: Seat | null, then: Seat): string {
  if (then.waiting === null) return '';
  const before = now?.waiting ?? null;
  const changed = before !== null && Math.round(before * 20) !== Math.round(then.waiting * 20);
  return `Waits ${percent(then.waiting)} of the round${changed ? ` instead of ${percent(before)}` : ''}.`;
}

function wins(now: Seat | null, then: Seat): string {
  if (then.win === null) return '';
  const before = now?.win ?? null;
  const moved = before !== null && Math.abs(before.mean - then.win.mean) > 2 * Math.hypot(before.standardError, then.win.standardError);
  return `Wins about ${percent(then.win.mean)} (± ${Math.max(1, Math.round(then.win.standardError * 100))})${moved ? ` instead of ${percent(before.mean)}` : ''}.`;
}
