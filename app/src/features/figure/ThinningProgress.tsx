import { View } from 'react-native';
import { thinningGivenUp } from '../../commands/acting';
import { useAppDispatch, useThrottledEditor } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';

/** How far the thinning is; it can be given up. */
export function ThinningProgress() {
  const share = useThrottledEditor((editor) => editor.thinning?.share ?? null);
  const dispatch = useAppDispatch();
  if (share === null) return null;
  return (
    <View
      role="progressbar"
      aria-label="Thinning"
      aria-valuenow={Math.round(share * 100)}
      className="mt-2 flex-row items-center justify-between"
    >
      <Words tone="soft">{`Thinning: ${Math.round(share * 100)} %`}</Words>
      <Button label="Stop" kind="quiet" onPress={() => dispatch(thinningGivenUp())} />
    </View>
  );
}
