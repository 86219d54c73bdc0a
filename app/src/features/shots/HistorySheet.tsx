import { MAX_HISTORY_BYTES } from '@humble/core/routes';
import X from 'lucide-react-native/icons/x';
import { ScrollView, View } from 'react-native';
import { failureSentence, useListRevisionsQuery } from '../../persistence/api';
import { useAppDispatch, useSession } from '../../store/hooks';
import { comparisonChosen } from '../../store/reviewSlice';
import { sheetChosen } from '../../store/sessionSlice';
import { useThrottledSelector } from '../../store/throttled/hooks';
import { IconButton } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { historyWords as words } from '../../words/history';
import { byteSize } from './byteSize';
import { VersionPage } from './VersionPage';

/** Before the newest: no shot is ever saved so often. */
const NEWEST = 2 ** 31;

/** Earlier versions of the open shot, under the field that shows the one that is looked at. */
export function HistorySheet() {
  const id = useSession(({ document }) => document?.id ?? '');
  const { data, error, isLoading } = useListRevisionsQuery({ id, before: NEWEST }, { skip: id === '' });
  const compared = useThrottledSelector(({ review }) => review.compared);
  const dispatch = useAppDispatch();
  const close = (): void => {
    // What goes on being compared is seen in the panel; alone it would hide what one works on.
    if (compared?.shows === 'alone') dispatch(comparisonChosen({ ...compared, shows: 'together' }));
    dispatch(sheetChosen(null));
  };
  return (
    <View role="region" aria-label={words.history} testID="history" className="min-h-0 flex-1 bg-card">
      <View className="flex-row items-center justify-between border-b border-line pl-4 pr-1">
        <Words role="heading" strong>
          {words.history}
        </Words>
        <IconButton label={words.close} icon={X} onPress={close} />
      </View>
      <ScrollView contentContainerClassName="gap-2 px-4 pb-4 pt-2">
        {isLoading && (
          <Words role="status" tone="soft">
            {words.loading}
          </Words>
        )}
        {error && (
          <Words role="alert" tone="plum">
            {failureSentence(error)}
          </Words>
        )}
        {data && (
          <Words tone="soft">
            {data.count === 0
              ? words.none
              : words.help(data.count, byteSize(data.bytes), byteSize(MAX_HISTORY_BYTES))}
          </Words>
        )}
        {data && data.count > 0 && <VersionPage id={id} before={NEWEST} isNewest />}
      </ScrollView>
    </View>
  );
}
