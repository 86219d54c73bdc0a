import FileInput from 'lucide-react-native/icons/file-input';
import Keyboard from 'lucide-react-native/icons/keyboard';
import Settings from 'lucide-react-native/icons/settings-2';
import Share from 'lucide-react-native/icons/share';
import { useImportTiming } from '../features/exchange/useImport';
import { useActiveMove, useShot } from '../state/hooks';
import { Menu } from '../ui/Menu';
import type { BenchDialog } from './Workbench';

interface ShotActionsProps {
  readonly onClose: () => void;
  readonly onOpen: (dialog: BenchDialog) => void;
}

/** The shot's menu on the workbench. */
export function ShotActions({ onClose, onOpen }: ShotActionsProps) {
  const { name } = useShot();
  const move = useActiveMove();
  const importTiming = useImportTiming();
  return (
    <Menu
      title={name}
      onClose={onClose}
      items={[
        { label: 'Shot settings', icon: Settings, onPress: () => onOpen('settings'), staysOpen: true },
        { label: 'Export', icon: Share, onPress: () => onOpen('export'), staysOpen: true },
        {
          label: 'Read increments from CSV',
          icon: FileInput,
          disabled: !move,
          onPress: () => void importTiming(),
        },
        { label: 'Keyboard', icon: Keyboard, onPress: () => onOpen('shortcuts'), staysOpen: true },
      ]}
    />
  );
}
