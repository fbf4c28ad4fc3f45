const loopbackNames = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Why a request is not answered, or null. Until sharing exists only this machine may speak
 * to the program: the Host must be a loopback name, and a write must come from the same
 * origin (or from a script, which sends no Origin at all).
 */
export function refusalOf(request: Request): string | null {
  const host = request.headers.get('host') ?? '';
  const name = host.replace(/:\d+$/, '').toLowerCase();
  if (!loopbackNames.has(name)) return 'This program only answers on this machine, at 127.0.0.1 or localhost.';
  const origin = request.headers.get('origin');
  const sameOrigin = origin === null || origin === `http://${host}`;
  if (!sameOrigin) return 'A page from elsewhere may not speak to this program.';
  const site = request.headers.get('sec-fetch-site');
  const writes = request.method !== 'GET' && request.method !== 'HEAD';
  if (writes && site !== null && site !== 'same-origin' && site !== 'none') return 'A page from elsewhere may not change anything here.';
  return null;
}
