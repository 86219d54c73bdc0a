import { saveAs } from '../../commands/saveAs';
import { firstFrameNumber } from '../../store/frameNumbers';
import { errorSentence } from '../../store/errorSentence';
import { exchangeWords as words } from '../../words/exchange';
import type { Copy, Exporter } from '@humble/core/files';
import CopyIcon from 'lucide-react-native/icons/copy';
import Download from 'lucide-react-native/icons/download';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { fileFormats } from '../../commands/fileFormats';
import { filmCommands } from '../../commands/filmCommands';
import type { ShotFiles } from '../../commands/shotFiles';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { selectActiveArc, selectActiveMove } from '../../store/selectors/active';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';

const NO_FILES: ShotFiles = { files: new Map(), missing: [] };

interface ExportDialogProps {
  readonly onClose: () => void;
}

/** What leaves the shot, in open formats or by the clipboard: one button for each entry of the core's tables. */
export function ExportDialog({ onClose }: ExportDialogProps) {
  const shot = useThrottledShot();
  const arcId = useThrottledSelector((state) => selectActiveArc(state)?.id ?? null);
  const moveId = useThrottledSelector((state) => selectActiveMove(state)?.id ?? null);
  const formats = useFormats();
  const dispatch = useAppDispatch();
  const save = async (write: () => Promise<void>): Promise<void> => {
    try {
      await write();
      onClose();
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
    }
  };
  const saved = async (kind: Exporter): Promise<void> => {
    const { needs } = kind;
    const given = needs
      ? await (await filmCommands()).shotsToGive([shot], needs)
      : { ...NO_FILES, shots: [shot] };
    const { files, missing } = given;
    const context = { files, moveId, firstNumber: firstFrameNumber() };
    saveAs(shot.name, kind, kind.write(given.shots[0]!, context));
    if (missing.length > 0) dispatch(messageShown(words.without(missing.join(', '))));
  };
  const copy = (text: string): void => {
    navigator.clipboard.writeText(text).then(
      () => {
        dispatch(messageShown(words.copied));
        onClose();
      },
      () => dispatch(messageShown(words.clipboardRefused)),
    );
  };
  return (
    <Dialog title={words.exportIt} isOpen onClose={onClose}>
      {formats === null && <Words tone="soft">{words.fetching}</Words>}
      {typeof formats === 'string' && (
        <Words role="alert" tone="plum">
          {formats}
        </Words>
      )}
      {formats !== null &&
        typeof formats !== 'string' &&
        formats.exporters.map((exporter) => {
          const { flag, label, sentence, isPossible, note } = exporter;
          const canBe = isPossible(shot);
          return (
            <View key={flag} className="gap-2">
              <Button
                label={label}
                icon={Download}
                disabled={!canBe}
                onPress={() => void save(() => saved(exporter))}
              />
              <Words tone="soft">{canBe && note ? `${sentence} ${note(shot, { moveId })}` : sentence}</Words>
            </View>
          );
        })}
      {formats !== null &&
        typeof formats !== 'string' &&
        formats.copies.map(({ id, label, sentence, write }) => {
          const text = write(shot, arcId);
          return (
            <View key={id} className="gap-2">
              <Button label={label} icon={CopyIcon} disabled={text === ''} onPress={() => copy(text)} />
              <Words tone="soft">{sentence}</Words>
            </View>
          );
        })}
    </Dialog>
  );
}

interface Formats {
  readonly exporters: readonly Exporter[];
  readonly copies: readonly Copy[];
}

function useFormats(): Formats | string | null {
  const [formats, setFormats] = useState<Formats | string | null>(null);
  useEffect(() => {
    let isShown = true;
    fileFormats().then(
      ({ EXPORTERS, COPIES }) => isShown && setFormats({ exporters: EXPORTERS, copies: COPIES }),
      (error: unknown) => isShown && setFormats(errorSentence(error)),
    );
    return () => {
      isShown = false;
    };
  }, []);
  return formats;
}
