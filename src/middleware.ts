import { defineMiddleware } from 'astro:middleware';
import { refusalOf } from './server/security/guard';

export const onRequest = defineMiddleware(async ({ request }, next) => {
  const refusal = refusalOf(request);
  if (refusal)
    return new Response(JSON.stringify({ error: { code: 'refused-origin', message: refusal } }), {
      status: 403,
      headers: { 'content-type': 'application/json; charset=utf-8' },
    });
  const response = await next();
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('x-frame-options', 'DENY');
  response.headers.set('cross-origin-resource-policy', 'same-origin');
  return response;
});
