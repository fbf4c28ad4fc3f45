import { expect, test } from '@playwright/test';

test('a write with the same key is made once, and a key stands for one write', async ({ request }) => {
  const headers = { 'idempotency-key': 'one-and-the-same' };
  const send = (path: string, data: object) => request.post(`/api/v1${path}`, { data, headers });
  await request.delete('/api/v1/workspace?confirm=empty');
  const first = await send('/learners', { nickname: 'Twin', born: '2018-04' });
  expect(first.status()).toBe(201);
  expect(await (await send('/learners', { nickname: 'Twin', born: '2018-04' })).json()).toEqual(await first.json());
  expect((await (await request.get('/api/v1/learners')).json()).total).toBe(1);
  expect((await send('/games', { title: 'x' })).status()).toBe(409);
});

test('only this machine is answered', async ({ request }) => {
  expect((await request.get('/api/v1/health', { headers: { host: 'example.test' } })).status()).toBe(403);
  expect((await request.post('/api/v1/undo', { data: {}, headers: { origin: 'http://example.test' } })).status()).toBe(403);
  expect((await request.get('/shelf', { headers: { host: 'example.test' } })).status()).toBe(403);
});
