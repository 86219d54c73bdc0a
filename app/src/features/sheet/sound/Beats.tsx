import { findBeats } from '@humble/core/views';
import AudioLines from 'lucide-react-native/icons/audio-lines';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useSoundWave } from '../../../playback/soundWave';
import { useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Slider } from '../../../ui/Slider';
import { exposureSheetWords as words } from '../../../words/exposures';

const FRESH_LEVEL = 0.4;

/** Loud beginnings in the sound, as loud as a level that is dragged; each becomes a cue. */
export function Beats() {
  const wave = useSoundWave();
  const edit = useEdit();
  const [level, setLevel] = useState(FRESH_LEVEL);
  const found = useMemo(
    () =>
      wave
        ? findBeats(wave, level)
            .map((seconds) => seconds + wave.startSeconds)
            .filter((seconds) => seconds >= 0)
        : [],
    [wave, level],
  );
  if (!wave) return null;
  return (
    <View className="my-1">
      <Slider
        label={words.loudness}
        text={words.percentOfLoudest(Math.round(level * 100))}
        value={level}
        min={0.05}
        max={0.95}
        onChange={setLevel}
      />
      <Button
        label={words.findBeats(found.length)}
        icon={AudioLines}
        disabled={found.length === 0}
        onPress={() => edit('setCuesFound', { seconds: found, word: words.tapped })}
      />
    </View>
  );
}
