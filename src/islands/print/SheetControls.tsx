import type { MechanismWire } from '../../contract/wire/families';
import { hueOf, markBoxes } from '../../core/print/rangeMarks';
import { tones } from '../../core/print/tones';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { valueWords } from '../../text/bench';
import { ParameterInput } from '../game/ParameterInput';
import styles from './print.module.css';
import type { PrintHow } from '../shared/printHow';
import { type MarkId, markWords, type SheetKindWire } from './printSettings';

type Schema = MechanismWire['parametersSchema']['properties'][string];
/** Choices that stand side by side; more of them fold into a list. */
const mostBeside = 5;
/** Settings that are in sight; the others fold. */
const inSight = 4;
/** Letters that such choices may have together. */
const widest = 34;

/** One setting of a sheet: all choices in sight where they are few, steps for a number. */
function Setting({ schema, value, label, onChange }: { schema: Schema; value: unknown; label: string; onChange: (v: unknown) => void }) {
  if (schema.enum && schema.enum.length <= mostBeside && schema.enum.map(valueWords).join('').length <= widest)
    return (
      <Choice
        label={label}
        value={String(value)}
        options={schema.enum.map((o) => ({ id: String(o), title: valueWords(o) }))}
        onChange={(id) => onChange(schema.enum!.find((o) => String(o) === id))}
      />
    );
  if (schema.type === 'integer') {
    const n = Number(value);
    const within = (x: number): number => Math.min(schema.maximum ?? Infinity, Math.max(schema.minimum ?? -Infinity, x));
    return (
      <Field label={label}>
        {(p) => (
          <span className={styles.stepper}>
            <button
              type="button"
              aria-label={`${label}: less`}
              disabled={n <= (schema.minimum ?? -Infinity)}
              onClick={() => onChange(within(n - 1))}
            >
              −
            </button>
            <input
              {...p}
              type="number"
              min={schema.minimum}
              max={schema.maximum}
              value={n}
              onChange={(e) => onChange(Number(e.target.value))}
            />
            <button
              type="button"
              aria-label={`${label}: more`}
              disabled={n >= (schema.maximum ?? Infinity)}
              onClick={() => onChange(within(n + 1))}
            >
              +
            </button>
          </span>
        )}
      </Field>
    );
  }
  return <Field label={label}>{(p) => <ParameterInput props={p} schema={schema} value={value} onChange={onChange} />}</Field>;
}

/** Everything that can be turned on a sheet of one kind. */
export function SheetSettings({
  kind,
  parameters,
  onChange,
}: {
  kind: SheetKindWire;
  parameters: Readonly<Record<string, unknown>>;
  onChange: (parameters: Record<string, unknown>) => void;
}) {
  const properties = Object.entries((kind.parametersSchema as unknown as MechanismWire['parametersSchema']).properties);
  // One more is no reason to fold.
  const first = properties.length <= inSight + 1 ? properties.length : inSight;
  const settings = (some: typeof properties) => (
    <div className={styles.settings}>
      {some.map(([name, schema]) => (
        <Setting
          key={`${kind.id} ${name}`}
          schema={schema}
          label={schema.title ?? name}
          value={parameters[name] ?? kind.example[name]}
          onChange={(value) => onChange({ ...parameters, [name]: value })}
        />
      ))}
    </div>
  );
  return (
    <>
      {settings(properties.slice(0, first))}
      {first < properties.length && (
        <details className={styles.more}>
          <summary>{properties.length - first} more settings</summary>
          {settings(properties.slice(first))}
        </details>
      )}
    </>
  );
}

/** How it is printed: paper, ink, backs, and the mark of its range. */
export function HowToPrint({
  how,
  paper,
  mark,
  seed,
  cut,
  onHow,
  onMark,
  onSeed,
}: {
  how: PrintHow;
  paper: 'a4' | 'letter';
  mark: MarkId;
  seed: number;
  /** Pieces are cut apart: only then gutters, backs and marks mean anything. */
  cut: boolean;
  onHow: (how: PrintHow) => void;
  onMark: (mark: MarkId) => void;
  onSeed: (seed: number) => void;
}) {
  return (
    <>
      <Choice
        label="Paper"
        value={paper}
        options={[
          { id: 'a4', title: 'A4' },
          { id: 'letter', title: 'Letter' },
        ]}
        onChange={(p) => onHow({ ...how, paper: p })}
      />
      <Choice
        label="Ink"
        value={how.ink}
        options={[
          { id: 'colour', title: 'colour' },
          { id: 'black', title: 'black' },
          { id: 'thin', title: 'thin' },
        ]}
        onChange={(ink) => onHow({ ...how, ink })}
      />
      <Choice
        label="Size"
        value={how.form}
        options={[
          { id: 'usual', title: 'usual' },
          { id: 'large', title: 'large' },
          { id: 'blank', title: 'blank' },
        ]}
        onChange={(form) => onHow({ ...how, form })}
      />
      {cut && (
        <>
          <Choice
            label="Backs"
            value={how.duplex}
            options={[
              { id: 'none', title: 'none' },
              { id: 'long', title: 'long edge' },
              { id: 'short', title: 'short edge' },
            ]}
            onChange={(duplex) => onHow({ ...how, duplex })}
          />
          <Choice
            label="Between cards"
            value={how.gutter > 0 ? 'room' : 'none'}
            options={[
              { id: 'none', title: 'one cut' },
              { id: 'room', title: '4 mm, twice the cuts' },
            ]}
            onChange={(g) => onHow({ ...how, gutter: g === 'room' ? 4 : 0 })}
          />
          <div role="group" aria-label="Mark of this range" className={styles.marks}>
            <span className={styles.marksTitle}>Mark of this range</span>
            {(Object.keys(markWords) as MarkId[]).map((m) => (
              <button
                key={m}
                type="button"
                aria-pressed={mark === m}
                aria-label={markWords[m]}
                title={markWords[m]}
                onClick={() => onMark(m)}
              >
                <svg viewBox="0 0 10 10" aria-hidden>
                  {m === 'none' ? (
                    <rect x={1} y={1} width={8} height={8} className={styles.noMark} />
                  ) : (
                    markBoxes(m, 0.5, 0.5, 9).map((b, i) =>
                      b.points ? (
                        <polygon key={i} points={b.points.map((p) => p.join(',')).join(' ')} fill={tones[hueOf[m]]} />
                      ) : b.kind === 'ellipse' ? (
                        <circle key={i} cx={b.x + b.w / 2} cy={b.y + b.h / 2} r={b.w / 2} fill={tones[hueOf[m]]} />
                      ) : (
                        <rect key={i} x={b.x} y={b.y} width={b.w} height={b.h} fill={tones[hueOf[m]]} />
                      ),
                    )
                  )}
                </svg>
              </button>
            ))}
          </div>
        </>
      )}
      <p className={styles.seed}>
        Seed {seed}.{' '}
        <Button kind="plain" onClick={() => onSeed(seed + 1)}>
          Others of the same sort
        </Button>
      </p>
    </>
  );
}
