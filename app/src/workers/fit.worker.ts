// By its own way in: the worker needs nothing else of the core.
import { fitStroke } from '@humble/core/fitStroke';
import { expose } from 'comlink';

const fitter = { fit: fitStroke };
export type Fitter = typeof fitter;
expose(fitter);
