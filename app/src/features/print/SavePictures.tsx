import type { Shot } from '@humble/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { saveAs } from '../../commands/saveAs';
import { INBETWEEN_FILES } from '../../commands/savedFiles';
import { errorSentence } from '../../store/errorSentence';
import { firstFrameNumber } from '../../store/frameNumbers';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { printWords as words } from '../../words/print';
import { inbetweensAside } from '../../workers/print';

interface Making {
  readonly cancel: () => void;
  readonly done: number;
  readonly of: number;
}

/** In-betweens as pictures, as large as their key drawing: told as they are made, and can be cancelled. */
export function SavePictures({ shot }: { readonly shot: Shot }) {
  const dispatch = useAppDispatch();
  const [making, setMaking] = useState<Making | null>(null);
  const cancel = making?.cancel;
  // Whoever leaves gives up what is being made.
  useEffect(() => () => cancel?.(), [cancel]);
  const save = async (format: keyof typeof INBETWEEN_FILES): Promise<void> => {
    const begun = inbetweensAside({ shot, format, firstNumber: firstFrameNumber() }, (done, of) =>
      setMaking({ cancel: begun.cancel, done, of }),
    );
    setMaking({ cancel: begun.cancel, done: 0, of: 0 });
    try {
      const bytes = await begun.result;
      if (bytes) saveAs(shot.name, INBETWEEN_FILES[format], bytes);
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
    } finally {
      setMaking(null);
    }
  };
  if (making)
    return (
      <View className="flex-row items-center justify-between gap-2">
        <Words role="status">{words.makingPictures(making.done, making.of)}</Words>
        <Button label={words.cancel} onPress={making.cancel} />
      </View>
    );
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button label={words.savePng} onPress={() => void save('png')} />
      <Button label={words.saveSvg} onPress={() => void save('svg')} />
    </View>
  );
}
