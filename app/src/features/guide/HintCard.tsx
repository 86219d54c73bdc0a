import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { View } from 'react-native';
import { lastSaved } from '../../commands/saveAs';
import { leaveHints } from '../../commands/tryIt';
import { useAppDispatch } from '../../store/hooks';
import { LESSON_HINTS, selectLessonHint } from '../../store/selectors/lesson';
import { useThrottledSelector } from '../../store/throttled/hooks';
import { Button, IconButton } from '../../ui/Button';
import { useExternalStore } from '../../ui/externalStore';
import { Words } from '../../ui/Words';
import { guideWords as words } from '../../words/guide';

/** What to do next on the first shot; it goes on by itself, and can be left at any time. */
export function HintCard({ onGuide }: { readonly onGuide: () => void }) {
  const hint = useThrottledSelector(selectLessonHint);
  const saved = useExternalStore(lastSaved);
  const [savedBefore] = useState(() => lastSaved.get());
  const dispatch = useAppDispatch();
  if (hint === null) return null;
  const isDone = hint === LESSON_HINTS.length - 1 && saved !== savedBefore;
  const leave = (): void => dispatch(leaveHints());
  const toGuide = (): void => {
    leave();
    onGuide();
  };
  return (
    <View
      role="region"
      aria-label={words.tryIt}
      testID="lesson-hint"
      className="mx-3 mb-1 flex-row items-center gap-2 rounded-large border border-brass bg-card pl-3"
    >
      <View role="status" aria-live="polite" className="min-w-0 flex-1 py-2">
        {!isDone && (
          <Words tone="soft" size="tiny">
            {words.hint(hint + 1)}
          </Words>
        )}
        <Words>{isDone ? words.done : words.hints[hint]}</Words>
      </View>
      {isDone && <Button label={words.toTheGuide} kind="quiet" onPress={toGuide} />}
      <IconButton label={words.leave} icon={X} onPress={leave} />
    </View>
  );
}
