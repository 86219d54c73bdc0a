import { sentenceOfError } from '../../store/frameNumbers';
import { ShotError } from '@humble/core';
import type { PhysicalTiming } from '@humble/core/views';
import { View } from 'react-native';
import { roundingsText } from '../../commands/roundings';
import { SoftNote } from '../../ui/SoftNote';
import { fixed } from '../../ui/numbers';
import { Words } from '../../ui/Words';
import { physicsWords as words } from '../../words/physics';

/** How long a move by its weight takes, and which of its moments are put on whole frames; or why it comes to nothing. */
export function Outcome({ timing }: { readonly timing: () => PhysicalTiming }) {
  let outcome: PhysicalTiming;
  try {
    outcome = timing();
  } catch (error) {
    if (!(error instanceof ShotError)) throw error;
    return (
      <Words tone="soft" className="mt-2">
        {sentenceOfError(error)}
      </Words>
    );
  }
  const { seconds, frames, rounded } = outcome;
  return (
    <View className="mt-2">
      <Words>{words.itTakes(fixed(seconds, 3), fixed(frames, 2))}</Words>
      <SoftNote text={roundingsText(rounded)} testID="roundings" />
    </View>
  );
}
