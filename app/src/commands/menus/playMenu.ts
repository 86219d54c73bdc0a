import Gauge from 'lucide-react-native/icons/gauge';
import Repeat from 'lucide-react-native/icons/repeat';
import SkipBack from 'lucide-react-native/icons/skip-back';
import SkipForward from 'lucide-react-native/icons/skip-forward';
import { goTo } from '../../playback/playhead';
import { PLAYBACK_SPEEDS, settingsChanged } from '../../store/settingsSlice';
import type { AppStore } from '../../store/store';
import type { ContextMenu } from '../../ui/contextMenu';
import { transportWords as words } from '../../words/transport';

/** What there is to playing besides the button: loop, ends, speed. */
export function playMenu(store: AppStore): ContextMenu {
  const { loops, playbackSpeed } = store.getState().settings;
  const last = store.getState().shot.present.shot?.lengthFrames ?? 1;
  return {
    title: words.playback,
    items: [
      {
        label: words.loop,
        icon: Repeat,
        isChosen: loops,
        onPress: () => store.dispatch(settingsChanged({ loops: !loops })),
      },
      { label: words.firstFrame, icon: SkipBack, onPress: () => goTo(1) },
      { label: words.lastFrame, icon: SkipForward, onPress: () => goTo(last) },
      ...PLAYBACK_SPEEDS.map((speed) => ({
        label: words.speed(speed),
        icon: Gauge,
        isChosen: speed === playbackSpeed,
        onPress: () => void store.dispatch(settingsChanged({ playbackSpeed: speed })),
      })),
    ],
  };
}
