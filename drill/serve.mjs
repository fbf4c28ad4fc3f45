import { serve } from '../scripts/serve.mjs';

// The built program on a port and a directory that the drill names.
await serve({ host: '127.0.0.1', port: Number(process.argv[2]), data: process.argv[3] }, 'at');
