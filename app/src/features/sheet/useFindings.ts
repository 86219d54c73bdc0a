import type { Shot } from '@humble/core';
import type { ShotFinding } from '@humble/core/checks';
import { useEffect, useState } from 'react';
import { useThrottledShot } from '../../store/hooks';
import { checkAside } from '../../workers/check';

/** Checks begin when nothing has changed for so long, milliseconds. */
const REST_MS = 400;

interface Checked {
  readonly shot: Shot;
  readonly findings: readonly ShotFinding[];
}

/** What the checks find in the shot: worked out after each rest of the hand. Null while that is going on. */
export function useFindings(): readonly ShotFinding[] | null {
  const shot = useThrottledShot();
  const [checked, setChecked] = useState<Checked | null>(null);
  useEffect(() => {
    let isWanted = true;
    const rest = setTimeout(() => {
      void checkAside(shot).then((findings) => {
        if (isWanted) setChecked({ shot, findings });
      });
    }, REST_MS);
    return () => {
      isWanted = false;
      clearTimeout(rest);
    };
  }, [shot]);
  return checked?.shot === shot ? checked.findings : null;
}
