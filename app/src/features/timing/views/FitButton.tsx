import Maximize from 'lucide-react-native/icons/maximize';
import type { ZoomedAxis } from '../../../interaction/interactiveSurface';
import { IconButton } from '../../../ui/Button';
import { timingWords as words } from '../../../words/timing';

interface FitButtonProps {
  readonly zooms: readonly ZoomedAxis[];
  readonly of: string;
}

export function FitButton({ zooms, of }: FitButtonProps) {
  const fit = (): void => zooms.forEach(({ zoom }) => zoom.fit());
  return zooms.some(({ zoom }) => zoom.isZoomed) ? (
    <IconButton label={words.allOfThe(of)} icon={Maximize} onPress={fit} />
  ) : null;
}
