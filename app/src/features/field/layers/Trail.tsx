import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { ChunkedLivePath, usePixel } from '../../../render/livePaths';

interface TrailProps {
  readonly paths: (state: RootState) => readonly string[];
}

export function TrailHalo({ paths }: TrailProps) {
  const pixel = usePixel();
  return <ChunkedLivePath paths={paths} fill="none" stroke={colour.field} strokeWidth={3 * pixel} />;
}

export function Trail({ paths }: TrailProps) {
  const pixel = usePixel();
  return (
    <ChunkedLivePath
      paths={paths}
      fill="none"
      stroke={colour.indigo}
      strokeWidth={1.35 * pixel}
      testID="trail"
    />
  );
}
