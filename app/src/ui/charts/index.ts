import { lazyWithRetry } from '../lazyWithRetry';
import type { ChartProps } from './chartProps';

export type { ChartProps };

export const LineGraph = lazyWithRetry<ChartProps>(() => import('./Charts').then((part) => part.LineGraph));
export const BarGraph = lazyWithRetry<ChartProps>(() => import('./Charts').then((part) => part.BarGraph));
