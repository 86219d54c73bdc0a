import type { Shot } from '@humble/core';
import { checkShot, type ShotFinding } from '@humble/core/checks';

/** What the checks find in a shot. On the web that happens in a worker, so that the hand is never held up. */
export const checkAside = (shot: Shot): Promise<readonly ShotFinding[]> => Promise.resolve(checkShot(shot));
