import { exchangeWords as words } from '../../words/exchange';
import type { Exporter } from '@humble/core/files';
import Download from 'lucide-react-native/icons/download';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { fileFormats } from '../../commands/fileFormats';
import { pictureSourceOf } from '../../commands/pictureSource';
import { useAppDispatch, useThrottledShot } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { saveFile } from '../../ui/files';
import { fileNameOf } from './fileNameOf';

const NO_PICTURES = (): null => null;

interface ExportDialogProps {
  readonly onClose: () => void;
}

/** What leaves the shot, in open formats: one button for each entry of the core's table. */
export function ExportDialog({ onClose }: ExportDialogProps) {
  const shot = useThrottledShot();
  const exporters = useExporters();
  const dispatch = useAppDispatch();
  const save = async (write: () => Promise<void>): Promise<void> => {
    try {
      await write();
      onClose();
    } catch (error) {
      dispatch(messageShown((error as Error).message));
    }
  };
  return (
    <Dialog title={words.exportIt} isOpen onClose={onClose}>
      {exporters === null && <Words tone="soft">{words.fetching}</Words>}
      {typeof exporters === 'string' && (
        <Words role="alert" tone="plum">
          {exporters}
        </Words>
      )}
      {Array.isArray(exporters) &&
        (exporters as readonly Exporter[]).map(
          ({ flag, label, sentence, ending, mimeType, isPossible, hasPictures, write }) => (
            <View key={flag} className="gap-2">
              <Button
                label={label}
                icon={Download}
                disabled={!isPossible(shot)}
                onPress={() => {
                  void save(async () => {
                    const source = hasPictures ? await pictureSourceOf(shot) : NO_PICTURES;
                    saveFile(fileNameOf(shot.name, ending), write(shot, source), mimeType);
                  });
                }}
              />
              <Words tone="soft">{sentence}</Words>
            </View>
          ),
        )}
    </Dialog>
  );
}

/** The table of exporters; null until it is here, a sentence when it cannot be fetched. */
function useExporters(): readonly Exporter[] | string | null {
  const [exporters, setExporters] = useState<readonly Exporter[] | string | null>(null);
  useEffect(() => {
    let isShown = true;
    fileFormats().then(
      ({ EXPORTERS }) => isShown && setExporters(EXPORTERS),
      (error: Error) => isShown && setExporters(error.message),
    );
    return () => {
      isShown = false;
    };
  }, []);
  return exporters;
}
