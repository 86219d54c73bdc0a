import type { Backdrop } from '@humble/core';
import { useEffect, useState } from 'react';
import { pictureAddress } from '../../persistence/pictures';

/**
 * Whether the server lacks the first picture of a backdrop: a shot file names pictures, and one from
 * another desk may come without them.
 */
export function useMissingPictures(backdrop: Backdrop | null): boolean {
  const first = backdrop?.pictures[0]?.sha256;
  const [missing, setMissing] = useState<string | null>(null);
  useEffect(() => {
    if (!first) return;
    const asked = new AbortController();
    fetch(pictureAddress(first), { method: 'HEAD', signal: asked.signal }).then(
      ({ status }) => setMissing(status === 404 ? first : null),
      () => undefined,
    );
    return () => asked.abort();
  }, [first]);
  return first !== undefined && missing === first;
}
