import X from 'lucide-react-native/icons/x';
import { View } from 'react-native';
import { goToStep } from '../../commands/goToStep';
import { rangePicked } from '../../store/editorSlice';
import { useAppDispatch } from '../../store/hooks';
import { groupBroughtForward } from '../../store/settingsSlice';
import { selectPassage } from '../../store/selectors/timingSelection';
import { Button, IconButton } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { sheetWords as words } from '../../words/sheet';
import { useThrottledSelector } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** The frames that were picked, and the way to where their timing is changed. Nothing while none are. */
export function PickedFrames() {
  const passage = useThrottledSelector(selectPassage);
  const dispatch = useAppDispatch();
  if (!passage) return null;
  return (
    <View className="flex-row items-center gap-2 px-4 pb-2">
      <Words strong numberOfLines={1} className="min-w-0 flex-1">
        {words.picked(frameNumber(passage.from), frameNumber(passage.until))}
      </Words>
      <Button
        label={words.changeTiming}
        onPress={() => {
          dispatch(groupBroughtForward({ step: 'timing', group: 'range' }));
          dispatch(goToStep('timing'));
        }}
      />
      <IconButton label={words.deselectThem} icon={X} onPress={() => dispatch(rangePicked(null))} />
    </View>
  );
}
