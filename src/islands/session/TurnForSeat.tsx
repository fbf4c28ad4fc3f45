import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { MakeItFit } from '../fit/MakeItFit';
import { call } from '../shared/api';
import panel from '../shared/panel.module.css';

/** Easier or harder for one child at a table, or for all of it: the version that is kept is the one they play here. */
export function TurnForSeat({
  variant,
  who,
  beside = [],
  label,
  onKept,
}: {
  variant: string;
  who: readonly { readonly id: string; readonly nickname: string }[];
  beside?: readonly string[];
  /** Of the whole table, as a heading; a single child is named already. */
  label?: string;
  onKept: (variant: string) => void;
}) {
  const [asked, setAsked] = useState<'easier' | 'harder' | null>(null);
  const found = useQuery({
    queryKey: ['variant', variant],
    queryFn: () => call('GET /variants/{id}', { params: { id: variant } }),
    enabled: asked !== null,
  });
  return (
    <>
      <p className={`${panel.small} ${panel.row}`}>
        {label && <span>{label}</span>}
        {(['easier', 'harder'] as const).map((direction) => (
          <Button
            key={direction}
            kind="plain"
            aria-expanded={asked === direction}
            aria-label={`${direction} for ${who.length === 1 ? who[0]!.nickname : 'this table'}`}
            onClick={() => setAsked(asked === direction ? null : direction)}
          >
            {direction}
          </Button>
        ))}
      </p>
      {asked && found.data && found.data.mechanism === null && (
        <p className={`${panel.soft} ${panel.small}`}>Nobody has said how this version is played, so nothing of it can be turned.</p>
      )}
      {asked && found.data && found.data.mechanism !== null && (
        <MakeItFit
          key={asked}
          variant={found.data}
          who={who}
          beside={beside}
          direction={asked}
          onDone={(kept) => {
            setAsked(null);
            onKept(kept);
          }}
        />
      )}
    </>
  );
}
