import { refuse } from './problemError';

export const bodyLimitBytes = 8 * 1024 * 1024;

const tooLarge = () => refuse('too-large', 'That is more than 8 MB, far more than any shelf or roster. Nothing was read.');

/** The body as text, read no further than the limit, whatever length was announced. */
export async function readText(request: Request): Promise<string> {
  if (Number(request.headers.get('content-length') ?? 0) > bodyLimitBytes) throw tooLarge();
  if (!request.body) return '';
  const reader = request.body.getReader();
  const parts: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > bodyLimitBytes) {
      await reader.cancel();
      throw tooLarge();
    }
    parts.push(value);
  }
  return Buffer.concat(parts).toString('utf8');
}

/** @throws malformed where it is no JSON. */
export function parseJson(text: string): unknown {
  try {
    return text === '' ? {} : (JSON.parse(text) as unknown);
  } catch {
    throw refuse('malformed', 'The request body is not JSON.');
  }
}
