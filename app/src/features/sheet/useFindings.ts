import type { ShotFinding } from '@humble/core/checks';
import { useThrottledSelector, useThrottledShot } from '../../store/hooks';

/** What the checks find in the shot as it is now; null while they are still looking. */
export function useFindings(): readonly ShotFinding[] | null {
  const shot = useThrottledShot();
  const checked = useThrottledSelector(({ review }) => review.checked);
  return checked?.shot === shot ? checked.findings : null;
}
