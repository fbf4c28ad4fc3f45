const loopbackNames = new Set(['127.0.0.1', 'localhost', '[::1]']);
const methods = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE']);

/** As `src/server/http/readBody.ts` has it, which looks again at what comes without a length. */
const bodyLimitBytes = 8 * 1024 * 1024;

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
  let plain;
  try {
    plain = decodeURIComponent(path);
  } catch {
    return refuse(400, 'malformed', 'The address holds a broken % sign.');
  }
  // Programs are answered as programs: the framework's own pages for what it does not route are for people.

  if (/[\x00-\x1f\x7f\u2028\u2029]/.test(plain))
    return refuse(400, 'malformed', 'The address holds a sign that cannot be written, such as a line break.');
  if (path.startsWith('/api/') && path.includes('//'))
    return refuse(404, 'not-found', `There is no ${path} in this interface. See /api/v1/openapi.json.`);
  // Told before it is sent: what is on its way is let run out, so that the sender reads the answer and no broken connection.
  if (Number(request.headers['content-length'] ?? 0) > bodyLimitBytes) {
    request.resume();
    return refuse(413, 'too-large', 'That is more than 8 MB, far more than any shelf or roster. Nothing was read.');
  }
  // The framework's own image service is not used.
  if (path === '/_image' || path.startsWith('/_image/')) return refuse(404, 'not-found', 'There is nothing here.');
  if (path.includes('/..') || path.includes('\\')) return refuse(400, 'malformed', 'The address leads out of itself.');
  return true;
}
