import styles from './choice.module.css';

/** A row of taps of which one may be on. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  large = false,
  disabled = false,
}: {
  label: string;
  value: T | null;
  options: readonly { id: T; title: string }[];
  onChange: (id: T) => void;
  large?: boolean;
  disabled?: boolean;
}) {
  return (
    <div role="group" aria-label={label} className={styles.group}>
      <span className={styles.label}>{label}</span>
      <span className={large ? styles.large : styles.row}>
        {options.map((o) => (
          <button
            key={o.id}
            type="button"
            disabled={disabled}
            aria-pressed={value === o.id}
            data-tone={o.id}
            onClick={() => onChange(o.id)}
          >
            {o.title}
          </button>
        ))}
      </span>
    </div>
  );
}

/** Ids with their words, as choices. */
export const choicesOf = <T extends string>(words: Readonly<Record<T, string>>): { id: T; title: string }[] =>
  (Object.entries(words) as [T, string][]).map(([id, title]) => ({ id, title }));
