import { documentWords as words } from '../../words/document';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import CircleHelp from 'lucide-react-native/icons/circle-question-mark';
import Eye from 'lucide-react-native/icons/eye';
import EllipsisVertical from 'lucide-react-native/icons/ellipsis-vertical';
import Redo from 'lucide-react-native/icons/redo-2';
import Share from 'lucide-react-native/icons/share';
import Undo from 'lucide-react-native/icons/undo-2';
import { View } from 'react-native';
import { ActionCreators } from 'redux-undo';
import { useAppDispatch, useSession } from '../../store/hooks';
import { type OpenDocument, sheetChosen } from '../../store/sessionSlice';
import { Button, IconButton } from '../../ui/Button';
import type { Layout } from '../../ui/layout';
import { writeNumber } from '../../ui/numbers';
import { Words } from '../../ui/Words';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

/** How far the edits have come, in words. Only what this browser has kept is said to be kept. */
function statusOf({ status, isUnkept }: Pick<OpenDocument, 'status' | 'isUnkept'>): string {
  const kept = isUnkept ? words.statusUnkept : words.keptOnThisDevice;
  switch (status) {
    case 'saved':
      return 'saved';
    case 'unsaved':
    case 'saving':
      return isUnkept ? kept : 'saving…';
    case 'offline':
      return isUnkept ? kept : words.serverDoesNotAnswer(kept);
    case 'failed':
      return isUnkept ? kept : words.statusFailed(kept);
    case 'conflict':
      return words.statusConflict;
    case 'refused':
      return isUnkept ? kept : words.notSaved(kept);
    case 'removed':
      return words.removedSomewhereElse;
  }
}

interface HeaderProps {
  readonly layout: Layout;
  readonly onBack: () => void;
  readonly onMenu: () => void;
  readonly onHelp: () => void;
  readonly onExport: () => void;
}

export function Header({ layout, onBack, onMenu, onHelp, onExport }: HeaderProps) {
  const isWide = layout === 'wide';
  const name = useThrottledShotValue((shot) => shot.name);
  const film = useThrottledShotValue((shot) => shot.film);
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const status = useSession(({ document }) => document?.status ?? 'saved');
  const isUnkept = useSession(({ document }) => document?.isUnkept ?? false);
  const isViewOpen = useSession((session) => session.sheet === 'view');
  const canUndo = useThrottledSelector((state) => state.shot.past.length > 0);
  const canRedo = useThrottledSelector((state) => state.shot.future.length > 0);
  const dispatch = useAppDispatch();
  const isGood = !isUnkept && (status === 'saved' || status === 'unsaved' || status === 'saving');
  const facts = [film, isWide ? words.framesAt(lengthFrames, writeNumber(rate, 3)) : '']
    .filter(Boolean)
    .join(' · ');
  return (
    <View
      className={`${layout === 'wide' ? 'min-h-[52px]' : 'min-h-[48px]'} flex-row items-center border-b border-line bg-card`}
    >
      <IconButton label={words.backToTheShots} icon={ChevronLeft} onPress={onBack} />
      <View className="min-w-0 flex-1">
        <Words role="heading" size="body" strong numberOfLines={1} isStrictlyLimited>
          {name}
        </Words>
        <Words
          size="tiny"
          tone={isGood ? 'soft' : 'plum'}
          numberOfLines={1}
          role="status"
          aria-live="polite"
          testID="save-status"
        >
          {[isGood ? facts : '', statusOf({ status, isUnkept })].filter(Boolean).join(' · ')}
        </Words>
      </View>
      <IconButton
        label={words.undo}
        icon={Undo}
        disabled={!canUndo}
        onPress={() => dispatch(ActionCreators.undo())}
      />
      <IconButton
        label={words.redo}
        icon={Redo}
        disabled={!canRedo}
        onPress={() => dispatch(ActionCreators.redo())}
      />
      <IconButton
        label={words.view}
        icon={Eye}
        pressed={isViewOpen}
        onPress={() => dispatch(sheetChosen(isViewOpen ? null : 'view'))}
      />
      {isWide && <IconButton label={words.help} icon={CircleHelp} onPress={onHelp} />}
      {isWide && <Button label={words.exportIt} icon={Share} kind="quiet" onPress={onExport} />}
      <IconButton label={words.shotMenu} icon={EllipsisVertical} onPress={onMenu} />
    </View>
  );
}
