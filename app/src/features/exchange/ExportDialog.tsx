import { EXPORTERS } from '@humble/core';
import Download from 'lucide-react-native/icons/download';
import { View } from 'react-native';
import { useThrottledShot } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { saveFile } from '../../ui/files';
import { fileNameOf } from './readShot';

interface ExportDialogProps {
  readonly onClose: () => void;
}

/** What leaves the shot, in open formats: one button for each entry of the core's table. */
export function ExportDialog({ onClose }: ExportDialogProps) {
  const shot = useThrottledShot();
  return (
    <Dialog title="Export" isOpen onClose={onClose}>
      {EXPORTERS.map(({ flag, label, sentence, ending, mimeType, isPossible, write }) => (
        <View key={flag} className="gap-2">
          <Button
            label={label}
            icon={Download}
            disabled={!isPossible(shot)}
            onPress={() => {
              saveFile(fileNameOf(shot.name, ending), write(shot), mimeType);
              onClose();
            }}
          />
          <Words tone="soft">{sentence}</Words>
        </View>
      ))}
    </Dialog>
  );
}
