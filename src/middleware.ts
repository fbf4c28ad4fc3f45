import { createHash } from 'node:crypto';
import { defineMiddleware } from 'astro:middleware';
import { refusalOf } from './server/security/guard';

/** Kinds of answers that are the same until something changes. */
const marked = /^(text\/|application\/json)/;

export const onRequest = defineMiddleware(async ({ request }, next) => {
  const refusal = refusalOf(request);
  if (refusal)
    return new Response(JSON.stringify({ error: { code: 'refused-origin', message: refusal } }), {
      status: 403,
      headers: { 'content-type': 'application/json; charset=utf-8' },
    });
  const response = await withMark(request, await next());
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('x-frame-options', 'DENY');
  response.headers.set('cross-origin-resource-policy', 'same-origin');
  return response;
});

/** Marks an answer by what it holds; who has it already is told so in place of getting it again. */
async function withMark(request: Request, response: Response): Promise<Response> {
  const kind = response.headers.get('content-type') ?? '';
  if (request.method !== 'GET' || response.status !== 200 || !marked.test(kind)) return response;
  const body = await response.arrayBuffer();
  const mark = `W/"${createHash('sha1').update(new Uint8Array(body)).digest('base64url')}"`;
  const headers = new Headers(response.headers);
  headers.set('etag', mark);
  // Kept by the browser, but asked about every time.
  headers.set('cache-control', 'private, no-cache');
  if (request.headers.get('if-none-match') === mark) return new Response(null, { status: 304, headers });
  return new Response(body, { status: 200, headers });
}
