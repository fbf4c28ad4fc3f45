import { useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import { otherKeys, placeKeys, setSingleKeys, singleKeysOn } from './keys';
import styles from './strip.module.css';

/** What the keyboard can do, and the switch for single letters. */
export default function KeyList({ onClose }: { onClose: () => void }) {
  const [on, setOn] = useState(singleKeysOn);
  return (
    <Dialog title="Keys" onClose={onClose}>
      <dl className={styles.keys}>
        {otherKeys.map((k) => (
          <div key={k.keys}>
            <dt>
              <kbd>{k.keys}</kbd>
            </dt>
            <dd>{k.what}</dd>
          </div>
        ))}
        {Object.entries(placeKeys).map(([key, { label }]) => (
          <div key={key} data-off={!on}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{label}</dd>
          </div>
        ))}
      </dl>
      <label className={styles.keySwitch}>
        <input
          type="checkbox"
          checked={on}
          onChange={(e) => {
            setSingleKeys(e.target.checked);
            setOn(e.target.checked);
          }}
          onInput={(e) => e.stopPropagation()}
        />{' '}
        Single letters open places
      </label>
    </Dialog>
  );
}
