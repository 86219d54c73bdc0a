import { View } from 'react-native';
import { LazyViewSheet } from '../features/view/LazyViewSheet';
import { lazyWithRetry } from '../ui/lazyWithRetry';
import { useRouter } from 'expo-router';
import { selectLessonHint } from '../store/selectors/lesson';
import { useThrottledSelector } from '../store/throttled/hooks';
import { useSession } from '../store/hooks';
import { StepPanel } from './StepPanel';
import type { PanelProps } from './steps';

const HintCard = lazyWithRetry(() => import('../features/guide/HintCard').then((part) => part.HintCard));
const HistorySheet = lazyWithRetry(() =>
  import('../features/shots/HistorySheet').then((part) => part.HistorySheet),
);

/** The panel of the step, with a sheet over its upper part while one is open: never over the field. */
export function PanelArea(props: PanelProps) {
  const sheet = useSession((session) => session.sheet);
  // A list of pictures needs all of it; the switches of the view leave room for what one works on.
  const isWhole = props.isPhone || sheet === 'history';
  const isLesson = useThrottledSelector((state) => selectLessonHint(state) !== null);
  const router = useRouter();
  return (
    <>
      {isLesson && <HintCard onGuide={() => router.push('/guide')} />}
      {sheet && (
        <View className={`border-b border-line ${isWhole ? 'min-h-0 flex-1' : 'h-1/2'}`}>
          {sheet === 'view' ? <LazyViewSheet /> : <HistorySheet />}
        </View>
      )}
      <View className={`min-h-0 flex-1 ${sheet && isWhole ? 'hidden' : ''}`}>
        <StepPanel {...props} />
      </View>
    </>
  );
}
