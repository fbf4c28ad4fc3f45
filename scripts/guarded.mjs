const loopbackNames = new Set(['127.0.0.1', 'localhost', '[::1]']);
const methods = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE']);

/** What holds for every answer, files too: only this machine is answered, and nothing is guessed about a file's kind. */
export function guarded(request, response) {
  response.setHeader('x-content-type-options', 'nosniff');
  const refuse = (status, code, message) => {
    response.writeHead(status, { 'content-type': 'application/json; charset=utf-8' });
    response.end(JSON.stringify({ error: { code, message } }));
    return false;
  };
  const name = (request.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
  if (!loopbackNames.has(name))
    return refuse(403, 'refused-origin', 'This program only answers on this machine, at 127.0.0.1 or localhost.');
  if (!methods.has(request.method)) return refuse(405, 'malformed', `${request.method} is not taken here.`);
  const path = (request.url ?? '/').split('?', 1)[0];
  try {
    decodeURIComponent(path);
  } catch {
    return refuse(400, 'malformed', 'The address holds a broken % sign.');
  }
  // The framework's own image service is not used.
  if (path === '/_image' || path.startsWith('/_image/')) return refuse(404, 'not-found', 'There is nothing here.');
  if (path.includes('/..') || path.includes('\\')) return refuse(400, 'malformed', 'The address leads out of itself.');
  return true;
}
