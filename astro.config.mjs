import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  // Origin and Host are checked by our own guard, for every method.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "object-src 'none'",
        "base-uri 'self'",
        "form-action 'self'",
      ],
    },
  },
  vite: {
    ssr: { external: ['better-sqlite3', 'exceljs', 'highs', 'pino', 'pino-roll'] },
    build: { target: 'es2022' },
    // A module worker may leave out what it never plays with, such as the words families are known by.
    worker: { format: 'es' },
  },
});
