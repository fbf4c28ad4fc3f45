import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

/** Lists up to so long are drawn whole, so that the browser's own search finds everything. */
const wholeUpTo = 60;
const overscan = 8;
/** Rows that are tall and hold several buttons: fewer of them, so that the keyboard does not stop hundreds of times. */
const tallWholeUpTo = 12;
const tallOverscan = 3;

export interface WindowRows<E extends Element> {
  /** On the element that holds the rows. */
  readonly holder: RefObject<E | null>;
  /** Indices of the rows to draw. */
  readonly shown: readonly number[];
  /** Room before and after them, in pixels. */
  readonly before: number;
  readonly after: number;
  /** On each row, with `data-index`, where rows differ in height. */
  readonly measure: ((row: Element | null) => void) | undefined;
}

/**
 * Draws of a long list only what is near the window; all of it when it is printed.
 * @param tall rows as high as a third of the window, with buttons in them
 */
export function useWindowRows<E extends Element>(count: number, rowHeight: number, tall = false): WindowRows<E> {
  const holder = useRef<E>(null);
  const [margin, setMargin] = useState(0);
  const [printing, setPrinting] = useState(false);
  const whole = count <= (tall ? tallWholeUpTo : wholeUpTo) || printing;
  useLayoutEffect(() => {
    if (holder.current) setMargin(holder.current.getBoundingClientRect().top + window.scrollY);
  }, [whole, count]);
  useEffect(() => {
    const all = (): void => flushSync(() => setPrinting(true));
    const part = (): void => setPrinting(false);
    addEventListener('beforeprint', all);
    addEventListener('afterprint', part);
    return () => {
      removeEventListener('beforeprint', all);
      removeEventListener('afterprint', part);
    };
  }, []);
  const rows = useWindowVirtualizer({
    count,
    estimateSize: () => rowHeight,
    overscan: tall ? tallOverscan : overscan,
    scrollMargin: margin,
    enabled: !whole,
  });
  if (whole) return { holder, shown: Array.from({ length: count }, (_, i) => i), before: 0, after: 0, measure: undefined };
  const items = rows.getVirtualItems();
  return {
    holder,
    shown: items.map((i) => i.index),
    before: items.length === 0 ? 0 : Math.max(0, items[0]!.start - margin),
    after: items.length === 0 ? rows.getTotalSize() : Math.max(0, rows.getTotalSize() - (items.at(-1)!.end - margin)),
    measure: rows.measureElement,
  };
}
