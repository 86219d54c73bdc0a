export interface Pictures {
  readonly count: number;
  /** From picture to picture; round a closed arc the last one leads back to the first picture. */
  readonly intervals: number;
  readonly frames: number;
  readonly seconds: number;
}

/**
 * So many pictures on an arc: an open one has an interval less than pictures, a closed one as many.
 * @param count ≥ 2
 * @param rate frames per second
 */
export function picturesOn(
  isClosed: boolean,
  { count, framesHeld, rate }: { count: number; framesHeld: number; rate: number },
): Pictures {
  const frames = count * framesHeld;
  return { count, intervals: isClosed ? count : count - 1, frames, seconds: frames / rate };
}
