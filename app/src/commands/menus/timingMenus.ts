import { beginsExposure, isSkipped, shownFrame } from '@humble/core';
import ClipboardPaste from 'lucide-react-native/icons/clipboard-paste';
import Copy from 'lucide-react-native/icons/copy';
import Shrink from 'lucide-react-native/icons/fold-horizontal';
import Flag from 'lucide-react-native/icons/flag';
import FlagOff from 'lucide-react-native/icons/flag-off';
import MoveIcon from 'lucide-react-native/icons/move';
import Pause from 'lucide-react-native/icons/pause';
import Trash from 'lucide-react-native/icons/trash';
import Undo from 'lucide-react-native/icons/undo-2';
import { goTo } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { marksSelected } from '../../store/editorSlice';
import type { AppStore } from '../../store/store';
import type { ContextMenu } from '../../ui/contextMenu';
import type { MenuItem } from '../../ui/Menu';
import { menusWords as words } from '../../words/menus';
import { addMark, copySelectedMarks, deleteSelectedMarks, pasteMarks } from '../timing';
import { selectActiveMove } from '../../store/selectors/active';
import { frameNumber } from '../../store/frameNumbers';

/** How long the figure holds when it is told to from a menu, frames. */
export const MENU_HOLD = 8;

export function markMenu(store: AppStore, markIds: readonly string[]): ContextMenu | null {
  const move = selectActiveMove(store.getState());
  const { selectedMarkIds } = store.getState().editor;
  const { takesLater } = store.getState().settings;
  const ids = markIds.every((id) => selectedMarkIds.includes(id)) ? selectedMarkIds : markIds;
  const marks = move?.marks.filter(({ id }) => ids.includes(id)) ?? [];
  const [first] = marks;
  if (!move || !first) return null;
  store.dispatch(marksSelected(ids));
  if (marks.length === 1) goTo(first.frame);
  const setKind = (kind: 'stop' | 'pass') => () =>
    void store.dispatch(doEdit('setMarks', { moveId: move.id, markIds: ids, kind }));
  const isAll = (kind: 'stop' | 'pass'): boolean => marks.every((mark) => mark.kind === kind);
  return {
    title: marks.length === 1 ? words.mark(frameNumber(first.frame)) : words.marks(marks.length),
    items: [
      { label: words.stopHere, icon: Flag, isChosen: isAll('stop'), onPress: setKind('stop') },
      { label: words.passThrough, icon: FlagOff, isChosen: isAll('pass'), onPress: setKind('pass') },
      ...(marks.length === 1
        ? [
            {
              label: words.hold(MENU_HOLD),
              icon: Pause,
              onPress: () =>
                void store.dispatch(
                  doEdit('insertHold', {
                    moveId: move.id,
                    frame: first.frame,
                    frames: MENU_HOLD,
                    takesLater,
                  }),
                ),
            },
          ]
        : []),
      { label: words.copy, icon: Copy, onPress: () => store.dispatch(copySelectedMarks()) },
      {
        label: marks.length === 1 ? words.deleteMark : words.deleteMarks,
        icon: Trash,
        disabled: move.marks.length - marks.length < 2,
        onPress: () => store.dispatch(deleteSelectedMarks()),
      },
    ],
  };
}

/**
 * The picture that is seen on a frame, or its mark where it has one. The playhead goes there.
 * @param fraction the place for a mark, in lengths of the arc; without it a mark takes the place the plan has
 */
export function pictureMenu(store: AppStore, frame: number, fraction?: number): ContextMenu | null {
  const move = selectActiveMove(store.getState());
  const { shot } = store.getState().shot.present;
  if (!move || !shot) return null;
  goTo(frame);
  const mark = move.marks.find((candidate) => candidate.frame === frame);
  if (mark) return markMenu(store, [mark.id]);
  const moveId = move.id;
  const on = isSkipped(move, frame) ? frame : shownFrame(move, shot, frame);
  const isByHand = move.overrides.some((override) => override.frame === on);
  const skip = (closesUp: boolean) => () =>
    void store.dispatch(doEdit('skipExposure', { moveId, frame: on, closesUp }));
  const handling: readonly MenuItem[] = [
    { label: words.skipAndHold, icon: Pause, onPress: skip(false) },
    { label: words.skipAndClose, icon: Shrink, onPress: skip(true) },
    isByHand
      ? {
          label: words.backToPlan,
          icon: Undo,
          onPress: () => void store.dispatch(doEdit('backOnPlan', { moveId, frames: [on] })),
        }
      : {
          label: words.placeByHand,
          icon: MoveIcon,
          onPress: () => void store.dispatch(doEdit('putByHand', { moveId, frame: on, dx: 0, dy: 0 })),
        },
  ];
  return {
    title: words.picture(frameNumber(frame)),
    items: [
      {
        label: words.addMark,
        icon: Flag,
        onPress: () => void store.dispatch(addMark(frame, fraction)),
      },
      ...(store.getState().editor.copied
        ? [{ label: words.paste, icon: ClipboardPaste, onPress: () => store.dispatch(pasteMarks()) }]
        : []),
      ...(beginsExposure(move, on) && !isSkipped(move, on) ? handling : []),
    ],
  };
}
