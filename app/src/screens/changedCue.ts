/**
 * Which of a panel's groups what was selected last belongs to: the last one whose cue has become another, since a
 * later group is about something smaller. Null when no cue has, or those that have are gone.
 */
export function changedCue(
  earlier: readonly (string | null)[],
  now: readonly (string | null)[],
): number | null {
  const changed = now.findLastIndex((cue, i) => cue !== null && cue !== earlier[i]);
  return changed < 0 ? null : changed;
}
