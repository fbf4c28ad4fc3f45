import type { WishesWire } from '../../contract/wire/term';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Failure, Loading } from '../../ui/Empty';
import { Field } from '../../ui/Field';
import { call } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import styles from './plan.module.css';

type Pairs = 'together' | 'apart';
const pairWords: Record<Pairs, string> = { together: 'gladly sit together', apart: 'never share a table' };
/** Longest part of a round to wait for a turn. */
const waits: readonly (readonly [string, number | null])[] = [
  ['does not matter', null],
  ['half of the round, as with two in turn', 0.5],
  ['two thirds, as with three in turn', 0.67],
  ['three quarters, as with four in turn', 0.75],
];

/** What is wished for every session: companions, few games, short waits. The next plan keeps to it. */
export function WishesDialog({ onClose }: { onClose: () => void }) {
  const wishes = useQuery({ queryKey: ['wishes'], queryFn: () => call('GET /wishes') });
  if (wishes.error) return <Failure message={messageOf(wishes.error)} />;
  if (!wishes.data) return <Loading />;
  return <WishesForm key={wishes.data.version} start={wishes.data} onClose={onClose} />;
}

function WishesForm({ start, onClose }: { start: WishesWire; onClose: () => void }) {
  const [input, setInput] = useState(start);
  const [pair, setPair] = useState<{ readonly first: string; readonly second: string; readonly as: Pairs }>({
    first: '',
    second: '',
    as: 'together',
  });
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const client = useQueryClient();
  const tell = useTell();
  const save = useMutation({
    mutationFn: () => call('PUT /wishes', { body: input }),
    onSuccess: () => {
      void client.invalidateQueries();
      tell('Plans made from now on keep to it.');
      onClose();
    },
  });
  const all = learners.data?.items ?? [];
  const nickname = (id: string): string => all.find((l) => l.id === id)?.nickname ?? id;
  const choose = (name: 'first' | 'second', label: string) => (
    <Field label={label}>
      {(p) => (
        <select {...p} value={pair[name]} onChange={(e) => setPair({ ...pair, [name]: e.target.value })}>
          <option value="">choose</option>
          {all.map((l) => (
            <option key={l.id} value={l.id}>
              <bdi>{l.nickname}</bdi>
            </option>
          ))}
        </select>
      )}
    </Field>
  );
  const canAdd = pair.first !== '' && pair.second !== '' && pair.first !== pair.second;
  function add(): void {
    setInput({ ...input, [pair.as]: [...input[pair.as], [pair.first, pair.second]] });
    setPair({ ...pair, first: '', second: '' });
  }
  return (
    <Dialog title="How we plan" onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <p className={panel.soft}>
          First comes what each child needs. Beside it nobody’s session falls below half of the best there is for that child where that can
          be helped, and who had no seat lately has one first.
        </p>
        <label className={styles.wish}>
          <input type="checkbox" checked={input.fewerGames} onChange={(e) => setInput({ ...input, fewerGames: e.target.checked })} />
          <span>Rather fewer different games to fetch and explain, though each child gets a little less</span>
        </label>
        <label className={styles.wish}>
          <input type="checkbox" checked={input.mix} onChange={(e) => setInput({ ...input, mix: e.target.checked })} />
          <span>Everyone with everyone over the weeks</span>
        </label>
        <label className={styles.wish}>
          <input type="checkbox" checked={input.oneLively} onChange={(e) => setInput({ ...input, oneLively: e.target.checked })} />
          <span>At most one lively or floor table a round</span>
        </label>
        <Field label="Waiting for a turn, at most">
          {(p) => (
            <select
              {...p}
              value={String(input.longestWait)}
              onChange={(e) => setInput({ ...input, longestWait: e.target.value === 'null' ? null : Number(e.target.value) })}
            >
              {waits.map(([words, share]) => (
                <option key={words} value={String(share)}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
        <fieldset className={styles.present}>
          <legend>Companions</legend>
          <ul className={panel.list}>
            {(['together', 'apart'] as const).flatMap((as) =>
              input[as].map(([x, y], i) => (
                <li key={`${as} ${x} ${y}`} className={panel.row}>
                  <span>
                    <b>{nickname(x)}</b> and <b>{nickname(y)}</b> {pairWords[as]}
                  </span>
                  <Button
                    kind="plain"
                    aria-label={`let go of ${nickname(x)} and ${nickname(y)}`}
                    onClick={() => setInput({ ...input, [as]: input[as].filter((_, j) => j !== i) })}
                  >
                    let go
                  </Button>
                </li>
              )),
            )}
          </ul>
          <div className={styles.pair}>
            {choose('first', 'One child')}
            {choose('second', 'Another')}
            <Field label="They">
              {(p) => (
                <select {...p} value={pair.as} onChange={(e) => setPair({ ...pair, as: e.target.value as Pairs })}>
                  <option value="together">gladly together</option>
                  <option value="apart">never together</option>
                </select>
              )}
            </Field>
            <Button disabled={!canAdd} onClick={add}>
              Add
            </Button>
          </div>
        </fieldset>
        {save.error !== null && <p className={panel.bad}>{messageOf(save.error)}</p>}
        <div className={panel.actions}>
          <Button onClick={onClose}>Leave it</Button>
          <Button kind="main" type="submit" disabled={save.isPending}>
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
