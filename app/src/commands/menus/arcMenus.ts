import type { Arc, PointKind } from '@humble/core';
import CircleDashed from 'lucide-react-native/icons/circle-dashed';
import CirclePlus from 'lucide-react-native/icons/circle-plus';
import Flag from 'lucide-react-native/icons/flag';
import FlagTriangleRight from 'lucide-react-native/icons/flag-triangle-right';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Link from 'lucide-react-native/icons/link-2';
import Lock from 'lucide-react-native/icons/lock';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Spline from 'lucide-react-native/icons/spline';
import CornerDownRight from 'lucide-react-native/icons/corner-down-right';
import SquareDashed from 'lucide-react-native/icons/square-dashed';
import Trash from 'lucide-react-native/icons/trash';
import Unlink from 'lucide-react-native/icons/unlink';
import Equal from 'lucide-react-native/icons/equal';
import { doEdit } from '../../store/doEdit';
import { arcActivated, type ArcLocation, pointsSelected, strokeAsked } from '../../store/editorSlice';
import type { AppStore } from '../../store/store';
import type { ContextMenu } from '../../ui/contextMenu';
import type { MenuItem } from '../../ui/Menu';
import { menusWords as words } from '../../words/menus';

const KINDS: readonly {
  readonly kind: PointKind;
  readonly label: string;
  readonly icon: MenuItem['icon'];
}[] = [
  { kind: 'smooth', label: words.smooth, icon: Spline },
  { kind: 'even', label: words.even, icon: Equal },
  { kind: 'corner', label: words.corner, icon: CornerDownRight },
];

export function pointMenu(store: AppStore, arc: Arc, pointId: string): ContextMenu | null {
  const index = arc.points.findIndex(({ id }) => id === pointId);
  const point = arc.points[index];
  if (!point || arc.locked) return null;
  const { dispatch } = store;
  dispatch(pointsSelected([pointId]));
  const arcId = arc.id;
  return {
    title: words.point(index + 1, arc.points.length),
    items: [
      ...KINDS.map(({ kind, label, icon }) => ({
        label,
        icon,
        isChosen: point.kind === kind,
        onPress: () => void dispatch(doEdit('setPointKind', { arcId, pointIds: [pointId], kind })),
      })),
      ...(arc.closed && index > 0
        ? [
            {
              label: words.startHere,
              icon: Flag,
              onPress: () => void dispatch(doEdit('startArcAt', { arcId, pointId, move: 'in-place' })),
            },
            {
              label: words.startHereWithMove,
              icon: FlagTriangleRight,
              onPress: () => void dispatch(doEdit('startArcAt', { arcId, pointId, move: 'goes-along' })),
            },
          ]
        : []),
      ...(arc.closed
        ? [
            {
              label: words.openHere,
              icon: Unlink,
              onPress: () => void dispatch(doEdit('openArc', { arcId, pointId })),
            },
          ]
        : []),
      {
        label: words.deletePoint,
        icon: Trash,
        disabled: arc.points.length <= 2,
        onPress: () => {
          if (dispatch(doEdit('deletePoints', { arcId, pointIds: [pointId] }))) dispatch(pointsSelected([]));
        },
      },
    ],
  };
}

export function arcMenu(store: AppStore, arc: Arc, location: ArcLocation): ContextMenu | null {
  if (arc.locked) return otherArcMenu(store, arc);
  const { dispatch } = store;
  const arcId = arc.id;
  return {
    title: arc.name,
    items: [
      {
        label: words.addPoint,
        icon: CirclePlus,
        onPress: () => {
          const done = dispatch(doEdit('insertPoint', { arcId, ...location }));
          if (done) dispatch(pointsSelected(done.made().points));
        },
      },
      {
        label: words.selectAll,
        icon: SquareDashed,
        onPress: () => dispatch(pointsSelected(arc.points.map(({ id }) => id))),
      },
      arc.closed
        ? {
            label: words.openArc,
            icon: CircleDashed,
            onPress: () => void dispatch(doEdit('openArc', { arcId })),
          }
        : {
            label: words.closeArc,
            icon: Link,
            onPress: () => void dispatch(doEdit('closeArc', { arcId })),
          },
      { label: words.redraw, icon: PencilLine, onPress: () => dispatch(strokeAsked('anew')) },
      ...handling(store, arc),
    ],
  };
}

/** An arc that is not worked on, or is locked. */
export const otherArcMenu = (store: AppStore, arc: Arc): ContextMenu => ({
  title: arc.name,
  items: [
    { label: words.workOnIt, icon: Spline, onPress: () => store.dispatch(arcActivated(arc.id)) },
    ...handling(store, arc),
  ],
});

function handling({ dispatch }: AppStore, { id: arcId, locked }: Arc): readonly MenuItem[] {
  return [
    {
      label: words.hide,
      icon: EyeOff,
      onPress: () => void dispatch(doEdit('setArc', { arcId, hidden: true })),
    },
    {
      label: locked ? words.unlock : words.lock,
      icon: Lock,
      onPress: () => void dispatch(doEdit('setArc', { arcId, locked: !locked })),
    },
    {
      label: words.removeArc,
      icon: Trash,
      disabled: locked,
      onPress: () => void dispatch(doEdit('removeArc', { arcId })),
    },
  ];
}
