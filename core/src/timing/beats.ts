/** Peaks of a sound: the loudest of each short piece of it, 0 to 1. */
export interface SoundPeaks {
  readonly perSecond: number;
  readonly peaks: ArrayLike<number>;
}

/** A beginning stands out where it is so many times as loud as what was just before it. */
const MIN_RISE = 1.8;
/** What was just before it, seconds. */
const BEFORE_SECONDS = 0.06;
/** How soon after a beginning its loudest moment comes, seconds. */
const ATTACK_SECONDS = 0.05;
/** Beginnings closer than this are one, seconds. */
const APART_SECONDS = 0.12;

/**
 * Loud beginnings in a sound: moments where it suddenly gets louder, and at least as loud as asked for. What is even or
 * fades has none.
 * @param level share of the loudest moment of the whole sound that counts as loud, 0 to 1
 * @returns seconds from the start of the sound, rising
 */
export function findBeats({ perSecond, peaks }: SoundPeaks, level: number): readonly number[] {
  let loudest = 0;
  for (let i = 0; i < peaks.length; i++) loudest = Math.max(loudest, peaks[i]!);
  if (loudest === 0) return [];
  const [before, attack, apart] = [BEFORE_SECONDS, ATTACK_SECONDS, APART_SECONDS].map((seconds) =>
    Math.max(1, Math.round(seconds * perSecond)),
  ) as [number, number, number];
  const loudestIn = (from: number, until: number): number => {
    let most = 0;
    for (let i = Math.max(0, from); i < Math.min(peaks.length, until); i++) most = Math.max(most, peaks[i]!);
    return most;
  };
  const found: number[] = [];
  let last = -Infinity;
  for (let i = 0; i < peaks.length; i++) {
    if (i - last < apart) continue;
    const top = loudestIn(i, i + attack);
    // It begins where it first comes half way up to its loudest moment.
    if (top < level * loudest || peaks[i]! < top / 2) continue;
    if (top < MIN_RISE * loudestIn(i - before, i)) continue;
    found.push(i / perSecond);
    last = i;
  }
  return found;
}
