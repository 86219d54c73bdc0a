import { type Shot, travelOfMove, evaluate, type Vector } from '@humble/core';
import type { SceneItem } from '@humble/core/scene';
import {
  latestPicture,
  placedByHand,
  plannedOn,
  type StageStands,
  seededShare,
  STAGE_SEED,
} from '@humble/core/shoot';
import { type Bitmaps, bitmapsOf } from '../persistence/bitmaps';
import { selectShot } from '../store/selectors/active';
import type { AppStore } from '../store/store';
import { createExternalStore } from '../ui/externalStore';
import { Refusal } from '../ui/refusal';
import { shootWords as words } from '../words/shoot';
import type { CameraKind, OpenCamera, Size } from './camera';

const MAX_WIDTH_PX = 1920;
const JPEG_QUALITY = 0.92;
/** How strong the noise of its sensor is, and the side of the patch that it is made of, pixels. */
const NOISE_ALPHA = 0.045;
const NOISE_PX = 128;

/** The set as it stands: on which frame, and where each figure was put. */
interface Stage {
  readonly frame: number;
  readonly stands: StageStands;
  /** A figure was moved by finger since the last picture: the hand of the stage leaves it alone. */
  readonly isTouched: boolean;
}

/** The stage that is open; null when another camera is. */
const stage = createExternalStore<Stage | null>(null);

/** Where a figure stands on the stage, field units; null when the stage is not open, or it has no such figure. */
export const standsOnStage = (moveId: string): Vector | null => stage.get()?.stands[moveId] ?? null;

/** Puts a figure somewhere on the stage, as a finger does. */
export function putOnStage(moveId: string, to: Vector): void {
  const now = stage.get();
  if (now) stage.set({ ...now, stands: { ...now.stands, [moveId]: to }, isTouched: true });
}

/** The set as the last picture left it, or as it is put up for the first one. */
function setUp(shot: Shot): Stage {
  const last = latestPicture(shot);
  const frame = Math.min(last?.frame ?? 1, shot.lengthFrames);
  const told = Object.fromEntries((last?.actuals ?? []).map(({ moveId, x, y }) => [moveId, { x, y }]));
  return { frame, stands: { ...placedByHand(shot, frame, STAGE_SEED), ...told }, isTouched: false };
}

function shiftsOf(shot: Shot, { frame, stands }: Stage): ReadonlyMap<string, Vector> {
  const evaluation = evaluate(shot);
  return new Map(
    Object.entries(stands).flatMap(([moveId, { x, y }]) => {
      const travel = travelOfMove(evaluation, moveId);
      if (!travel) return [];
      const plan = plannedOn(shot, travel.move, frame);
      return [[moveId, { x: x - plan.x, y: y - plan.y }] as const];
    }),
  );
}

function noisePatch(): HTMLCanvasElement {
  const patch = Object.assign(document.createElement('canvas'), { width: NOISE_PX, height: NOISE_PX });
  const context = patch.getContext('2d')!;
  const pixels = context.createImageData(NOISE_PX, NOISE_PX);
  for (let i = 0; i < pixels.data.length; i += 4) {
    pixels.data.fill(255 * seededShare(STAGE_SEED, 'noise', i), i, i + 3);
    pixels.data[i + 3] = 255;
  }
  context.putImageData(pixels, 0, 0);
  return patch;
}

interface Painter {
  readonly canvas: HTMLCanvasElement;
  /** @param grain which of the many noises; another one for each picture */
  readonly paint: (shot: Shot, now: Stage, grain: number) => void;
}

async function createPainter(shot: Shot, size: Size): Promise<Painter> {
  const [{ sceneOn }, { drawScene }, { drawnPicturesOf }] = await Promise.all([
    import('@humble/core/scene'),
    import('../workers/preview/drawScene'),
    import('@humble/core/files'),
  ]);
  const images: Bitmaps = await bitmapsOf(drawnPicturesOf(shot), size.width / shot.field.width);
  const canvas = Object.assign(document.createElement('canvas'), size);
  const context = canvas.getContext('2d')!;
  const noise = noisePatch();
  return {
    canvas,
    paint: (now, set, grain) => {
      const frame = Math.min(set.frame, now.lengthFrames);
      const items: readonly SceneItem[] = sceneOn(now, frame, true, {
        shifts: shiftsOf(now, { ...set, frame }),
      });
      drawScene(
        context,
        { field: now.field, items, next: null, shutterDeg: 0, ground: 'paper', label: null },
        images,
      );
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.globalAlpha = NOISE_ALPHA;
      const [dx, dy] = [seededShare(STAGE_SEED, 'x', grain), seededShare(STAGE_SEED, 'y', grain)];
      for (let x = -dx * NOISE_PX; x < canvas.width; x += NOISE_PX)
        for (let y = -dy * NOISE_PX; y < canvas.height; y += NOISE_PX) context.drawImage(noise, x, y);
      context.globalAlpha = 1;
    },
  };
}

const sizeOf = ({ field }: Shot): Size => {
  const width = Math.round(Math.min(MAX_WIDTH_PX, Math.max(640, field.width)));
  return { width, height: Math.max(1, Math.round((width * field.height) / field.width)) };
};

const bytesOf = (canvas: HTMLCanvasElement): Promise<Blob> =>
  new Promise((resolve, reject) =>
    canvas.toBlob(
      (bytes) => (bytes ? resolve(bytes) : reject(new Refusal(words.noPicture))),
      'image/jpeg',
      JPEG_QUALITY,
    ),
  );

async function open({ store }: { readonly store: AppStore }): Promise<OpenCamera> {
  const shotNow = (): Shot => selectShot(store.getState())!;
  const size = sizeOf(shotNow());
  const { canvas, paint } = await createPainter(shotNow(), size);
  stage.set(setUp(shotNow()));
  const draw = (): void => {
    const [shot, now] = [selectShot(store.getState()), stage.get()];
    if (shot && now) paint(shot, now, now.frame);
  };
  let seen = shotNow();
  // What was undone or shot over is put back on the stage; an edit of the plan moves nothing there.
  const follow = (): void => {
    const shot = selectShot(store.getState());
    if (!shot || shot === seen) return;
    const hasOther = latestPicture(shot)?.frame !== latestPicture(seen)?.frame;
    const isUnknown = shot.moves.some(({ id }) => !stage.get()?.stands[id]);
    seen = shot;
    if ((hasOther && latestPicture(shot)?.frame !== stage.get()?.frame) || isUnknown) stage.set(setUp(shot));
    else draw();
  };
  const ends = [stage.subscribe(draw), store.subscribe(follow)];
  draw();
  return {
    live: canvas,
    size,
    take: async (frame) => {
      const now = stage.get()!;
      const stands = now.isTouched ? now.stands : placedByHand(shotNow(), frame, STAGE_SEED);
      stage.set({ frame, stands, isTouched: false });
      draw();
      return { bytes: await bytesOf(canvas), ...size };
    },
    close: () => {
      for (const end of ends) end();
      stage.set(null);
    },
  };
}

/**
 * A set of cardboard with a camera before it, for whoever has none: the backdrop, and the figures where they stand. A
 * hand puts them in place for each picture, up to 0.8 mm off; a finger can do it first.
 */
export const cardboardStage: CameraKind = {
  list: () => Promise.resolve([{ id: 'stage', label: words.cardboardStage }]),
  open,
  widths: [],
};
