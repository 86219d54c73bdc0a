import { timingWords as words } from '../../../words/timing';
import Maximize from 'lucide-react-native/icons/maximize';
import { IconButton } from '../../../ui/Button';
import type { Zoom } from './useZoom';

const STEP = 1.6;

/** The way back to all of a view that is zoomed. @param of what is zoomed, for screen readers */
export function FitButton({
  zoom,
  of,
}: {
  readonly zoom: Pick<Zoom, 'isZoomed' | 'fit'>;
  readonly of: string;
}) {
  return zoom.isZoomed ? <IconButton label={words.allOfThe(of)} icon={Maximize} onPress={zoom.fit} /> : null;
}

/** What the keys zoom: about the playhead, which so comes into sight. */
export interface KeyZoom {
  readonly by: (factor: number) => void;
  readonly fit: () => void;
}

/** Keys of a view that has the focus: plus, minus and nought zoom. @returns whether the key was one of them */
export function zoomKey(key: string, zoom: KeyZoom): boolean {
  if (key !== '+' && key !== '=' && key !== '-' && key !== '0') return false;
  if (key === '0') zoom.fit();
  else zoom.by(key === '-' ? 1 / STEP : STEP);
  return true;
}
