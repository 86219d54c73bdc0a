import type { Field } from '@humble/core';
import { blurredScenes, type Ground, GROUNDS, type SceneItem, TONE_COLOURS } from '@humble/core/scene';

export type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** Pictures that are there, by their SHA-256. */
export type SceneImages = ReadonlyMap<string, CanvasImageSource>;

export interface DrawnScene {
  readonly field: Pick<Field, 'width' | 'height'>;
  readonly items: readonly SceneItem[];
  /** What is seen on the next frame; null at the end, or without blur. */
  readonly next: readonly SceneItem[] | null;
  /** How far the shutter is open, 0 to 360 degrees. */
  readonly shutterDeg: number;
  readonly ground: Ground;
  /** What is written into a corner; null for nothing. */
  readonly label: string | null;
}

const paths = new Map<string, Path2D>();

function pathOf(d: string): Path2D {
  let path = paths.get(d);
  if (!path) paths.set(d, (path = new Path2D(d)));
  return path;
}

function drawItem(context: Context, item: SceneItem, images: SceneImages, strength: number): void {
  context.save();
  context.globalAlpha = item.opacity * strength;
  const image = item.kind === 'picture' ? images.get(item.picture.sha256) : undefined;
  const { a, b, c, d, e, f } =
    item.kind === 'picture' && !image ? (item.outline?.placement ?? item.placement) : item.placement;
  context.transform(a, b, c, d, e, f);
  if (item.kind === 'shape')
    for (const { d: data, tone } of item.paths) {
      context.fillStyle = TONE_COLOURS[tone];
      context.fill(pathOf(data));
    }
  else if (item.kind === 'outline') {
    context.strokeStyle = TONE_COLOURS.ink;
    context.lineWidth = item.width;
    context.stroke(new Path2D(item.d));
  } else if (image) {
    const { width, height } = item.picture;
    if (item.slice) {
      context.beginPath();
      context.rect(item.slice.from, 0, item.slice.width, height);
      context.clip();
    }
    context.drawImage(image, 0, 0, width, height);
  } else if (item.outline) {
    context.fillStyle = TONE_COLOURS.ink;
    context.fill(pathOf(item.outline.d));
  }
  context.restore();
}

/** Blur is sampled so that nothing jumps further than this, pixels. */
const STEP_PX = 2;
const LABEL_SHARE = 0.035;

/** An average of scenes: each as strong as its share, summed up on a sheet of its own. */
function drawBlurred(
  context: Context,
  scenes: readonly (readonly SceneItem[])[],
  images: SceneImages,
  sheet: () => OffscreenCanvas,
): void {
  const sum = sheet();
  const each = sheet();
  const [onSum, onEach] = [sum.getContext('2d')!, each.getContext('2d')!];
  for (const scene of scenes) {
    onEach.setTransform(1, 0, 0, 1, 0, 0);
    onEach.clearRect(0, 0, each.width, each.height);
    onEach.setTransform(context.getTransform());
    for (const item of scene) drawItem(onEach, item, images, 1);
    onSum.globalCompositeOperation = 'lighter';
    onSum.globalAlpha = 1 / scenes.length;
    onSum.drawImage(each, 0, 0);
  }
  context.save();
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.drawImage(sum, 0, 0);
  context.restore();
}

export function drawScene(
  context: Context,
  { field, items, next, shutterDeg, ground, label }: DrawnScene,
  images: SceneImages,
): void {
  const { width, height } = context.canvas;
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.clearRect(0, 0, width, height);
  const fill = GROUNDS[ground];
  if (fill) {
    context.fillStyle = fill;
    context.fillRect(0, 0, width, height);
  }
  const scale = width / field.width;
  context.setTransform(scale, 0, 0, height / field.height, 0, 0);
  const scenes = blurredScenes(items, next, shutterDeg / 360, STEP_PX / scale);
  if (scenes.length === 1) for (const item of scenes[0]!) drawItem(context, item, images, 1);
  else drawBlurred(context, scenes, images, () => new OffscreenCanvas(width, height));
  if (label === null) return;
  context.setTransform(1, 0, 0, 1, 0, 0);
  const size = Math.max(10, Math.round(height * LABEL_SHARE));
  context.font = `${size}px monospace`;
  context.textBaseline = 'bottom';
  // With an outline in the contrary tone it can be read on anything.
  context.lineWidth = size / 5;
  context.strokeStyle = '#FFFFFF';
  context.fillStyle = '#000000';
  context.strokeText(label, size * 0.6, height - size * 0.4);
  context.fillText(label, size * 0.6, height - size * 0.4);
}
