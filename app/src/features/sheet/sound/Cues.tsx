import { type Cue } from '@humble/core';
import { frameOfSeconds } from '@humble/core/views';
import FileInput from 'lucide-react-native/icons/file-input';
import Drum from 'lucide-react-native/icons/drum';
import Trash from 'lucide-react-native/icons/trash';
import { memo, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { fileFormats } from '../../../commands/fileFormats';
import { currentSeconds, goTo } from '../../../playback/playhead';
import { useAppDispatch, useAppStore, useEdit } from '../../../store/hooks';
import { messageShown } from '../../../store/sessionSlice';
import { ActionRow } from '../../../ui/ActionRow';
import { IconButton } from '../../../ui/Button';
import { pickFile } from '../../../ui/files';
import { NumericText, Words } from '../../../ui/Words';
import { exposureSheetWords as words } from '../../../words/exposures';
import { useThrottledShotValue } from '../../../store/throttled/hooks';
import { firstFrameNumber, frameNumber } from '../../../store/frameNumbers';

/** So many cues are listed; all of them stand in the sheet. */
const MAX_LISTED = 30;

/** Words and beats by frame: tapped along, read from a table, renamed, deleted. */
export function Cues() {
  const cues = useThrottledShotValue((shot) => shot.cues);
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const tap = (): void => {
    edit('addCues', { cues: [{ seconds: currentSeconds(), word: words.tapped }] });
  };
  const read = async (): Promise<void> => {
    try {
      const file = await pickFile('.csv,text/csv');
      const rate = store.getState().shot.present.shot?.rate;
      if (!file || rate === undefined) return;
      const { readCuesCsv } = await fileFormats();
      const found = readCuesCsv(new TextDecoder().decode(file.bytes), rate, firstFrameNumber());
      if (edit('addCues', { cues: found })) dispatch(messageShown(words.cuesRead(found.length)));
    } catch (error) {
      dispatch(messageShown((error as Error).message));
    }
  };
  const further = cues.length - MAX_LISTED;
  return (
    <View>
      <Words strong>{words.cues}</Words>
      <Words tone="soft">{cues.length === 0 ? words.noCues : words.tapWhilePlaying}</Words>
      <ActionRow
        actions={[
          { label: words.tap, icon: Drum, onPress: tap },
          { label: words.readCues, icon: FileInput, onPress: () => void read() },
          cues.length > 0 && {
            label: words.deleteAll,
            icon: Trash,
            isRemoval: true,
            onPress: () => edit('removeCues', {}),
          },
        ]}
      />
      <View role="list" aria-label={words.cues}>
        {cues.slice(0, MAX_LISTED).map((cue) => (
          <CueLine key={cue.id} cue={cue} />
        ))}
      </View>
      {further > 0 && <Words tone="soft">{words.further(further)}</Words>}
    </View>
  );
}

const CueLine = memo(function CueLine({ cue }: { readonly cue: Cue }) {
  const rate = useThrottledShotValue((shot) => shot.rate);
  const edit = useEdit();
  const [text, setText] = useState<string | null>(null);
  const frame = frameOfSeconds(cue.seconds, rate);
  const finish = (): void => {
    const word = text?.trim();
    setText(null);
    if (word && word !== cue.word) edit('changeCue', { cueId: cue.id, word });
  };
  return (
    <View role="listitem" className="flex-row items-center gap-2 border-t border-line">
      <Pressable
        role="button"
        aria-label={words.goToFrame(frameNumber(frame))}
        onPress={() => goTo(frame)}
        className="min-h-[44px] w-[48px] justify-center"
      >
        <NumericText strong>{frameNumber(frame)}</NumericText>
      </Pressable>
      <TextInput
        aria-label={words.cueWord(frameNumber(frame))}
        value={text ?? cue.word}
        onChangeText={setText}
        onBlur={finish}
        onSubmitEditing={finish}
        className="h-[36px] min-w-0 flex-1 rounded-small border border-line bg-ground px-2 font-sans text-small text-ink"
      />
      <IconButton
        label={words.deleteCue(frameNumber(frame))}
        icon={Trash}
        onPress={() => edit('removeCues', { cueIds: [cue.id] })}
      />
    </View>
  );
});
