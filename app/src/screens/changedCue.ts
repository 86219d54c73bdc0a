/**
 * Which of a panel's groups what was selected last belongs to: the last one whose cue has become another, since a
 * later group is about something smaller. Null when no cue has, or those that have are gone. Where something ended in a
 * group that nobody is at any longer, what comes back with that brings nothing forward.
 * @param front the group in front, by its place
 */
export function changedCue(
  earlier: readonly (string | null)[],
  now: readonly (string | null)[],
  front?: number,
): number | null {
  const changed = now.findLastIndex((cue, i) => cue !== null && cue !== earlier[i]);
  if (changed < 0) return null;
  const ended = now.findIndex((cue, i) => cue === null && earlier[i] !== null);
  const onlyComesBack = earlier[changed] === null && ended >= 0 && front !== undefined;
  return onlyComesBack && front !== ended && front !== changed ? null : changed;
}
