import type { ParameterField } from '../../contract/wire/families';
import { valueWords } from '../../text/bench';
import styles from './parameterInput.module.css';

/** One parameter as its schema asks for it: a tick, a choice, some of many, pairs of numbers, or a number. */
export function ParameterInput({
  props,
  schema,
  value,
  onChange,
}: {
  props: { id: string };
  schema: ParameterField;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  if (schema.type === 'boolean')
    return <input {...props} type="checkbox" checked={value === true} onChange={(e) => onChange(e.target.checked)} />;
  if (schema.type === 'array' && schema.items?.enum) {
    const chosen = (value as (string | number)[] | undefined) ?? [];
    return (
      <span className={styles.options}>
        {schema.items.enum.map((o) => (
          <label key={o} className={styles.option}>
            <input
              type="checkbox"
              checked={chosen.includes(o)}
              onChange={(e) =>
                onChange(
                  e.target.checked ? schema.items!.enum!.filter((x) => x === o || chosen.includes(x)) : chosen.filter((x) => x !== o),
                )
              }
            />{' '}
            {valueWords(o)}
          </label>
        ))}
      </span>
    );
  }
  if (schema.type === 'array' && schema.items?.type === 'integer')
    return (
      <input
        {...props}
        defaultValue={(value as number[] | undefined)?.join(', ') ?? ''}
        placeholder="7, 7, 9"
        onBlur={(e) =>
          onChange(
            e.target.value
              .split(/[\s,;]+/)
              .filter(Boolean)
              .map(Number)
              .filter((n) => Number.isInteger(n) && n >= 0),
          )
        }
      />
    );
  if (schema.type === 'array' && schema.items?.type === 'string')
    return (
      <input
        {...props}
        defaultValue={(value as string[] | undefined)?.join(', ') ?? ''}
        onBlur={(e) =>
          onChange(
            e.target.value
              .split(',')
              .map((word) => word.trim())
              .filter(Boolean),
          )
        }
      />
    );
  if (schema.type === 'array')
    return (
      <input
        {...props}
        defaultValue={(value as number[][] | undefined)?.map((pair) => pair.join('-')).join(', ') ?? ''}
        placeholder="5-15, 20-8"
        aria-label={`${schema.title ?? ''}, as from-to pairs`}
        onBlur={(e) =>
          onChange(
            e.target.value
              .split(/[,;]/)
              .map((pair) => pair.split(/[-→]/).map((n) => Number(n.trim())))
              .filter((pair) => pair.length === 2 && pair.every((n) => Number.isInteger(n))),
          )
        }
      />
    );
  if (schema.enum)
    return (
      <select {...props} value={String(value)} onChange={(e) => onChange(schema.enum!.find((o) => String(o) === e.target.value))}>
        {schema.enum.map((o) => (
          <option key={String(o)} value={String(o)}>
            {valueWords(o)}
          </option>
        ))}
      </select>
    );
  return (
    <input
      {...props}
      type="number"
      min={schema.minimum}
      max={schema.maximum}
      value={Number(value)}
      onChange={(e) => onChange(Number(e.target.value))}
    />
  );
}
