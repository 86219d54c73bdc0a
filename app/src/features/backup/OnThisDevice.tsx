import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { clearThisDevice, onThisDevice, type OnThisDevice as Kept } from '../../persistence/thisDevice';
import { useWaitingPictures } from '../../persistence/waitingPictures';
import { useAppDispatch } from '../../store/hooks';
import { errorSentence } from '../../store/errorSentence';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { Words } from '../../ui/Words';
import { backupWords as words } from '../../words/backup';

const MEGABYTE = 1024 * 1024;

/** What this device keeps so that one can go on while the server is away; and a way to clear it. */
export function OnThisDevice() {
  const [kept, setKept] = useState<Kept | null>(null);
  const waiting = useWaitingPictures();
  const dispatch = useAppDispatch();
  useEffect(() => {
    void onThisDevice().then(setKept, () => undefined);
  }, []);
  const clear = (): void => {
    clearThisDevice()
      .then(onThisDevice)
      .then(
        (now) => {
          setKept(now);
          dispatch(messageShown(words.cleared));
        },
        (error: unknown) => dispatch(messageShown(errorSentence(error))),
      );
  };
  if (!kept) return null;
  const { shots, mostShots, pictures, bytes, waitingEdits } = kept;
  const lines = [
    words.deviceShots(shots, mostShots),
    words.devicePictures(pictures),
    ...(bytes === null ? [] : [words.deviceSize(words.megabytes(fixed(bytes / MEGABYTE, 1)))]),
  ];
  return (
    <Card title={words.device}>
      <View className="gap-2">
        <Words tone="soft">{words.deviceHelp}</Words>
        <View role="list" testID="on-this-device">
          {lines.map((line) => (
            <Words key={line} role="listitem">
              {line}
            </Words>
          ))}
        </View>
        <Words tone="soft">{words.waiting(waitingEdits, waiting.count)}</Words>
        <Button label={words.clear} disabled={shots + pictures === 0} onPress={clear} />
      </View>
    </Card>
  );
}
