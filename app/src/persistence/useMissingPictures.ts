import type { Picture } from '@humble/core';
import { useEffect, useState } from 'react';
import { pictureAddress } from './pictures';

/**
 * Whether the server lacks the first of some pictures: a shot file names pictures, and one from another desk may come
 * without them.
 */
export function useMissingPictures(pictures: readonly Picture[] | undefined): boolean {
  const first = pictures?.[0]?.sha256;
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
