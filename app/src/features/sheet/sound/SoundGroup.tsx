import { MAX_SOUND_OFFSET_SECONDS, type Sound } from '@humble/core';
import Music from 'lucide-react-native/icons/music';
import Trash from 'lucide-react-native/icons/trash';
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { keepSound } from '../../../persistence/sounds';
import { useSoundStatus } from '../../../playback/soundWave';
import { useAppDispatch, useEdit, useSettings } from '../../../store/hooks';
import { messageShown } from '../../../store/sessionSlice';
import { settingsChanged } from '../../../store/settingsSlice';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { pickFiles } from '../../../ui/files';
import { NumberField } from '../../../ui/NumberField';
import { fixed } from '../../../ui/numbers';
import { Toggle } from '../../../ui/Toggle';
import { Words } from '../../../ui/Words';
import { exposureSheetWords as words } from '../../../words/exposures';
import { Cues } from './Cues';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

export function SoundGroup() {
  const sound = useThrottledShotValue((shot) => shot.sound);
  return (
    <ScrollView className="flex-1" contentContainerClassName="gap-3 px-4 pb-6 pt-3">
      <Card>{sound ? <SoundDetails sound={sound} /> : <AddSound />}</Card>
      <Card>
        <Cues />
      </Card>
    </ScrollView>
  );
}

function AddSound() {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const [bringing, setBringing] = useState<AbortController | null>(null);
  useEffect(() => () => bringing?.abort(), [bringing]);
  const add = async (): Promise<void> => {
    const [file] = await pickFiles('audio/wav,audio/mpeg,.wav,.mp3');
    if (!file) return;
    const stop = new AbortController();
    setBringing(stop);
    try {
      const kept = await keepSound(file, stop.signal);
      if (!stop.signal.aborted) edit('setSound', { sound: { ...kept, startSeconds: 0 } });
    } catch (error) {
      if (!stop.signal.aborted) dispatch(messageShown((error as Error).message));
    } finally {
      setBringing(null);
    }
  };
  if (bringing)
    return (
      <View className="flex-row items-center justify-between gap-2">
        <Words role="status" tone="soft">
          {words.bringing}
        </Words>
        <Button label={words.cancel} onPress={() => bringing.abort()} />
      </View>
    );
  return (
    <>
      <Words tone="soft">{words.aSoundIsAReference}</Words>
      <Button label={words.addSound} icon={Music} kind="brass" onPress={() => void add()} />
    </>
  );
}

function SoundDetails({ sound }: { readonly sound: Sound }) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const status = useSoundStatus();
  const { hearsSound } = useSettings();
  const { name, seconds, startSeconds } = sound;
  return (
    <View>
      <View className="flex-row items-baseline justify-between gap-3">
        <Words strong numberOfLines={1} className="min-w-0 shrink">
          {name}
        </Words>
        <Words tone="soft">{words.seconds(fixed(seconds, 2))}</Words>
      </View>
      {status === 'loading' && (
        <Words role="status" tone="soft">
          {words.loading}
        </Words>
      )}
      {status === 'failed' && (
        <Words role="alert" tone="plum">
          {words.failed}
        </Words>
      )}
      <NumberField
        label={words.begins}
        unit={words.s}
        value={startSeconds}
        min={-seconds}
        max={MAX_SOUND_OFFSET_SECONDS}
        step={0.1}
        decimals={3}
        onChange={(value, undoGroup) => edit('moveSound', { startSeconds: value }, undoGroup)}
      />
      <Toggle
        label={words.hear}
        value={hearsSound}
        onChange={(hears) => dispatch(settingsChanged({ hearsSound: hears }))}
      />
      <View className="flex-row">
        <Button
          label={words.removeSound}
          icon={Trash}
          kind="quiet"
          onPress={() => {
            if (edit('setSound', { sound: null })) dispatch(messageShown(words.soundWasRemoved(name)));
          }}
        />
      </View>
    </View>
  );
}
