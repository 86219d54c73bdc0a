import { nextPlacement } from '@humble/core/shoot';
import { lruMemoize } from '@reduxjs/toolkit';

/** The next placement of a shot, worked out once for it. */
export const nextOf = lruMemoize(nextPlacement);

/** As it is read: one decimal, two where the ruler has finer steps; no sign. */
export const size = (value: number, rulerStep: number | null): string =>
  Math.abs(value).toFixed(rulerStep !== null && rulerStep < 0.1 ? 2 : 1);
