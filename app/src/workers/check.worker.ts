// By its own way in: the worker needs nothing else of the core.
import { checkShot } from '@humble/core/checks';
import { expose } from 'comlink';

const checker = { check: checkShot };
export type Checker = typeof checker;
expose(checker);
