import { benchWords as words } from '../words/bench';
import Clapperboard from 'lucide-react-native/icons/clapperboard';
import CircleHelp from 'lucide-react-native/icons/circle-question-mark';
import GitCompare from 'lucide-react-native/icons/git-compare';
import History from 'lucide-react-native/icons/rotate-ccw-clock';
import FileInput from 'lucide-react-native/icons/file-input';
import Keyboard from 'lucide-react-native/icons/keyboard';
import Printer from 'lucide-react-native/icons/printer';
import Settings from 'lucide-react-native/icons/settings-2';
import Share from 'lucide-react-native/icons/share';
import { type UndecidedTable, useImportTiming } from '../features/exchange/useImport';
import { useAppDispatch, useSession } from '../store/hooks';
import { conflictPutOff, sheetChosen } from '../store/sessionSlice';
import { Menu } from '../ui/Menu';
import type { BenchDialog } from './benchDialog';
import { useThrottledMove, useThrottledShot } from '../store/throttled/hooks';

interface ShotActionsProps {
  readonly onClose: () => void;
  readonly onOpen: (dialog: BenchDialog) => void;
  readonly onUndecided: (table: UndecidedTable) => void;
}

export function ShotActions({ onClose, onOpen, onUndecided }: ShotActionsProps) {
  const { name } = useThrottledShot();
  const move = useThrottledMove();
  const importTiming = useImportTiming(onUndecided);
  const isConflictOpen = useSession((session) => session.theirs !== null);
  const dispatch = useAppDispatch();
  const settle = {
    label: words.chooseVersion,
    icon: GitCompare,
    onPress: () => dispatch(conflictPutOff(false)),
  };
  return (
    <Menu
      title={name}
      onClose={onClose}
      items={[
        ...(isConflictOpen ? [settle] : []),
        { label: words.shotSettings, icon: Settings, onPress: () => onOpen('settings'), staysOpen: true },
        { label: words.history, icon: History, onPress: () => dispatch(sheetChosen('history')) },
        { label: words.preview, icon: Clapperboard, onPress: () => onOpen('preview'), staysOpen: true },
        { label: words.print, icon: Printer, onPress: () => onOpen('print'), staysOpen: true },
        { label: words.exportIt, icon: Share, onPress: () => onOpen('export'), staysOpen: true },
        {
          label: words.importIncrements,
          icon: FileInput,
          disabled: !move,
          onPress: () => void importTiming(),
        },
        { label: words.helpForThisStep, icon: CircleHelp, onPress: () => onOpen('help'), staysOpen: true },
        { label: words.keyboard, icon: Keyboard, onPress: () => onOpen('shortcuts'), staysOpen: true },
      ]}
    />
  );
}
