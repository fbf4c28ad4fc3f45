import { rmSync } from 'node:fs';
import { serve } from '../scripts/serve.mjs';

// A fresh, empty workspace for every run of the end-to-end tests.
const data = process.argv[3] ?? 'test-results/workspace';
rmSync(data, { recursive: true, force: true });
process.env.ZEITGEBER_TEST = '1';
await serve({ host: '127.0.0.1', port: Number(process.argv[2]), data }, 'Test server at');
