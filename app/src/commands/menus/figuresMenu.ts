import type { Shot } from '@humble/core';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Focus from 'lucide-react-native/icons/focus';
import Lock from 'lucide-react-native/icons/lock';
import LockOpen from 'lucide-react-native/icons/lock-open';
import MapPin from 'lucide-react-native/icons/map-pin';
import Trash from 'lucide-react-native/icons/trash';
import Unlink from 'lucide-react-native/icons/unlink';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { doEdit } from '../../store/doEdit';
import type { AppStore } from '../../store/store';
import type { ContextMenu } from '../../ui/contextMenu';
import type { MenuItem } from '../../ui/Menu';
import { figuresWords as words } from '../../words/figures';
import { attachFigure, detachFigure, toggleSolo } from '../figures';

/** So many arcs are offered in a menu; the others are tapped in the field. */
const MAX_ARCS = 4;

/** Arcs that a figure can come onto: those that it does not ride. */
const arcsFor = ({ arcs, moves }: Shot, figureId: string) => {
  const ridden = moves.find((move) => move.figureId === figureId)?.arcId;
  return arcs.filter(({ id, locked }) => id !== ridden && !locked);
};

export function figureMenu(store: AppStore, figureId: string): ContextMenu | null {
  const { shot } = store.getState().shot.present;
  const figure = shot?.figures.find(({ id }) => id === figureId);
  if (!shot || !figure) return null;
  const { dispatch } = store;
  const { hidden, locked } = figure;
  const rides = shot.moves.some((move) => move.figureId === figureId);
  const isSolo = store.getState().editor.soloFigureId === figureId;
  const set = (some: { readonly hidden?: boolean; readonly locked?: boolean }) => () =>
    void dispatch(doEdit('setFigure', { figureId, ...some }));
  const arcs = arcsFor(shot, figureId)
    .slice(0, MAX_ARCS)
    .flatMap(({ id, name }): MenuItem[] => [
      {
        label: words.attachAtStart(name),
        icon: UserPlus,
        onPress: () => void dispatch(attachFigure(figureId, id, 'start')),
      },
      {
        label: words.attachWhereItIs(name),
        icon: MapPin,
        onPress: () => void dispatch(attachFigure(figureId, id, 'where-it-is')),
      },
    ]);
  return {
    title: figure.name,
    items: [
      ...arcs,
      ...(rides
        ? [{ label: words.detach, icon: Unlink, onPress: () => void dispatch(detachFigure(figureId)) }]
        : []),
      {
        label: isSolo ? words.showAll : words.showAlone,
        icon: Focus,
        onPress: () => dispatch(toggleSolo(figureId)),
      },
      {
        label: hidden ? words.show : words.hide,
        icon: hidden ? EyeOff : Eye,
        onPress: set({ hidden: !hidden }),
      },
      {
        label: locked ? words.unlock : words.lock,
        icon: locked ? LockOpen : Lock,
        onPress: set({ locked: !locked }),
      },
      {
        label: words.removeFigure,
        icon: Trash,
        disabled: locked,
        onPress: () => void dispatch(doEdit('removeFigure', { figureId })),
      },
    ],
  };
}
