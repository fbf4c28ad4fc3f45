import type { ProfileWire } from '../../contract/wire/practice';
import type { VariantWire } from '../../contract/wire/shelf';
import type { ReactNode } from 'react';
import panel from '../shared/panel.module.css';
import styles from './game.module.css';
import { slotMinutes } from './measureRows';
import { isJustRight } from './Suits';
import { useFair } from './useFair';
import { useSuits } from './useSuits';

const mostNames = 4;

/** The figures that decide whether a version is taken: time, practice, children, choice, and how long it stays open. */
export function Readings({
  variant,
  profile,
  seats,
  first,
  choose,
}: {
  variant: VariantWire;
  profile: ProfileWire;
  seats: number;
  /** The step it practises most. */
  first: { readonly title: string; readonly value: number } | undefined;
  /** Chooses how many sit at the table; the figures are for so many. */
  choose: ReactNode;
}) {
  const suits = useSuits(variant);
  const fair = useFair(variant, seats).data?.fairness;
  const right = suits.data?.items.filter(isJustRight) ?? [];
  return (
    <section className={styles.readings} aria-label="At a glance">
      {choose && (
        <div>
          {choose}
          <p className={panel.small}>players at the table</p>
        </div>
      )}
      {profile.source === 'calculated' && (
        <Reading figure={`${Math.round(profile.minutes['0.5']!)} min`}>
          {Math.round((profile.endsInSlot ?? 0) * 100)} of 100 end inside {slotMinutes}
        </Reading>
      )}
      {first && <Reading figure={first.value.toFixed(1)}>in ten minutes: {first.title.toLowerCase()}</Reading>}
      {suits.data && suits.data.items.length > 0 && (
        <Reading figure={`${right.length} of ${suits.data.items.length}`}>
          {right.length === 0
            ? 'children for whom it is just right now'
            : `just right now: ${right
                .slice(0, mostNames)
                .map((s) => s.nickname)
                .join(', ')}${right.length > mostNames ? ' …' : ''}`}
        </Reading>
      )}
      {fair && <Reading figure={fair.choiceWord}>choices matter</Reading>}
      {fair?.course && (
        <Reading figure={fair.course.known < 1 ? `${Math.round(fair.course.known * 100)} %` : 'to the end'}>
          {fair.course.known < 1 ? 'of a game nobody knows who wins' : 'nobody knows who wins'}
        </Reading>
      )}
    </section>
  );
}

/** A figure and what it says; words stand smaller than numbers. */
function Reading({ figure, children }: { figure: string; children: ReactNode }) {
  return (
    <div>
      <p className={`${panel.big} ${/\d/.test(figure) ? '' : styles.words}`}>{figure}</p>
      <p className={panel.small}>{children}</p>
    </div>
  );
}
