import type { KindWire } from '../../contract/wire/thingsOwned';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { ThingDrawing } from '../../ui/things/ThingDrawing';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useTellUndo } from '../shared/useTellUndo';
import { CupboardStrip } from './CupboardStrip';
import styles from './things.module.css';
import { hereAre, type Told } from './useThings';

/** What a tick says that is not said yet: here, though nobody knows how many; or none. */
function toTell(thing: KindWire, ticked: boolean): ({ readonly id: string } & Told) | null {
  const { id, state } = thing;
  if (ticked) return state === 'none' || state === 'unsure' ? { id, told: 'unsure' } : null;
  return state === 'none' ? null : { id, ...hereAre(thing, 0) };
}

/** Every kind on one page to tick: what is ticked is here, nothing else is; what can be played shows at once. */
export function TickCupboard({ things, onClose }: { things: readonly KindWire[]; onClose: () => void }) {
  const client = useQueryClient();
  const tellUndo = useTellUndo();
  // What was counted is ticked already, and paper and pencils are in every house.
  const [here, setHere] = useState<ReadonlySet<string>>(
    () => new Set(things.filter((t) => t.state === 'number' || t.state === 'plenty').map((t) => t.id)),
  );
  const only = [...here].sort().join(',');
  const playable = useQuery({
    queryKey: ['playable', only],
    queryFn: () => call('GET /things/playable', { query: { only } }),
    placeholderData: keepPreviousData,
  });
  const keep = useMutation({
    mutationFn: () =>
      call('PUT /kinds', {
        body: {
          things: things.flatMap((t) => toTell(t, here.has(t.id)) ?? []),
        },
      }),
    onSuccess: ({ change }) => {
      void client.invalidateQueries();
      tellUndo(`${here.size} sorts of things are here, nothing else.`, change);
      onClose();
    },
  });
  const drawers = [...new Set([...things].sort((x, y) => x.place - y.place).map((t) => t.drawer))];
  return (
    <>
      <div className={panel.head}>
        <h1>What do you have?</h1>
        <span className={panel.soft}>Tick what is in the cupboard; how many can be said later.</span>
        <span className={panel.spring} />
        <Button onClick={onClose}>Leave it</Button>
        <Button kind="main" disabled={keep.isPending} onClick={() => keep.mutate()}>
          That is all we have
        </Button>
      </div>
      {keep.error !== null && <p className={panel.bad}>{messageOf(keep.error)}</p>}
      {playable.data && <CupboardStrip playable={playable.data} lead="With what is ticked" />}
      {drawers.map((d) => (
        <fieldset key={d} className={styles.tickDrawer}>
          <legend>{d}</legend>
          <div className={styles.tickGrid}>
            {things
              .filter((t) => t.drawer === d)
              .map((t) => (
                <label key={t.id} className={styles.tick}>
                  <input
                    type="checkbox"
                    checked={here.has(t.id)}
                    onChange={(e) => setHere(new Set(e.target.checked ? [...here, t.id] : [...here].filter((x) => x !== t.id)))}
                  />
                  <ThingDrawing kind={t.id} pale={!here.has(t.id)} />
                  <span>{t.title}</span>
                </label>
              ))}
          </div>
        </fieldset>
      ))}
    </>
  );
}
