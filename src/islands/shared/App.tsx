import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useRef, useState } from 'react';
import { ApiError } from './api';
import styles from './app.module.css';

interface Notice {
  id: number;
  text: string;
  bad: boolean;
  action?: { label: string; run: () => void };
}

type Tell = (text: string, options?: { bad?: boolean; action?: { label: string; run: () => void } }) => void;

const NoticeContext = createContext<Tell>(() => undefined);

/** Says something at the foot of the page; errors stay until they are closed. */
export const useTell = (): Tell => useContext(NoticeContext);

/** Turns any failure into a sentence. */
export function messageOf(error: unknown): string {
  return error instanceof ApiError || error instanceof Error ? error.message : String(error);
}

const noticeMs = 9000;

/** One for all islands of a page, so that the strip sees what a view changed. */
export const queryClient = new QueryClient({
  defaultOptions: { queries: { retry: 1, staleTime: 5000, refetchOnWindowFocus: true } },
});

/** What every island stands in: server state and notices. */
export function App({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<Notice[]>([]);
  const serial = useRef(0);
  const shelf = useRef<HTMLDivElement>(null);
  // Bars at the foot of a page stand above what is said there, so that it covers no button.
  useEffect(() => {
    const high = notices.length === 0 ? 0 : (shelf.current?.offsetHeight ?? 0);
    document.documentElement.style.setProperty('--said', `${high === 0 ? 0 : high + 16}px`);
  }, [notices]);
  const close = useCallback((id: number) => setNotices((list) => list.filter((n) => n.id !== id)), []);
  const tell = useCallback<Tell>(
    (text, options = {}) => {
      const id = ++serial.current;
      setNotices((list) => [
        ...list.slice(-2),
        { id, text, bad: options.bad ?? false, ...(options.action ? { action: options.action } : {}) },
      ]);
      if (!options.bad) setTimeout(() => close(id), noticeMs);
    },
    [close],
  );
  return (
    <QueryClientProvider client={queryClient}>
      <NoticeContext.Provider value={tell}>
        {children}
        <div ref={shelf} className={styles.notices} role="status" aria-live="polite">
          {notices.map((n) => (
            <div key={n.id} className={n.bad ? styles.bad : styles.good}>
              <span>{n.text}</span>
              {n.action && (
                <button
                  type="button"
                  onClick={() => {
                    n.action!.run();
                    close(n.id);
                  }}
                >
                  {n.action.label}
                </button>
              )}
              <button type="button" aria-label="Close" onClick={() => close(n.id)}>
                ×
              </button>
            </div>
          ))}
        </div>
      </NoticeContext.Provider>
    </QueryClientProvider>
  );
}
