import { type Cue, MAX_SHOT_FRAMES } from '@humble/core';
import { frameOfSeconds, secondsOfFrame } from '@humble/core/views';
import FileInput from 'lucide-react-native/icons/file-input';
import Drum from 'lucide-react-native/icons/drum';
import LocateFixed from 'lucide-react-native/icons/locate-fixed';
import MapPin from 'lucide-react-native/icons/map-pin';
import Trash from 'lucide-react-native/icons/trash';
import { memo, useState } from 'react';
import { TextInput, View } from 'react-native';
import { fileFormats } from '../../../commands/fileFormats';
import { currentSeconds, goTo } from '../../../playback/playhead';
import { useAppDispatch, useAppStore, useEdit } from '../../../store/hooks';
import { messageShown } from '../../../store/sessionSlice';
import { ActionRow } from '../../../ui/ActionRow';
import { IconButton } from '../../../ui/Button';
import { pickFile } from '../../../ui/files';
import { NumberField } from '../../../ui/NumberField';
import { Words } from '../../../ui/Words';
import { exposureSheetWords as words } from '../../../words/exposures';
import { frameField } from '../../../store/frames';
import { selectActiveMove } from '../../../store/selectors/active';
import { useThrottledSelector, useThrottledShotValue } from '../../../store/throttled/hooks';
import { Beats } from './Beats';
import { firstFrameNumber, frameNumber } from '../../../store/frameNumbers';

/** So many cues are listed; all of them stand in the sheet. */
const MAX_LISTED = 30;

/** Words and beats by frame: tapped along, read from a table, renamed, deleted. */
export function Cues() {
  const cues = useThrottledShotValue((shot) => shot.cues);
  const moveId = useThrottledSelector((state) => selectActiveMove(state)?.id ?? null);
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
      <Beats />
      <Words tone="soft">{cues.length === 0 ? words.noCues : words.tapWhilePlaying}</Words>
      <ActionRow
        actions={[
          cues.length > 0 &&
            moveId !== null && {
              label: words.marksOnCues,
              icon: MapPin,
              onPress: () => edit('putMarksOnCues', { moveId }),
            },
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
      <View className="w-[150px]">
        <NumberField
          {...frameField({
            label: words.cueFrame(cue.word),
            value: frame,
            min: 1,
            max: MAX_SHOT_FRAMES,
            isStacked: true,
            onChange: (to, undoGroup) => {
              edit('changeCue', { cueId: cue.id, seconds: secondsOfFrame(to, rate) }, undoGroup);
              goTo(to);
            },
          })}
        />
      </View>
      <IconButton
        label={words.goToFrame(frameNumber(frame))}
        icon={LocateFixed}
        onPress={() => goTo(frame)}
      />
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
