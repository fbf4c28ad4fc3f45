import { useState } from 'react';

/** An id for a write that may be sent twice; works without a secure context. */
export function writeKey(): string {
  const bytes = new Uint8Array(16);
  crypto.getRandomValues(bytes);
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}

/**
 * The key of a write belongs to exactly what is sent: pressed again after a lost answer it is the same write, changed it is
 * another; once it is done, the next one is another too, even with the same words.
 */
export class WriteKey {
  private what = '';
  private key = '';

  for(body: unknown): string {
    const what = JSON.stringify(body);
    if (this.key === '' || this.what !== what) {
      this.what = what;
      this.key = writeKey();
    }
    return this.key;
  }

  done(): void {
    this.key = '';
  }
}

/** One for each form that writes something new. */
export function useWriteKey(): WriteKey {
  return useState(() => new WriteKey())[0];
}
