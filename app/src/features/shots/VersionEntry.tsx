import Undo from 'lucide-react-native/icons/undo-2';
import { useRef } from 'react';
import { Pressable, View } from 'react-native';
import { lookAtVersion, restoreVersion, saveVersionAsShot } from '../../commands/history';
import type { ListedRevision } from '../../persistence/api';
import { useAppDispatch } from '../../store/hooks';
import { comparisonChosen } from '../../store/reviewSlice';
import { useThrottledSelector } from '../../store/throttled/hooks';
import { Button, IconButton } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { useIntoView } from '../../ui/useIntoView';
import { NumericText, Words } from '../../ui/Words';
import { historyWords as words } from '../../words/history';
import { CardPicture } from './CardPicture';
import { savedWhen } from './savedWhen';

interface VersionEntryProps {
  readonly version: ListedRevision;
  /** What is on the bench, as it was last saved. */
  readonly isNow: boolean;
  readonly isOldest: boolean;
}

/** So many changes are said of a version. */
const MOST_SAID = 4;

function said(changes: readonly string[], isOldest: boolean): string {
  if (changes.length === 0) return isOldest ? words.oldest : words.same;
  const shown = changes.slice(0, MOST_SAID).join(', ');
  const rest = changes.length - MOST_SAID;
  const text = rest > 0 ? `${shown}, ${words.more(rest)}` : shown;
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function VersionEntry({ version, isNow, isOldest }: VersionEntryProps) {
  const { revision, savedAt, card, changes } = version;
  const when = savedWhen(savedAt, new Date());
  const dispatch = useAppDispatch();
  const isLookedAt = useThrottledSelector(
    ({ review }) => review.compared?.with.kind === 'version' && review.compared.with.revision === revision,
  );
  const entry = useRef<View>(null);
  useIntoView(entry, isLookedAt);
  const look = (): void => {
    if (isLookedAt) dispatch(comparisonChosen(null));
    else void dispatch(lookAtVersion({ revision, when }));
  };
  return (
    <View
      ref={entry}
      role="listitem"
      testID={`version-${revision}`}
      className={`overflow-hidden rounded-large border bg-card ${isLookedAt ? 'border-brass' : 'border-line'}`}
    >
      <View className="flex-row items-center">
        <Pressable
          role="button"
          aria-label={words.look(when)}
          aria-pressed={isLookedAt}
          disabled={isNow}
          onPress={look}
          className="min-w-0 flex-1 flex-row gap-3"
        >
          <View className="w-[92px] self-start border-r border-line bg-field">
            <CardPicture card={card} />
          </View>
          <View className="min-w-0 flex-1 py-1">
            <NumericText strong size="small">
              {isNow ? `${when} · ${words.now}` : when}
            </NumericText>
            <Words tone="soft" size="tiny" numberOfLines={isLookedAt ? undefined : 2}>
              {said(changes, isOldest)}
            </Words>
          </View>
        </Pressable>
        {!isNow && (
          <IconButton
            label={words.restoreNamed(when)}
            icon={Undo}
            onPress={() => void dispatch(restoreVersion({ revision, when }))}
          />
        )}
      </View>
      {isLookedAt && <LookedAt revision={revision} when={when} />}
    </View>
  );
}

const SHOWS = [
  { value: 'together', label: words.both },
  { value: 'turns', label: words.turns },
  { value: 'alone', label: words.alone },
] as const;

function LookedAt({ revision, when }: { readonly revision: number; readonly when: string }) {
  const compared = useThrottledSelector(({ review }) => review.compared);
  const dispatch = useAppDispatch();
  return (
    <View className="gap-2 border-t border-line px-3 py-2">
      <Segmented
        label={words.lookedAt}
        value={compared?.shows ?? 'together'}
        options={SHOWS}
        onChange={(shows) => compared && dispatch(comparisonChosen({ ...compared, shows }))}
      />
      <View className="flex-row gap-2">
        <Button
          label={words.restore}
          kind="brass"
          icon={Undo}
          onPress={() => void dispatch(restoreVersion({ revision, when }))}
        />
        <Button
          label={words.saveAsShot}
          onPress={() => void dispatch(saveVersionAsShot({ revision, when }))}
        />
      </View>
    </View>
  );
}
