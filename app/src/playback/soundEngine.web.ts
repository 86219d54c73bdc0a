import { runTimeSliced } from '../store/throttled/nextTask';
import { currentFrame, currentLap, isPlaying, playbackSpeed, subscribePlayhead } from './playhead';
import type { SoundEngine, SoundSettings } from './soundEngine';

export type { SoundEngine, SoundSettings };

/** Samples a second that a sound is held with; a long one with fewer, so that it does not fill the memory. */
const SAMPLE_RATE = 44_100;
const LONG_SAMPLE_RATE = 16_000;
const LONG_SECONDS = 300;

const PEAKS_PER_SECOND = 200;
/** While the playhead is dragged so much of the sound is heard at least, seconds. */
const MIN_SLICE = 0.08;
/** A slice fades in and out, so that it does not crack, seconds. */
const FADE = 0.01;

function* measurePeaks(buffer: AudioBuffer, peaks: Float32Array): Generator<void> {
  const channels = Array.from({ length: buffer.numberOfChannels }, (_, i) => buffer.getChannelData(i));
  const each = buffer.sampleRate / PEAKS_PER_SECOND;
  for (let i = 0; i < peaks.length; i++) {
    const [from, until] = [Math.floor(i * each), Math.min(buffer.length, Math.floor((i + 1) * each))];
    for (const samples of channels)
      for (let k = from; k < until; k++) peaks[i] = Math.max(peaks[i]!, Math.abs(samples[k]!));
    if (i % 64 === 0) yield;
  }
}

async function decoded(bytes: ArrayBuffer, seconds: number): Promise<AudioBuffer> {
  const rate = seconds > LONG_SECONDS ? LONG_SAMPLE_RATE : SAMPLE_RATE;
  return new OfflineAudioContext(1, 1, rate).decodeAudioData(bytes);
}

/**
 * Fetches a sound and lets it follow the playhead: at the speed of playback, round with every loop, and a frame at a
 * time while the playhead is dragged.
 * @param seconds how long it is
 * @returns null where it is not wanted any longer
 * @throws when it cannot be fetched or decoded
 */
export async function openSound(
  address: string,
  seconds: number,
  signal: AbortSignal,
): Promise<SoundEngine | null> {
  const response = await fetch(address, { signal });
  if (!response.ok) throw new Error(`${response.status}`);
  const buffer = await decoded(await response.arrayBuffer(), seconds);
  const peaks = new Float32Array(Math.ceil(buffer.duration * PEAKS_PER_SECOND));
  await runTimeSliced(measurePeaks(buffer, peaks), () => !signal.aborted);
  if (signal.aborted) return null;
  return followPlayhead(buffer, { perSecond: PEAKS_PER_SECOND, peaks });
}

function followPlayhead(buffer: AudioBuffer, wave: SoundEngine['wave']): SoundEngine {
  let settings: SoundSettings = { startSeconds: 0, rate: 24, isHeard: true };
  // A browser lets a page make sounds once somebody has touched it.
  let context: AudioContext | null = null;
  let source: AudioBufferSourceNode | null = null;
  let seen = { frame: currentFrame(), lap: 0, isPlaying: false };

  const silence = (): void => {
    source?.stop();
    source = null;
  };

  /** Seconds into the sound at which a frame begins; negative before it. */
  const offsetOf = (frame: number): number => (frame - 1) / settings.rate - settings.startSeconds;

  function sound(offset: number, speed: number, forSeconds?: number): void {
    silence();
    if (!settings.isHeard || offset >= buffer.duration) return;
    if (forSeconds !== undefined && offset < 0) return;
    context ??= new AudioContext();
    void context.resume();
    const gain = context.createGain();
    gain.connect(context.destination);
    source = context.createBufferSource();
    source.buffer = buffer;
    source.playbackRate.value = speed;
    source.connect(gain);
    const now = context.currentTime;
    if (forSeconds === undefined) {
      source.start(now + Math.max(0, -offset) / speed, Math.max(0, offset));
      return;
    }
    gain.gain.setValueAtTime(0, now);
    gain.gain.linearRampToValueAtTime(1, now + FADE);
    gain.gain.setValueAtTime(1, now + forSeconds - FADE);
    gain.gain.linearRampToValueAtTime(0, now + forSeconds);
    source.start(now, offset, forSeconds);
  }

  function follow(): void {
    const now = { frame: currentFrame(), lap: currentLap(), isPlaying: isPlaying() };
    const before = seen;
    seen = now;
    if (now.isPlaying) {
      if (!before.isPlaying || before.lap !== now.lap) sound(offsetOf(now.frame), playbackSpeed());
    } else if (before.isPlaying) silence();
    else if (before.frame !== now.frame)
      sound(offsetOf(now.frame), 1, Math.max(MIN_SLICE, 1 / settings.rate));
  }

  const stopFollowing = subscribePlayhead(follow);
  return {
    wave,
    set: (next) => {
      const isOther =
        next.startSeconds !== settings.startSeconds ||
        next.rate !== settings.rate ||
        next.isHeard !== settings.isHeard;
      settings = next;
      if (isOther && seen.isPlaying) sound(offsetOf(currentFrame()), playbackSpeed());
    },
    close: () => {
      stopFollowing();
      silence();
      void context?.close();
    },
  };
}
