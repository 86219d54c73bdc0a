import type { Shot } from '@humble/core';
import {
  type SceneItem,
  sceneOn,
  strobeScenes,
  takenSceneOn,
  TICK_COLOUR,
  tickLines,
} from '@humble/core/scene';
import { expose } from 'comlink';
import { drawScene, type SceneImages } from './preview/drawScene';
import { apng } from './preview/apng';
import type { EncoderOptions, FrameEncoder } from './preview/frameEncoder';
import { gif } from './preview/gif';
import { pngOf, pngZip } from './preview/pngZip';
import { canWrite, soundCodecFor, video, VIDEO_KINDS } from './preview/video';
import type { MovingFormat, OfferedFormat, PreviewJob, StillJob } from './preview';

function encoderOf(format: MovingFormat, canvas: OffscreenCanvas, options: EncoderOptions): FrameEncoder {
  switch (format) {
    case 'png':
      return pngZip();
    case 'apng':
      return apng(options);
    case 'gif':
      return gif(options);
    case 'webm':
    case 'mp4':
      return video(format, canvas, options);
  }
}

const imagesOf = (images: PreviewJob['images']): Map<string, ImageBitmap> =>
  new Map(images.map(({ sha256, bitmap }) => [sha256, bitmap]));

/** What is seen on a frame of a job. */
const sceneOf = (
  { shot, shows, withBackdrop, outlines }: Pick<PreviewJob, 'shot' | 'shows' | 'withBackdrop' | 'outlines'>,
  frame: number,
): readonly SceneItem[] =>
  (shows === 'taken' ? takenSceneOn : sceneOn)(shot, frame, withBackdrop, { outlines });

/** Decodes the picture of a scene that was taken when it is needed, and lets go of the one before. */
function takenLoader({ taken }: Pick<PreviewJob, 'taken'>, images: Map<string, ImageBitmap>) {
  const sources = new Map(taken.map(({ sha256, from }) => [sha256, from]));
  let held: string | null = null;
  return async (items: readonly SceneItem[]): Promise<void> => {
    for (const item of items) {
      const sha256 = item.kind === 'picture' ? item.picture.sha256 : '';
      const from = sources.get(sha256);
      if (from === undefined || images.has(sha256)) continue;
      if (held !== null) {
        images.get(held)?.close();
        images.delete(held);
      }
      const bytes = typeof from === 'string' ? await (await fetch(from)).blob() : from;
      images.set(sha256, await createImageBitmap(bytes));
      held = sha256;
    }
  };
}

const heightFor = ({ field }: Pick<Shot, 'field'>, width: number): number =>
  Math.round((width * field.height) / field.width);

const even = (side: number): number => Math.max(2, side - (side % 2));

const renderer = {
  /** Which of the kinds that not every browser has this one can write. */
  probe: async (width: number, height: number): Promise<readonly OfferedFormat[]> => {
    const [w, h] = [even(width), even(height)];
    const looked = VIDEO_KINDS.map(async (format) => ({
      format,
      canBe: await canWrite(format, w, h),
      hasSound: (await soundCodecFor(format)) !== null,
    }));
    return (await Promise.all(looked)).filter(({ canBe }) => canBe);
  },

  /** Frames of a shot as one file. Frame by frame from the one evaluation; progress is told after each. */
  moving: async (job: PreviewJob, onProgress: (done: number) => void): Promise<Uint8Array> => {
    const { shot, from, until, ground, shutterDeg, labels, format, loops, sound, firstNumber } = job;
    const isVideo = format === 'webm' || format === 'mp4';
    const width = isVideo ? even(job.width) : job.width;
    const height = isVideo ? even(heightFor(shot, width)) : heightFor(shot, width);
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d', { willReadFrequently: format === 'gif' })!;
    const images = imagesOf(job.images);
    const count = until - from + 1;
    const encoder = encoderOf(format, canvas, { width, height, rate: shot.rate, count, loops, sound });
    const loaded = takenLoader(job, images);
    let items = sceneOf(job, from);
    for (let frame = from; frame <= until; frame++) {
      await loaded(items);
      const next = frame < shot.lengthFrames ? sceneOf(job, frame + 1) : null;
      const label = labels[frame - from] ?? null;
      // What was taken is sharp as it is.
      const blurDeg = job.shows === 'taken' ? 0 : shutterDeg;
      drawScene(context, { field: shot.field, items, next, shutterDeg: blurDeg, ground, label }, images);
      await encoder.add(canvas, frame - 1 + firstNumber);
      onProgress(frame - from + 1);
      if (next) items = next;
    }
    return encoder.finish();
  },

  still: async (job: StillJob): Promise<Uint8Array> => {
    const images = imagesOf(job.images);
    return pngOf(job.kind === 'strobe' ? strobe(job, images) : await contactSheet(job, images));
  },
};

function strobe(job: StillJob, images: SceneImages): OffscreenCanvas {
  const { shot, width, ground, withBackdrop, withTicks } = job;
  const { field } = shot;
  const canvas = new OffscreenCanvas(width, heightFor(shot, width));
  const context = canvas.getContext('2d')!;
  const items = strobeScenes(shot, job, withBackdrop).flat();
  drawScene(context, { field, items, next: null, shutterDeg: 0, ground, label: null }, images);
  if (!withTicks) return canvas;
  const { d, strokeWidth } = tickLines(shot);
  context.setTransform(width / field.width, 0, 0, canvas.height / field.height, 0, 0);
  context.strokeStyle = TICK_COLOUR;
  context.lineWidth = strokeWidth;
  context.stroke(new Path2D(d));
  return canvas;
}

const COLUMNS = 5;
const GAP = 8;

async function contactSheet(job: StillJob, images: Map<string, ImageBitmap>): Promise<OffscreenCanvas> {
  const { shot, width, from, until, ground, every, labels } = job;
  const frames = Array.from({ length: Math.ceil((until - from + 1) / every) }, (_, i) => from + i * every);
  const columns = Math.min(COLUMNS, frames.length);
  const cell = Math.max(16, Math.floor((width - GAP * (columns + 1)) / columns));
  const cellHeight = heightFor(shot, cell);
  const rows = Math.ceil(frames.length / columns);
  const sheet = new OffscreenCanvas(width, rows * (cellHeight + GAP) + GAP);
  const onSheet = sheet.getContext('2d')!;
  onSheet.fillStyle = ground === 'black' ? '#000000' : '#FFFFFF';
  if (ground !== 'transparent') onSheet.fillRect(0, 0, sheet.width, sheet.height);
  const one = new OffscreenCanvas(cell, cellHeight);
  const loaded = takenLoader(job, images);
  for (const [i, frame] of frames.entries()) {
    const items = sceneOf(job, frame);
    await loaded(items);
    const label = labels[frame - from] ?? String(frame);
    drawScene(
      one.getContext('2d')!,
      { field: shot.field, items, next: null, shutterDeg: 0, ground, label },
      images,
    );
    const [column, row] = [i % columns, Math.floor(i / columns)];
    onSheet.drawImage(one, GAP + column * (cell + GAP), GAP + row * (cellHeight + GAP));
  }
  return sheet;
}

export type Renderer = typeof renderer;
expose(renderer);
