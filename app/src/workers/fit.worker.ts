import { fitStroke } from '@humble/core';
import { expose } from 'comlink';

const fitter = { fit: fitStroke };
export type Fitter = typeof fitter;
expose(fitter);
