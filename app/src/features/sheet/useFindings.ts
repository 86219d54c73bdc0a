import type { ShotFinding } from '@humble/core/checks';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';

/** What the checks found last, and whether that is about the shot as it is now. */
export interface Found {
  /** Null before they have looked for the first time. */
  readonly findings: readonly ShotFinding[] | null;
  readonly isFresh: boolean;
}

export function useFindings(): Found {
  const shot = useThrottledShot();
  const checked = useThrottledSelector(({ review }) => review.checked);
  return { findings: checked?.findings ?? null, isFresh: checked?.shot === shot };
}
