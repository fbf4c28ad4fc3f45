import styles from './choice.module.css';

/** A row of taps of which one may be on. */
export function Choice({
  label,
  value,
  options,
  onChange,
  large = false,
  disabled = false,
}: {
  label: string;
  value: string | null;
  options: readonly { id: string; title: string }[];
  onChange: (id: string) => void;
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
