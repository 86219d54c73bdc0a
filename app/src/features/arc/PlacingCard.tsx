import { arcWords as words } from '../../words/arc';
import Check from 'lucide-react-native/icons/check';
import Undo from 'lucide-react-native/icons/undo-2';
import { View } from 'react-native';
import { useAppDispatch } from '../../store/hooks';
import { toolChosen } from '../../store/editorSlice';
import { finishPlacing, takePlacedBack } from '../../commands/placing';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { useThrottledEditor } from '../../store/throttled/hooks';

export function PlacingCard() {
  const count = useThrottledEditor((editor) => editor.placed.length);
  const dispatch = useAppDispatch();
  return (
    <Card title={words.pointByPoint} isActive aside={words.points(count)}>
      <Words tone="soft" className="mb-3">
        {words.placingHelp}
      </Words>
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={words.finish}
          icon={Check}
          kind="brass"
          disabled={count < 2}
          onPress={() => dispatch(finishPlacing(false))}
        />
        <Button
          label={words.removeLastPoint}
          icon={Undo}
          disabled={count === 0}
          onPress={() => dispatch(takePlacedBack())}
        />
        <Button label={words.discard} kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />
      </View>
    </Card>
  );
}
