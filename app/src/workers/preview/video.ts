import {
  BufferTarget,
  canEncodeVideo,
  CanvasSource,
  Mp4OutputFormat,
  Output,
  QUALITY_HIGH,
  WebMOutputFormat,
} from 'mediabunny';
import type { EncoderOptions, FrameEncoder } from './frameEncoder';

/** What a browser may be able to write. */
const KINDS = {
  webm: { codec: 'vp9', format: () => new WebMOutputFormat() },
  mp4: { codec: 'avc', format: () => new Mp4OutputFormat() },
} as const;

export type VideoKind = keyof typeof KINDS;

/** Whether this browser can write a kind of video of that size. */
export const canWrite = (kind: VideoKind, width: number, height: number): Promise<boolean> =>
  typeof VideoEncoder === 'undefined'
    ? Promise.resolve(false)
    : canEncodeVideo(KINDS[kind].codec, { width, height }).catch(() => false);

/** A video by the browser's own encoder. Frame k lies at k / rate seconds, for 1 / rate. */
export function video(kind: VideoKind, canvas: OffscreenCanvas, { rate }: EncoderOptions): FrameEncoder {
  const target = new BufferTarget();
  const output = new Output({ format: KINDS[kind].format(), target });
  const source = new CanvasSource(canvas, { codec: KINDS[kind].codec, bitrate: QUALITY_HIGH });
  output.addVideoTrack(source, { frameRate: rate });
  let index = 0;
  let started: Promise<void> | null = null;
  return {
    add: async () => {
      await (started ??= output.start());
      await source.add(index / rate, 1 / rate);
      index++;
    },
    finish: async () => {
      await output.finalize();
      return new Uint8Array(target.buffer!);
    },
  };
}
