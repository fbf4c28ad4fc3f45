import { buildWorkers } from './buildWorkers.mjs';

/** Unit tests of the worker pool run against the bundled worker. */
export default async function setup() {
  await buildWorkers();
}
