import { type KeyboardEvent, type ReactNode, useId, useRef } from 'react';

/**
 * Tabs with one panel, after the pattern of the WAI-ARIA Authoring Practices: one tab stop, arrows, Home and End move and
 * choose at once.
 */
export function Tabs<T extends string>({
  label,
  tabs,
  chosen,
  onChoose,
  className,
  children,
}: {
  label: string;
  tabs: readonly { readonly id: T; readonly title: string }[];
  chosen: T;
  onChoose: (id: T) => void;
  className?: string | undefined;
  children: ReactNode;
}) {
  const base = useId();
  const list = useRef<HTMLDivElement>(null);
  const at = tabs.findIndex((t) => t.id === chosen);
  function onKey(event: KeyboardEvent): void {
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: tabs.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const next = tabs[(to + tabs.length) % tabs.length]!;
    onChoose(next.id);
    list.current?.querySelector<HTMLElement>(`[id="${base}-tab-${next.id}"]`)?.focus();
  }
  return (
    <>
      <div ref={list} role="tablist" aria-label={label} className={className} onKeyDown={onKey}>
        {tabs.map((t) => (
          <button
            key={t.id}
            type="button"
            role="tab"
            id={`${base}-tab-${t.id}`}
            aria-selected={t.id === chosen}
            aria-controls={`${base}-panel`}
            tabIndex={t.id === chosen || (at < 0 && t === tabs[0]) ? 0 : -1}
            onClick={() => onChoose(t.id)}
          >
            {t.title}
          </button>
        ))}
      </div>
      <div role="tabpanel" id={`${base}-panel`} aria-labelledby={at < 0 ? undefined : `${base}-tab-${chosen}`}>
        {children}
      </div>
    </>
  );
}
