import { errorSentence } from '../../store/errorSentence';
import { figureWords as words } from '../../words/figure';
import { MAX_RECORDING_SPEED, type Move, MIN_RECORDING_SPEED } from '@humble/core';
import { gestureSeconds } from '@humble/core/views';
import FileInput from 'lucide-react-native/icons/file-input';
import Hand from 'lucide-react-native/icons/hand';
import Trash from 'lucide-react-native/icons/trash';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { View } from 'react-native';
import { askToAct, reuseGesture, bringInTracked } from '../../commands/acting';
import { toolChosen } from '../../store/editorSlice';
import { useAppDispatch, useEdit, useSettings } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { settingsChanged } from '../../store/settingsSlice';
import { ActionRow } from '../../ui/ActionRow';
import { Button, IconButton } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { pickFile } from '../../ui/files';
import { textOf } from '../../ui/textOf';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { ThinningProgress } from './ThinningProgress';
import { useThrottledArc, useThrottledEditor, useThrottledShot } from '../../store/throttled/hooks';

export function ActCard({ move }: { readonly move: Move | null }) {
  const tool = useThrottledEditor((editor) => editor.tool);
  return tool === 'act' ? <Waiting /> : <Asking move={move} />;
}

function Asking({ move }: { readonly move: Move | null }) {
  const dispatch = useAppDispatch();
  const isLocked = useThrottledArc((arc) => arc.locked) ?? false;
  const bringIn = async (): Promise<void> => {
    try {
      const file = await pickFile('.csv,text/csv');
      if (file) await dispatch(bringInTracked(textOf(file), file.name.slice(0, 60)));
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
    }
  };
  return (
    <Card title={words.actItOut}>
      <Words tone="soft" className="mb-3">
        {words.actHelp}
      </Words>
      <Button
        label={!move ? words.actItOut : move.acted ? words.actItOutAgain : words.actOutThisFigure}
        icon={Hand}
        kind="brass"
        disabled={move !== null && isLocked}
        onPress={() => dispatch(askToAct(move ? 'this' : 'further'))}
        className="mb-1"
      />
      <ActionRow
        actions={[
          move !== null && {
            label: words.actOutAnotherFigure,
            icon: UserPlus,
            onPress: () => dispatch(askToAct('further')),
          },
          { label: words.importTracked, icon: FileInput, onPress: () => void bringIn() },
        ]}
      />
      <Words tone="soft" size="tiny" className="mt-2">
        {words.trackedHelp}
      </Words>
      {!move?.acted && <KeptGestures />}
    </Card>
  );
}

/** Gestures that the shot keeps, while what is seen was not acted: one whose thinning was stopped is not lost. */
function KeptGestures() {
  const { gestures } = useThrottledShot();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  return (
    <View className="mt-2">
      <ThinningProgress />
      {gestures.length > 0 && <Words tone="soft">{words.reuseGestureLabel}</Words>}
      {gestures.map((gesture) => (
        <View key={gesture.id} className="mt-1 flex-row items-center gap-2">
          <View className="min-w-0 shrink">
            <Button
              label={`${gesture.name}, ${fixed(gestureSeconds(gesture), 2)} s`}
              icon={Hand}
              onPress={() => void dispatch(reuseGesture(gesture))}
            />
          </View>
          <IconButton
            label={words.deleteGestureNamed(gesture.name)}
            icon={Trash}
            onPress={() => edit('deleteGesture', { gestureId: gesture.id })}
          />
        </View>
      ))}
    </View>
  );
}

function Waiting() {
  const dispatch = useAppDispatch();
  const { recordingSpeed, countsIn, playsMeanwhile } = useSettings();
  const actsFor = useThrottledEditor((editor) => editor.actsFor);
  return (
    <Card title={words.actItOut} isActive>
      <Words tone="soft">{actsFor === 'this' ? words.actThisFigureHelp : words.actAnotherFigureHelp}</Words>
      <View className="mt-1">
        <NumberField
          label={words.recordingSpeed}
          unit="%"
          value={Math.round(recordingSpeed * 100)}
          min={MIN_RECORDING_SPEED * 100}
          max={MAX_RECORDING_SPEED * 100}
          step={5}
          onChange={(percent) => dispatch(settingsChanged({ recordingSpeed: percent / 100 }))}
        />
      </View>
      <Toggle
        label={words.countMeIn}
        value={countsIn}
        onChange={(value) => dispatch(settingsChanged({ countsIn: value }))}
      />
      <Toggle
        label={words.playWhileRecording}
        value={playsMeanwhile}
        onChange={(value) => dispatch(settingsChanged({ playsMeanwhile: value }))}
      />
      <View className="mt-1 flex-row">
        <Button label={words.discard} kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />
      </View>
    </Card>
  );
}
