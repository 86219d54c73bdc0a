import { figureWords as words } from '../../words/figure';
import { View } from 'react-native';
import { cancelThinning } from '../../commands/acting';
import { useAppDispatch } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { useThrottledEditor } from '../../store/throttled/hooks';

export function ThinningProgress() {
  const share = useThrottledEditor((editor) => editor.thinning?.share ?? null);
  const dispatch = useAppDispatch();
  if (share === null) return null;
  return (
    <View
      role="progressbar"
      aria-label={words.thinning}
      aria-valuenow={Math.round(share * 100)}
      className="mt-2 flex-row items-center justify-between"
    >
      <Words tone="soft">{words.thinningPercent(Math.round(share * 100))}</Words>
      <Button label={words.stop} kind="quiet" onPress={() => dispatch(cancelThinning())} />
    </View>
  );
}
