import { useEffect, useState } from 'react';
import type { ListedShot } from './api';
import { knownShots } from './laterParts';

export interface KnownList {
  readonly shots: readonly ListedShot[];
  /** Those of them that can be opened without the server. */
  readonly ids: ReadonlySet<string>;
}

/** The list as this device knows it, while it is asked for; null before it is read, and where there is none. */
export function useKnownList(isAskedFor: boolean): KnownList | null {
  const [known, setKnown] = useState<KnownList | null>(null);
  useEffect(() => {
    if (!isAskedFor) return;
    let isWanted = true;
    const read = async (): Promise<void> => {
      const { knownIds, knownList } = await knownShots();
      const [shots, ids] = await Promise.all([knownList(), knownIds()]);
      if (isWanted && shots) setKnown({ shots, ids });
    };
    void read().catch(() => undefined);
    return () => {
      isWanted = false;
    };
  }, [isAskedFor]);
  return isAskedFor ? known : null;
}
