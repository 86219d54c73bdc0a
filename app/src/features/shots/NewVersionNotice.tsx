import { useState } from 'react';
import { View } from 'react-native';
import { offlineStart } from '../../persistence/laterParts';
import { useNewVersion } from '../../persistence/newVersion';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { newVersionWords as words } from '../../words/newVersion';

/** Says that a new version of the application is there, and starts it when it is told to. */
export function NewVersionNotice() {
  const isNewer = useNewVersion();
  const [isHeldUp, setHeldUp] = useState(false);
  if (!isNewer) return null;
  const start = async (): Promise<void> => {
    const { startNewVersion } = await offlineStart();
    setHeldUp(!(await startNewVersion()));
  };
  return (
    <View
      role="status"
      testID="new-version"
      className="mx-4 mb-3 flex-row flex-wrap items-center justify-between gap-2 rounded-large border border-brass bg-card p-3"
    >
      <Words className="shrink">{isHeldUp ? words.closeOtherPages : words.newVersion}</Words>
      <Button label={words.startNewVersion} onPress={() => void start()} />
    </View>
  );
}
