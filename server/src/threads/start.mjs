// Threads do not take over from the server how TypeScript is read: this tells them, then runs their file.
import { workerData } from 'node:worker_threads';
import { pathToFileURL } from 'node:url';
import { register } from 'tsx/esm/api';

register();
await import(pathToFileURL(workerData.file).href);
