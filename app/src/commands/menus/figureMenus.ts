import {
  type BetweenPoses,
  betweenPoses,
  type Growth,
  poseAim,
  type TrackName,
  trackDefinition,
  type Vector,
} from '@humble/core';
import CornerDownRight from 'lucide-react-native/icons/corner-down-right';
import Copy from 'lucide-react-native/icons/copy';
import SquareCheck from 'lucide-react-native/icons/square-check';
import Minus from 'lucide-react-native/icons/minus';
import MapPin from 'lucide-react-native/icons/map-pin';
import Pause from 'lucide-react-native/icons/pause';
import PersonStanding from 'lucide-react-native/icons/person-standing';
import Plus from 'lucide-react-native/icons/plus';
import Spline from 'lucide-react-native/icons/spline';
import Trash from 'lucide-react-native/icons/trash';
import TrendingUp from 'lucide-react-native/icons/trending-up';
import { TRACK_DESCRIPTORS } from '../../kinds/tracks';
import { currentFrame, goTo } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { selectFigurePlace } from '../../store/selectors/selection';
import type { AppStore } from '../../store/store';
import type { ContextMenu } from '../../ui/contextMenu';
import type { MenuItem } from '../../ui/Menu';
import { figureWords } from '../../words/figure';
import { menusWords as words } from '../../words/menus';
import { deleteKeyAt, toggleKeySelection, copyKeys } from '../keys';
import { putFigure } from '../posing';
import { MENU_HOLD } from './timingMenus';
import { selectActiveMove } from '../../store/selectors/active';
import { frameNumber } from '../../store/frameNumbers';

const PATHS: readonly {
  readonly how: BetweenPoses;
  readonly label: string;
  readonly icon: MenuItem['icon'];
}[] = [
  { how: 'straight', label: figureWords.straight, icon: Minus },
  { how: 'curved', label: figureWords.curved, icon: Spline },
  { how: 'snap', label: figureWords.jump, icon: CornerDownRight },
];

/** The figure on a frame: its pose there, or one to add, and the path to the next one. The playhead goes there. */
export function poseMenu(store: AppStore, frame: number): ContextMenu | null {
  const state = store.getState();
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  if (!shot || !move) return null;
  goTo(frame);
  const { dispatch } = store;
  const { takesLater } = state.settings;
  const moveId = move.id;
  const aim = poseAim(move, frame);
  const index = move.marks.findIndex(({ id }) => id === aim.markId);
  const mark = move.marks[index];
  const next = index < 0 ? undefined : move.marks[index + 1];
  const stands = selectFigurePlace(state, aim.frame);
  if (!mark)
    return {
      title: words.figure(frameNumber(aim.frame)),
      items: stands
        ? [
            {
              label: words.addPose,
              icon: Plus,
              onPress: () => void dispatch(putFigure({ move, frame: aim.frame, to: stands })),
            },
          ]
        : [],
    };
  const now = betweenPoses(shot, moveId, mark.id);
  return {
    title: words.pose(frameNumber(mark.frame)),
    items: [
      {
        label: words.hold(MENU_HOLD),
        icon: Pause,
        onPress: () =>
          void dispatch(doEdit('insertHold', { moveId, frame: mark.frame, frames: MENU_HOLD, takesLater })),
      },
      ...(next && now !== null
        ? PATHS.map(({ how, label, icon }) => ({
            label: words.to(label, frameNumber(next.frame)),
            icon,
            isChosen: how === now,
            onPress: () => void dispatch(doEdit('setBetweenPoses', { moveId, markId: mark.id, how })),
          }))
        : []),
      {
        label: words.removePose,
        icon: Trash,
        disabled: move.marks.length <= 2,
        onPress: () => void dispatch(doEdit('deletePose', { moveId, markId: mark.id })),
      },
    ],
  };
}

export function figureHereItem(store: AppStore, to: Vector): MenuItem {
  return {
    label: words.figureHere,
    icon: MapPin,
    onPress: () =>
      void store.dispatch(putFigure({ move: selectActiveMove(store.getState()), frame: currentFrame(), to })),
  };
}

const GROWTHS: readonly {
  readonly growth: Growth;
  readonly label: string;
  readonly icon: MenuItem['icon'];
}[] = [
  { growth: 'even', label: words.evenly, icon: Minus },
  { growth: 'ratio', label: words.byRatio, icon: TrendingUp },
  { growth: 'depth', label: words.inDepth, icon: PersonStanding },
];

export function keyMenu(store: AppStore, track: TrackName, frame: number): ContextMenu | null {
  const move = selectActiveMove(store.getState());
  const keys = move?.tracks[track] ?? [];
  const index = keys.findIndex((key) => key.frame === frame);
  const key = keys[index];
  if (!move || !key) return null;
  goTo(frame);
  const canGrow = trackDefinition(track).grows && index < keys.length - 1;
  return {
    title: words.key(TRACK_DESCRIPTORS[track].label, frameNumber(frame)),
    items: [
      ...(canGrow
        ? GROWTHS.map(({ growth, label, icon }) => ({
            label,
            icon,
            isChosen: key.growth === growth,
            onPress: () =>
              void store.dispatch(
                doEdit('setKeyGrowth', { moveId: move.id, track, keyIds: [key.id], growth }),
              ),
          }))
        : []),
      {
        label: words.selectKey,
        icon: SquareCheck,
        onPress: () => store.dispatch(toggleKeySelection(track, key.id)),
      },
      {
        label: words.copy,
        icon: Copy,
        onPress: () => store.dispatch(copyKeys(track, [key.id])),
      },
      {
        label: words.deleteKey,
        icon: Trash,
        onPress: () => void store.dispatch(deleteKeyAt(track, frame)),
      },
    ],
  };
}
