const sleeping = 'astro-island[ssr]';
const lookEveryMs = 10;
/** What has woken still has its first rendering before it. */
const firstRenderingMs = 30;
/** One that cannot wake holds up nobody for longer. */
const patienceMs = 4000;

let awake: Promise<void> | null = null;

/**
 * Resolves when every island of the page has taken over what the server sent. The islands share what they know: an
 * answer that one had before another woke would make the other begin with something else than it was sent.
 */
export function pageAwake(): Promise<void> {
  if (typeof document === 'undefined' || !document.querySelector(sleeping)) return awake ?? Promise.resolve();
  return (awake ??= new Promise((resolve) => {
    const began = performance.now();
    const look = (): void => {
      if (document.querySelector(sleeping) && performance.now() - began < patienceMs) setTimeout(look, lookEveryMs);
      else setTimeout(resolve, firstRenderingMs);
    };
    look();
  }));
}
