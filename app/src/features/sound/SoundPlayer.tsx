import { useEffect, useState } from 'react';
import { soundAddress } from '../../persistence/sounds';
import { openSound, type SoundEngine } from '../../playback/soundEngine';
import { setSoundState } from '../../playback/soundWave';
import { useSettings } from '../../store/hooks';
import { useThrottledShotValue } from '../../store/throttled/hooks';

/** Fetches the sound of the open shot and lets it be heard. It shows nothing itself. */
export function SoundPlayer() {
  const sha256 = useThrottledShotValue(({ sound }) => sound?.sha256 ?? null);
  const seconds = useThrottledShotValue(({ sound }) => sound?.seconds ?? 0);
  const startSeconds = useThrottledShotValue(({ sound }) => sound?.startSeconds ?? 0);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const { hearsSound } = useSettings();
  const [engine, setEngine] = useState<SoundEngine | null>(null);
  useEffect(() => {
    if (sha256 === null) {
      setSoundState({ status: 'none', wave: null });
      return;
    }
    const stop = new AbortController();
    let opened: SoundEngine | null = null;
    setSoundState({ status: 'loading', wave: null });
    openSound(soundAddress(sha256), seconds, stop.signal).then(
      (found) => {
        if (stop.signal.aborted) found?.close();
        else setEngine((opened = found));
      },
      () => {
        if (!stop.signal.aborted) setSoundState({ status: 'failed', wave: null });
      },
    );
    return () => {
      stop.abort();
      opened?.close();
      setEngine(null);
      setSoundState({ status: 'none', wave: null });
    };
  }, [sha256, seconds]);
  useEffect(() => {
    if (!engine) return;
    engine.set({ startSeconds, rate, isHeard: hearsSound });
    setSoundState({ status: 'ready', wave: { ...engine.wave, startSeconds } });
  }, [engine, startSeconds, rate, hearsSound]);
  return null;
}
