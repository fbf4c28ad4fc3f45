import { Field } from '../../ui/Field';
import styles from './print.module.css';
import type { PrintHow } from '../shared/printHow';
import type { OpenSet, SheetKindWire, SheetLaid } from './printSettings';
import { HowToPrint, SheetSettings } from './SheetControls';

/** One kind of sheet with everything that can be turned on it, how many sets, whose they are, and how it is printed. */
export function OneKind({
  kinds,
  kind,
  open,
  how,
  paper,
  laid,
  onKind,
  onOpen,
  onHow,
}: {
  kinds: readonly SheetKindWire[];
  kind: SheetKindWire;
  open: OpenSet;
  how: PrintHow;
  paper: 'a4' | 'letter';
  laid: SheetLaid | undefined;
  onKind: (id: string) => void;
  onOpen: (open: OpenSet) => void;
  onHow: (how: PrintHow) => void;
}) {
  // What was ticked is another piece once the set is another.
  const otherPieces = open.only && [];
  return (
    <>
      <Field label="Sheet">
        {(p) => (
          <select {...p} value={kind.id} onChange={(e) => onKind(e.target.value)}>
            {[...new Set(kinds.map((k) => k.group))].map((group) => (
              <optgroup key={group} label={group}>
                {kinds
                  .filter((k) => k.group === group)
                  .map((k) => (
                    <option key={k.id} value={k.id}>
                      {k.title}
                    </option>
                  ))}
              </optgroup>
            ))}
          </select>
        )}
      </Field>
      <SheetSettings
        kind={kind}
        parameters={open.parameters}
        onChange={(parameters) => onOpen({ ...open, parameters, only: otherPieces })}
      />
      <div className={styles.settings}>
        <Field label="Sets">
          {(p) => (
            <input
              {...p}
              type="number"
              min={1}
              max={200}
              value={open.copies}
              onChange={(e) => onOpen({ ...open, copies: Math.max(1, Number(e.target.value)) })}
            />
          )}
        </Field>
        <Field label="Whose, at the foot">
          {(p) => <input {...p} maxLength={80} value={open.label} onChange={(e) => onOpen({ ...open, label: e.target.value })} />}
        </Field>
      </div>
      <HowToPrint
        how={how}
        paper={paper}
        mark={open.mark}
        seed={laid?.seed ?? open.seed}
        cut={(laid?.cuts ?? 0) > 0}
        onHow={onHow}
        onMark={(mark) => onOpen({ ...open, mark })}
        onSeed={(seed) => onOpen({ ...open, seed, only: otherPieces })}
      />
    </>
  );
}
