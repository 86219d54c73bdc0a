import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { type Shot } from '@humble/core';
import { type Ground, pictureSourceFrom, type PictureSource, scenesSvg } from '@humble/core/files';
import { blurredScenes, sceneOn } from '@humble/core/scene';
import { type Answer, noted } from '../answer';
import { defineCommand, shotOf, TAKE, type Values } from '../command';
import { numberOf, type ReadShot } from '../input';
import { filesTogether, madeNote } from '../output';
import { filesWith, missingNote } from '../pictures';
import { UsageError } from '../usageError';

const OPTIONS = {
  ...TAKE,
  out: { type: 'string' },
  width: { type: 'string' },
  from: { type: 'string' },
  until: { type: 'string' },
  ground: { type: 'string' },
  'no-backdrop': { type: 'boolean' },
  shutter: { type: 'string' },
  pictures: { type: 'string' },
  replace: { type: 'boolean' },
} as const;

const GROUNDS: readonly Ground[] = ['paper', 'black', 'transparent'];
const WIDEST = 8192;

interface Plan {
  readonly folder: string;
  readonly width: number;
  readonly from: number;
  readonly until: number;
  readonly ground: Ground;
  readonly withBackdrop: boolean;
  /** How long the shutter is open, as a share of a frame. */
  readonly openShare: number;
}

function planOf(shot: Shot, values: Values<typeof OPTIONS>): Plan {
  if (!values.out) throw new UsageError('Say where the pictures go: --out FOLDER.');
  const ground = (values.ground ?? 'paper') as Ground;
  if (!GROUNDS.includes(ground)) throw new UsageError(`--ground is one of ${GROUNDS.join(', ')}.`);
  const width = Math.round(numberOf(values.width, 'width', shot.field.width, 16));
  if (width > WIDEST) throw new UsageError(`--width is at most ${WIDEST}.`);
  const from = Math.round(numberOf(values.from, 'from', 1, 1));
  const until = Math.round(numberOf(values.until, 'until', shot.lengthFrames, 1));
  if (from > until || until > shot.lengthFrames)
    throw new UsageError(`The shot has frames 1 to ${shot.lengthFrames}, and --from comes before --until.`);
  const shutterDeg = numberOf(values.shutter, 'shutter', 0);
  if (shutterDeg > 360) throw new UsageError('--shutter is at most 360 degrees.');
  return {
    folder: values.out,
    width,
    from,
    until,
    ground,
    withBackdrop: !values['no-backdrop'],
    openShare: shutterDeg / 360,
  };
}

/** The name of a frame's file: numbers of one length, so that they sort. */
const nameOf = (frame: number, last: number): string =>
  `frame-${String(frame).padStart(Math.max(4, String(last).length), '0')}.png`;

const PICTURE = /^frame-(\d+)\.png$/;

/**
 * Pictures in a folder that this render neither makes anew nor can have made before: those of another shot, or of a longer
 * one. Where only some frames are asked for, the others of the shot may lie there.
 */
function strangersIn({ folder, from, until }: Plan, lengthFrames: number): readonly string[] {
  let names: readonly string[];
  try {
    names = readdirSync(folder);
  } catch {
    return [];
  }
  const isSome = from > 1 || until < lengthFrames;
  return names
    .filter((name) => {
      const frame = Number(PICTURE.exec(name)?.[1] ?? Number.NaN);
      if (Number.isNaN(frame)) return false;
      const isOurs = frame >= 1 && frame <= lengthFrames && name === nameOf(frame, lengthFrames);
      return !isOurs || (!isSome && (frame < from || frame > until));
    })
    .sort();
}

/** Blur is sampled so that nothing jumps further than this, pixels. */
const STEP_PX = 2;

async function pictureOf(shot: Shot, frame: number, plan: Plan, source: PictureSource): Promise<Buffer> {
  const { width, ground, withBackdrop, openShare } = plan;
  // It is large, and no other command needs it.
  const { default: sharp } = await import('sharp');
  const next = frame < shot.lengthFrames ? sceneOn(shot, frame + 1, withBackdrop) : null;
  const step = (STEP_PX * shot.field.width) / width;
  const scenes = blurredScenes(sceneOn(shot, frame, withBackdrop), next, openShare, step);
  const drawn = scenes.map((scene) =>
    sharp(Buffer.from(scenesSvg(shot, [scene], { ground, width, source })), { unlimited: true }),
  );
  if (drawn.length === 1) return drawn[0]!.png().toBuffer();
  const sums = new Float64Array(width * heightFor(shot, width) * 4);
  for (const one of drawn) addPremultiplied(sums, await one.ensureAlpha().raw().toBuffer());
  const raw = { width, height: heightFor(shot, width), channels: 4 } as const;
  return sharp(unmultiplied(sums, drawn.length), { raw }).png().toBuffer();
}

const heightFor = ({ field }: Shot, width: number): number =>
  Math.round((width * field.height) / field.width);

/** Adds colours by how far they cover: what is clear has none. */
function addPremultiplied(sums: Float64Array, rgba: Uint8Array): void {
  for (let i = 0; i < rgba.length; i += 4) {
    const alpha = rgba[i + 3]!;
    for (let k = 0; k < 3; k++) sums[i + k]! += rgba[i + k]! * alpha;
    sums[i + 3]! += alpha;
  }
}

function unmultiplied(sums: Float64Array, count: number): Uint8Array {
  const rgba = new Uint8Array(sums.length);
  for (let i = 0; i < sums.length; i += 4) {
    const alpha = sums[i + 3]!;
    for (let k = 0; k < 3; k++) rgba[i + k] = alpha === 0 ? 0 : Math.round(sums[i + k]! / alpha);
    rgba[i + 3] = Math.round(alpha / count);
  }
  return rgba;
}

/** Each frame of a shot as a PNG in a folder: all of them, or none. */
async function rendered({ shot, files: own }: ReadShot, values: Values<typeof OPTIONS>): Promise<Answer> {
  const plan = planOf(shot, values);
  const { folder, from, until } = plan;
  const strangers = strangersIn(plan, shot.lengthFrames);
  if (strangers.length > 0 && !values.replace)
    throw new UsageError(
      `${folder} has pictures of another render, such as ${strangers[0]!}: take another folder, or say --replace to have them removed.`,
    );
  const files = filesWith(own, values.pictures);
  const source = pictureSourceFrom(files);
  const together = filesTogether();
  let made: readonly string[];
  try {
    for (let frame = from; frame <= until; frame++)
      together.add(
        join(folder, nameOf(frame, shot.lengthFrames)),
        await pictureOf(shot, frame, plan, source),
      );
    for (const name of strangers) together.remove(join(folder, name));
    made = together.finish();
  } catch (error) {
    together.giveUp();
    if (error instanceof UsageError) throw error;
    throw new UsageError(`The pictures cannot be made: ${(error as Error).message.split('\n')[0]}.`);
  }
  const count = until - from + 1;
  const text = `${count === 1 ? '1 picture' : `${count} pictures`} in ${folder}.\n`;
  return { text, note: noted(missingNote(shot, files), madeNote(made)), code: 0 };
}

export default defineCommand({
  options: OPTIONS,
  writesFiles: true,
  run: (paths, values) => rendered(shotOf('render', paths, values), values),
});
