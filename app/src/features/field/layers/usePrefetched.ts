import type { Picture } from '@humble/core';
import { useEffect } from 'react';
import { Image } from 'react-native';
import { pictureAddress } from '../../../persistence/pictures';

/** So many pictures of a sequence are fetched ahead. */
const MAX_AHEAD = 300;

export function usePrefetched(pictures: readonly Picture[] | undefined): void {
  useEffect(() => {
    if (pictures && pictures.length > 1)
      for (const { sha256 } of pictures.slice(0, MAX_AHEAD))
        // What does not come now is fetched when it is shown.
        void Image.prefetch(pictureAddress(sha256)).catch(() => undefined);
  }, [pictures]);
}
