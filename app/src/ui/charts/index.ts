import { lazyWithRetry } from '../lazyWithRetry';
import type { ChartProps } from './chartProps';

export type { ChartProps };

/** Charts come with their package as one part of its own, when there is something to be shown. */
export const LineGraph = lazyWithRetry<ChartProps>(() => import('./Charts').then((part) => part.LineGraph));
export const BarGraph = lazyWithRetry<ChartProps>(() => import('./Charts').then((part) => part.BarGraph));
