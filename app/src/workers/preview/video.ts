import {
  type AudioCodec,
  AudioSample,
  AudioSampleSource,
  BufferTarget,
  canEncodeAudio,
  canEncodeVideo,
  CanvasSource,
  Mp4OutputFormat,
  Output,
  QUALITY_HIGH,
  WebMOutputFormat,
} from 'mediabunny';
import type { SoundTrack } from '../preview';
import type { EncoderOptions, FrameEncoder } from './frameEncoder';

/** What a browser may be able to write. */
const KINDS = {
  webm: { codec: 'vp9', format: () => new WebMOutputFormat() },
  mp4: { codec: 'avc', format: () => new Mp4OutputFormat() },
} as const;

export type VideoKind = keyof typeof KINDS;
export const VIDEO_KINDS = Object.keys(KINDS) as readonly VideoKind[];

/** How its sound is written: the first way that the browser knows. */
const SOUND_CODECS: Readonly<Record<VideoKind, readonly AudioCodec[]>> = {
  webm: ['opus'],
  mp4: ['aac', 'opus'],
};

export const canWrite = (kind: VideoKind, width: number, height: number): Promise<boolean> =>
  typeof VideoEncoder === 'undefined'
    ? Promise.resolve(false)
    : canEncodeVideo(KINDS[kind].codec, { width, height }).catch(() => false);

/** How this browser can write the sound of a kind of video; null where it cannot. */
export async function soundCodecFor(kind: VideoKind): Promise<AudioCodec | null> {
  if (typeof AudioEncoder === 'undefined') return null;
  for (const codec of SOUND_CODECS[kind]) if (await canEncodeAudio(codec).catch(() => false)) return codec;
  return null;
}

function soundSource({ sampleRate, channels }: SoundTrack, codec: AudioCodec) {
  const source = new AudioSampleSource({ codec, quality: QUALITY_HIGH });
  let done = 0;
  return {
    source,
    /** Adds what is heard up to a moment, seconds. */
    addUntil: async (seconds: number): Promise<void> => {
      const until = Math.min(channels[0]!.length, Math.round(seconds * sampleRate));
      if (until <= done) return;
      const data = new Float32Array((until - done) * channels.length);
      channels.forEach((samples, i) => data.set(samples.subarray(done, until), i * (until - done)));
      const sample = new AudioSample({
        data,
        format: 'f32-planar',
        numberOfChannels: channels.length,
        sampleRate,
        timestamp: done / sampleRate,
      });
      done = until;
      await source.add(sample);
      sample.close();
    },
  };
}

/** A video by the browser's own encoder. Frame k lies at k / rate seconds, for 1 / rate. */
export function video(
  kind: VideoKind,
  canvas: OffscreenCanvas,
  { rate, sound: track }: EncoderOptions,
): FrameEncoder {
  const target = new BufferTarget();
  const output = new Output({ format: KINDS[kind].format(), target });
  const source = new CanvasSource(canvas, { codec: KINDS[kind].codec, quality: QUALITY_HIGH });
  output.addVideoTrack(source, { frameRate: rate });
  const begun = async () => {
    const codec = track && (await soundCodecFor(kind));
    const sound = track && codec ? soundSource(track, codec) : null;
    if (sound) output.addAudioTrack(sound.source);
    await output.start();
    return sound;
  };
  let index = 0;
  let started: ReturnType<typeof begun> | null = null;
  return {
    add: async () => {
      const sound = await (started ??= begun());
      await source.add(index / rate, 1 / rate);
      index++;
      await sound?.addUntil(index / rate);
    },
    finish: async () => {
      await output.finalize();
      return new Uint8Array(target.buffer!);
    },
  };
}
