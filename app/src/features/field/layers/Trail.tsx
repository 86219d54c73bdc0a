import type { RootState } from '../../../store/store';
import { BAND_OPACITY } from '../../../ui/detail';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { ChunkedLivePath } from '../../../playback/liveShapes';
import { TRAIL_BAND_PX } from './arcPaths';

type Paths = (state: RootState) => readonly string[];

export function TrailHalo({ paths }: { readonly paths: Paths }) {
  const pixel = usePixel();
  return <ChunkedLivePath paths={paths} fill="none" stroke={colour.field} strokeWidth={3 * pixel} />;
}

interface TrailProps {
  readonly ticks: Paths;
  readonly bands: Paths;
  readonly testID: string;
}

export function Trail({ ticks, bands, testID }: TrailProps) {
  const pixel = usePixel();
  return (
    <>
      <ChunkedLivePath
        paths={bands}
        fill="none"
        stroke={colour.indigo}
        strokeOpacity={BAND_OPACITY}
        strokeWidth={2 * TRAIL_BAND_PX * pixel}
      />
      <ChunkedLivePath
        paths={ticks}
        fill="none"
        stroke={colour.indigo}
        strokeWidth={1.35 * pixel}
        testID={testID}
      />
    </>
  );
}
