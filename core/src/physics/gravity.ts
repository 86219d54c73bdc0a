/** Standard acceleration of free fall, metres per second squared (ISO 80000-3). */
export const GRAVITY = 9.80665;

/**
 * Seconds of the model for a second of the real thing, in a miniature of 1 : scale: what falls in it has to take longer
 * by the root of the scale to look as heavy.
 */
export const miniatureTime = (scale: number): number => Math.sqrt(scale);

const MM_PER_METRE = 1000;

export const metres = (mm: number): number => mm / MM_PER_METRE;
export const millimetres = (m: number): number => m * MM_PER_METRE;
