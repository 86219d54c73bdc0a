import type { Shot } from '@humble/core';
import { soundAddress } from '../../persistence/sounds';
import type { SoundTrack } from '../../workers/preview';

/** What every encoder takes, samples a second. */
const SAMPLE_RATE = 48_000;
const MAX_CHANNELS = 2;

/**
 * What is heard of a shot's sound over some frames, until it ends, with silence before it begins.
 * @returns null where nothing is heard on them; `unreadable` where it cannot be fetched or decoded
 */
export async function soundOf(
  { sound, rate }: Shot,
  from: number,
  until: number,
): Promise<SoundTrack | 'unreadable' | null> {
  if (!sound) return null;
  const [begins, seconds] = [(from - 1) / rate - sound.startSeconds, (until - from + 1) / rate];
  if (begins >= sound.seconds || begins + seconds <= 0) return null;
  const bytes = await fetch(soundAddress(sound.sha256))
    .then((response) => (response.ok ? response.arrayBuffer() : null))
    .catch(() => null);
  const heard =
    bytes && (await heardOf(bytes, begins, Math.min(seconds, sound.seconds - begins)).catch(() => null));
  return heard || 'unreadable';
}

/** A sound from some moment of it on, with silence before its start. @throws where it cannot be decoded */
async function heardOf(bytes: ArrayBuffer, begins: number, seconds: number): Promise<SoundTrack> {
  const decoded = await new OfflineAudioContext(1, 1, SAMPLE_RATE).decodeAudioData(bytes);
  const count = Math.min(MAX_CHANNELS, decoded.numberOfChannels);
  const length = Math.max(1, Math.round(seconds * SAMPLE_RATE));
  const context = new OfflineAudioContext(count, length, SAMPLE_RATE);
  const source = context.createBufferSource();
  source.buffer = decoded;
  source.connect(context.destination);
  source.start(Math.max(0, -begins), Math.max(0, begins));
  const heard = await context.startRendering();
  return {
    sampleRate: SAMPLE_RATE,
    channels: Array.from({ length: count }, (_, i) => heard.getChannelData(i).slice()),
  };
}
