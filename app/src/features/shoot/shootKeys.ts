import { isOnPage } from '../../commands/arrows';
import { keyHandler } from '../../commands/keyHandler';
import { changeNext, takePicture } from '../../commands/shooting';
import { togglePlay } from '../../playback/playhead';
import type { AppStore } from '../../store/store';
import { flipLive } from './flipLive';

export function shootKeys({ dispatch }: AppStore): (event: KeyboardEvent) => boolean {
  const take = (event: KeyboardEvent): boolean => {
    // Space and Enter work the control that has the focus, if it is another one.
    if (event.key !== 'PageDown' && !isOnPage(event)) return false;
    if (!event.repeat) void dispatch(takePicture());
    return true;
  };
  return keyHandler('shoot', {
    take,
    takeToo: take,
    takeByPedal: take,
    takeByVolume: () => void dispatch(takePicture()),
    play: () => togglePlay(),
    flipLive: () => flipLive(),
    skip: () => void dispatch(changeNext('skipPlacement')),
  });
}
