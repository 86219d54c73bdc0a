import { type Post, type RulerTick, type UnrolledArc } from '@humble/core/views';
import { type Chunk, wholeOf } from '../../../render/chunkedPath';
import { at, type Axis, isInSight } from '../../../ui/axis';
import { byDetail, labelRow, longWithRoom, standsAlone } from '../../../ui/detail';
import { frameNumber } from '../../../store/frameNumbers';

export const BASE = 55;
export const SHORT = 17;
export const LONG = 28;
export const POST_TOP = 12;

const n = (value: number): string => value.toFixed(2);

/** Pixels from a tick to the one before or after it in its piece. */
const gapTo = (
  ticks: ArrayLike<RulerTick>,
  axis: Axis,
  i: number,
  other: number,
  { from, until }: Chunk,
): number =>
  other < from || other >= until
    ? Infinity
    : Math.abs(at(axis, ticks[i]!.arcDistance) - at(axis, ticks[other]!.arcDistance));

/** Ticks with room of their own; of the long ones, which tell every fifth frame, those that have it among themselves. */
export function rulerTicksPath(
  ticks: ArrayLike<RulerTick>,
  axis: Axis,
  isLong: boolean,
  piece: Chunk = wholeOf(ticks),
): string {
  const xs: number[] = [];
  for (let i = piece.from; i < piece.until; i++) {
    const { arcDistance, isFifth, isByHand } = ticks[i]!;
    if (isFifth !== isLong || isByHand || !isInSight(axis, arcDistance)) continue;
    const hasRoom =
      isLong || standsAlone(gapTo(ticks, axis, i, i - 1, piece), gapTo(ticks, axis, i, i + 1, piece));
    if (hasRoom) xs.push(at(axis, arcDistance));
  }
  const height = isLong ? LONG : SHORT;
  return (isLong ? longWithRoom(xs, (a, b) => Math.abs(b - a)) : xs)
    .map((x) => `M${n(x)} ${BASE}v${-height}`)
    .join('');
}

export function tickBandsPath(
  ticks: ArrayLike<RulerTick>,
  axis: Axis,
  piece: Chunk = wholeOf(ticks),
): string {
  let d = '';
  let began: number | null = null;
  for (let i = piece.from; i < piece.until; i++) {
    const isClose = !standsAlone(gapTo(ticks, axis, i, i + 1, piece));
    if (isClose && began === null) began = i;
    if (isClose || began === null) continue;
    const [left, right] = clipped(axis, at(axis, ticks[began]!.arcDistance), at(axis, ticks[i]!.arcDistance));
    if (right > left) d += `M${n(left)} ${BASE}v${-SHORT}H${n(right)}v${SHORT}Z`;
    began = null;
  }
  return d;
}

/** The part of a run of pixels that the axis shows, the left end first. */
function clipped({ start, end }: Axis, a: number, b: number): readonly [number, number] {
  return [Math.max(start, Math.min(a, b)), Math.min(end, Math.max(a, b))];
}

const SPOT_TOP = 2;
const SPOT_HEIGHT = 6;

/** The steps of followed spots along their own paths, to the same scale, beneath the line. */
export const spotTicksPath = (
  trails: readonly (readonly { readonly distance: number }[])[],
  perUnit: number,
  axis: Axis,
): string =>
  trails
    .flatMap((places) => places.map(({ distance }) => distance * perUnit))
    .filter((distance) => isInSight(axis, distance))
    .map((distance) => `M${n(at(axis, distance))} ${BASE + SPOT_TOP}v${SPOT_HEIGHT}`)
    .join('');

/** What is put by hand: a tick with a lozenge on top. */
export const byHandPath = ({ ticks }: UnrolledArc, axis: Axis): string =>
  ticks
    .filter(({ isByHand, arcDistance }) => isByHand && isInSight(axis, arcDistance))
    .map(({ arcDistance }) => `M${n(at(axis, arcDistance))} ${BASE}v${-LONG + 5}m0 -5l4 -4l-4 -4l-4 4z`)
    .join('');

/** What is left out: a faint tick, struck through. */
export const skippedPath = ({ skipped }: UnrolledArc, axis: Axis): string =>
  skipped
    .filter(({ arcDistance }) => isInSight(axis, arcDistance))
    .map(({ arcDistance }) => `M${n(at(axis, arcDistance))} ${BASE}v${-SHORT}m-5 ${SHORT / 2 + 4}l10 -8`)
    .join('');

const EVEN_TOP = 4;
const EVEN_HEIGHT = 7;

/** Ticks at constant speed, which stand alike everywhere: each by itself, or one band. */
export function evenPath({ even }: UnrolledArc, axis: Axis): string {
  if (isEvenBand(even, axis)) return '';
  return even
    .filter((arcDistance) => isInSight(axis, arcDistance))
    .map((arcDistance) => `M${n(at(axis, arcDistance))} ${EVEN_TOP}v${EVEN_HEIGHT}`)
    .join('');
}

export function evenBandPath({ even }: UnrolledArc, axis: Axis): string {
  if (!isEvenBand(even, axis)) return '';
  const [left, right] = clipped(axis, at(axis, even[0]!), at(axis, even[even.length - 1]!));
  return `M${n(left)} ${EVEN_TOP}v${EVEN_HEIGHT}H${n(right)}v${-EVEN_HEIGHT}Z`;
}

export const otherTicksPath = ({ ticks }: UnrolledArc, axis: Axis): string =>
  ticks
    .filter(({ arcDistance }) => isInSight(axis, arcDistance))
    .map(({ arcDistance, isFifth }) => {
      const top = isFifth ? EVEN_TOP - 4 : EVEN_TOP;
      return `M${n(at(axis, arcDistance))} ${top}V${EVEN_TOP + EVEN_HEIGHT}`;
    })
    .join('');

const isEvenBand = (even: UnrolledArc['even'], axis: Axis): boolean =>
  even.length > 1 && !standsAlone(Math.abs(at(axis, even[1]!) - at(axis, even[0]!)));

/** A stop has a foot; a pass is open at the line. */
export const rulerPostPath = ({ arcDistance, kind }: Post, axis: Axis): string => {
  const x = n(at(axis, arcDistance));
  return kind === 'stop'
    ? `M${x} ${POST_TOP}V${BASE + 5}m-5 0h10`
    : `M${x} ${POST_TOP}V${BASE - 12}M${x} ${BASE - 6}V${BASE + 5}`;
};

export const postsPath = ({ posts }: UnrolledArc, axis: Axis, isMeant: (post: Post) => boolean): string =>
  posts
    .filter((post) => isInSight(axis, post.arcDistance) && isMeant(post))
    .map((post) => rulerPostPath(post, axis))
    .join('');

export function postsByDetail({ posts }: UnrolledArc, axis: Axis) {
  const seen = posts.filter(({ arcDistance }) => isInSight(axis, arcDistance));
  const x = ({ arcDistance }: Post): number => at(axis, arcDistance);
  const { full, hairlines, bands } = byDetail(seen, (a, b) => Math.abs(x(b) - x(a)));
  return {
    full: full.map((post) => rulerPostPath(post, axis)).join(''),
    hairlines: hairlines.map((post) => `M${n(x(post))} ${POST_TOP}V${BASE + 5}`).join(''),
    bands: bands
      .map((band) => {
        const xs = band.map(x);
        return `M${n(Math.min(...xs))} ${POST_TOP}V${BASE + 5}H${n(Math.max(...xs) + 1)}V${POST_TOP}Z`;
      })
      .join(''),
  };
}

function framesText({ frame, untilFrame }: Post): string {
  const first = String(frameNumber(frame));
  return frame === untilFrame ? first : `${first}–${frameNumber(untilFrame)}`;
}

interface Written {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly isSelected: boolean;
}

const LETTER_PX = 6.7;
/** Room on both sides of a name, pixels. */
const NAME_ROOM_PX = 5;
const ROWS = [BASE + 17, BASE + 28] as const;

/** Names of posts beneath the line, in two rows: those that are selected come first, then named ones, stops, passes. */
export function postNames(
  { posts }: UnrolledArc,
  axis: Axis,
  isSelected: (post: Post) => boolean,
  width: number,
): Written[] {
  const taken: { row: number; from: number; to: number }[] = [];
  const names: Written[] = [];
  const wanted = posts.filter((post) => isInSight(axis, post.arcDistance));
  const rank = (post: Post): number => (isSelected(post) ? 0 : post.label ? 1 : post.kind === 'stop' ? 2 : 3);
  const ordered = [0, 1, 2, 3].flatMap((wantedRank) => wanted.filter((post) => rank(post) === wantedRank));
  for (const post of ordered) {
    const held = framesText(post);
    for (const text of post.label ? [`${held} ${post.label}`, held] : [held]) {
      const half = (text.length * LETTER_PX) / 2 + NAME_ROOM_PX;
      const x = Math.min(width - half, Math.max(half, at(axis, post.arcDistance)));
      const row = ROWS.findIndex((_, i) =>
        taken.every((other) => other.row !== i || x + half < other.from || x - half > other.to),
      );
      if (row < 0) continue;
      taken.push({ row, from: x - half, to: x + half });
      names.push({ x, y: ROWS[row]!, text, isSelected: isSelected(post) });
      break;
    }
  }
  return names;
}

/** An increment keeps this far from a post, pixels. */
const POST_ROOM = 17;

/** Increments to write over the ruler, each above its gap: none over another, none across a post. */
export function incrementLabels(
  { ticks, closing, posts }: UnrolledArc,
  axis: Axis,
  write: (along: number) => string,
): { x: number; text: string }[] {
  const labels: { x: number; text: string }[] = [];
  const posted = posts.map(({ arcDistance }) => at(axis, arcDistance));
  const hasRoom = labelRow(LETTER_PX);
  const all = closing ? [...ticks, closing] : ticks;
  all.forEach(({ arcDistance, along }, i) => {
    const before = all[i - 1];
    if (along === null || along === 0 || !before || !isInSight(axis, arcDistance)) return;
    const x = (at(axis, arcDistance) + at(axis, before.arcDistance)) / 2;
    const text = write(along);
    if (posted.every((post) => Math.abs(post - x) >= POST_ROOM) && hasRoom(x, text)) labels.push({ x, text });
  });
  return labels;
}
