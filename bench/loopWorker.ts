import { parentPort } from 'node:worker_threads';
import { oneLoop, type Run } from './planning';

parentPort!.on('message', (r: Run) => void oneLoop(r).then((result) => parentPort!.postMessage(result)));
