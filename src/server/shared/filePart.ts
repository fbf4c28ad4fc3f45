import { refuse } from '../http/problemError';

/** The bytes of a file that was sent as base64 or as text. */
export function bytesOf(body: { base64?: string; text?: string }): Uint8Array {
  if (body.base64 !== undefined) return Uint8Array.from(Buffer.from(body.base64, 'base64'));
  if (body.text !== undefined) return new TextEncoder().encode(body.text);
  throw refuse('malformed', 'Send the file as "base64" or "text".', 'text');
}
