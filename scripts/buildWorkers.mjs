import { build } from 'esbuild';

/** Bundles what runs outside the web build: node workers and the demo seed. */
export async function buildWorkers() {
  await build({
    entryPoints: {
      'workers/task.worker': 'src/workers/node/task.worker.ts',
      'scripts/seedDemo': 'src/demo/seedDemo.ts',
      'scripts/bench': 'bench/main.ts',
      'scripts/loopWorker': 'bench/loopWorker.ts',
      'scripts/drill': 'drill/main.ts',
      'scripts/profileLibrary': 'src/demo/profileLibrary.ts',
    },
    outdir: 'dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    external: ['exceljs', 'highs', 'better-sqlite3', 'pino', 'pino-roll'],
    // Ajv is CommonJS and asks for `require` when bundled.
    banner: { js: "import { createRequire as __createRequire } from 'node:module'; const require = __createRequire(import.meta.url);" },
    // Written-out constants stay constants, which the turn loops run faster with.
    minifySyntax: true,
    logLevel: 'warning',
  });
}

if (process.argv[1]?.endsWith('buildWorkers.mjs')) await buildWorkers();
