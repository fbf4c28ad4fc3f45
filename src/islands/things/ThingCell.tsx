import type { KindWire } from '../../contract/wire/thingsOwned';
import { type KeyboardEvent, useRef } from 'react';
import { Button } from '../../ui/Button';
import { ThingDrawing } from '../../ui/things/ThingDrawing';
import { StateMark } from './StateMark';
import styles from './things.module.css';
import { hereAre, stateWords, type Told, unitWords } from './useThings';

/** Digits typed within this time belong together. */
const typingMs = 900;

function taken(e: KeyboardEvent): void {
  e.preventDefault();
  e.stopPropagation();
}

/** One kind of thing as a picture with how many there are. Digits type the count, P plenty, ? not sure, 0 none. */
export function ThingCell({
  thing,
  standIn,
  lentWords,
  onTell,
  onOpen,
}: {
  thing: KindWire;
  /** What stands in for it, in words; null where nothing has to. */
  standIn: string | null;
  lentWords: string | null;
  onTell: (said: Told) => void;
  onOpen: () => void;
}) {
  const typed = useRef({ text: '', at: 0 });
  function onKey(e: KeyboardEvent<HTMLElement>): void {
    if (e.target !== e.currentTarget || e.ctrlKey || e.metaKey || e.altKey) return;
    if (/^\d$/.test(e.key)) {
      const fresh = performance.now() - typed.current.at > typingMs;
      const text = (fresh ? '' : typed.current.text) + e.key;
      typed.current = { text, at: performance.now() };
      onTell(hereAre(thing, Math.min(100_000, Number(text))));
      return taken(e);
    }
    typed.current.text = '';
    if (e.key === 'p' || e.key === 'P') onTell({ told: 'plenty' });
    else if (e.key === '?') onTell({ told: 'unsure' });
    else if (e.key === '+') onTell(hereAre(thing, thing.quantity + 1));
    else if (e.key === '-') onTell(hereAre(thing, Math.max(0, thing.quantity - 1)));
    else if (e.key === 'Enter') onOpen();
    else return;
    taken(e);
  }
  const { state } = thing;
  const soft =
    state === 'unsure'
      ? 'used as if there'
      : state === 'none' && standIn
        ? standIn
        : [thing.incomplete, lentWords, thing.condition].filter(Boolean).join('; ') || null;
  return (
    <section
      className={styles.cell}
      tabIndex={0}
      role="group"
      data-thing={thing.id}
      aria-label={`${thing.title}: ${stateWords(thing)}`}
      onKeyDown={onKey}
    >
      <div className={styles.picture}>
        <ThingDrawing kind={thing.id} pale={state === 'none'} />
        <span className={styles.count}>
          {state === 'number' ? <b>{thing.quantity}</b> : <StateMark state={state} large />}
          <span>{state === 'number' ? unitWords(thing.unit, thing.quantity) : state === 'unsure' ? 'not sure' : state}</span>
        </span>
      </div>
      <h2>
        <button type="button" className={styles.name} onClick={onOpen}>
          {thing.title}
        </button>
      </h2>
      {soft && (
        <p className={styles.note}>
          {thing.incomplete !== '' && <StateMark state="incomplete" />}
          {soft}
        </p>
      )}
      <div className={styles.controls}>
        {state === 'unsure' ? (
          <>
            <Button aria-label={`we have one ${thing.unit} (${thing.title})`} onClick={() => onTell(hereAre(thing, 1))}>
              We have some
            </Button>
            <Button kind="plain" aria-label={`none here: ${thing.title}`} onClick={() => onTell(hereAre(thing, 0))}>
              none here
            </Button>
          </>
        ) : state === 'none' ? (
          <Button aria-label={`we have it: ${thing.title}`} onClick={() => onTell(hereAre(thing, 1))}>
            We have it
          </Button>
        ) : (
          <>
            {state === 'number' && (
              <>
                <Button aria-label={`one less: ${thing.title}`} onClick={() => onTell(hereAre(thing, Math.max(0, thing.quantity - 1)))}>
                  −
                </Button>
                <Button aria-label={`one more: ${thing.title}`} onClick={() => onTell(hereAre(thing, thing.quantity + 1))}>
                  +
                </Button>
                <Button kind="plain" aria-label={`plenty: ${thing.title}`} onClick={() => onTell({ told: 'plenty' })}>
                  plenty
                </Button>
              </>
            )}
            {state === 'plenty' && (
              <Button kind="plain" aria-label={`count: ${thing.title}`} onClick={() => onTell(hereAre(thing, Math.max(1, thing.quantity)))}>
                count
              </Button>
            )}
            <Button kind="plain" aria-label={`not sure: ${thing.title}`} onClick={() => onTell({ told: 'unsure' })}>
              not sure
            </Button>
          </>
        )}
      </div>
    </section>
  );
}
