import EyeOff from 'lucide-react-native/icons/eye-off';
import SquareCheck from 'lucide-react-native/icons/square-check';
import Trash from 'lucide-react-native/icons/trash';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { doEdit } from '../../store/doEdit';
import { riderChosen } from '../../store/editorSlice';
import type { AppStore } from '../../store/store';
import type { ContextMenu } from '../../ui/contextMenu';
import { partsWords as words } from '../../words/parts';
import { releasePart } from '../parts';
import { selectActiveMove } from '../../store/selectors/active';

/** What can be done with a part of the active figure; null where there is none by that id. */
export function partMenu(store: AppStore, riderId: string): ContextMenu | null {
  const move = selectActiveMove(store.getState());
  const rider = move?.riders.find(({ id }) => id === riderId);
  if (!move || !rider) return null;
  const of = { moveId: move.id, riderId };
  return {
    title: rider.name,
    items: [
      {
        label: words.workOnPart(rider.name),
        icon: SquareCheck,
        onPress: () => void store.dispatch(riderChosen(riderId)),
      },
      {
        label: words.hidePart,
        icon: EyeOff,
        onPress: () => void store.dispatch(doEdit('setRider', { ...of, hidden: true })),
      },
      {
        label: words.letGo,
        icon: UserPlus,
        onPress: () => void store.dispatch(releasePart(riderId)),
      },
      {
        label: words.removePart,
        icon: Trash,
        onPress: () => void store.dispatch(doEdit('removeRider', of)),
      },
    ],
  };
}
