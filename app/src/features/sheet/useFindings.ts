import type { ShotFinding } from '@humble/core/checks';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';

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
