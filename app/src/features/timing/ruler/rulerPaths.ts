import type { Post, RulerTick, UnrolledArc } from '@humble/core';
import { type Chunk, wholeOf } from '../../../render/chunkedPath';
import { at, type Axis, isInSight, onFreshPixels } from '../../../ui/axis';

/** Path data of what stands on the ruler. */

export const BASE = 92;
export const SHORT = 22;
export const LONG = 36;
export const POST_TOP = 44;

const n = (value: number): string => value.toFixed(2);

/** Ticks that fall on the same pixel are one. */
const TICK_APART_PX = 1;

export function ticksPath(
  ticks: ArrayLike<RulerTick>,
  axis: Axis,
  isLong: boolean,
  { from, until }: Chunk = wholeOf(ticks),
): string {
  const isFresh = onFreshPixels(TICK_APART_PX);
  let d = '';
  for (let i = from; i < until; i++) {
    const { arcDistance, isFifth, isByHand } = ticks[i]!;
    if (isFifth !== isLong || isByHand || !isInSight(axis, arcDistance)) continue;
    const x = at(axis, arcDistance);
    if (isFresh(x)) d += `M${n(x)} ${BASE}v${-(isLong ? LONG : SHORT)}`;
  }
  return d;
}

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

export function evenPath({ even }: UnrolledArc, axis: Axis): string {
  const isFresh = onFreshPixels(TICK_APART_PX);
  return even
    .map((arcDistance) => at(axis, arcDistance))
    .filter((x, i) => isInSight(axis, even[i]!) && isFresh(x))
    .map((x) => `M${n(x)} 22v10`)
    .join('');
}

/** A stop has a foot; a pass is open at the line. */
export const postPath = ({ arcDistance, kind }: Post, axis: Axis): string => {
  const x = n(at(axis, arcDistance));
  return kind === 'stop'
    ? `M${x} ${POST_TOP}V${BASE + 5}m-5 0h10`
    : `M${x} ${POST_TOP}V${BASE - 12}M${x} ${BASE - 6}V${BASE + 5}`;
};

export const postsPath = ({ posts }: UnrolledArc, axis: Axis, isMeant: (post: Post) => boolean): string =>
  posts
    .filter((post) => isInSight(axis, post.arcDistance) && isMeant(post))
    .map((post) => postPath(post, axis))
    .join('');

interface Written {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly isSelected: boolean;
}

const LETTER_PX = 6.7;
const ROWS = [BASE + 21, BASE + 35] as const;

/** Names of posts beneath the line, in two rows; where there is no room, those that are selected come first. */
export function postNames(
  { posts }: UnrolledArc,
  axis: Axis,
  isSelected: (post: Post) => boolean,
  width: number,
): Written[] {
  const taken: { row: number; from: number; to: number }[] = [];
  const names: Written[] = [];
  const wanted = posts.filter((post) => isInSight(axis, post.arcDistance));
  const ordered = [...wanted.filter(isSelected), ...wanted.filter((post) => !isSelected(post))];
  for (const post of ordered) {
    const held = post.frame === post.untilFrame ? String(post.frame) : `${post.frame}–${post.untilFrame}`;
    for (const text of post.label ? [`${held} ${post.label}`, held] : [held]) {
      const half = (text.length * LETTER_PX) / 2 + 3;
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

/** An increment is written where the gap leaves this much room for it, and this far from a post, pixels. */
const LABEL_ROOM = 34;
const POST_ROOM = 17;

/** Increments to write over the ruler, each above its gap: none over another, none across a post. */
export function incrementLabels(
  { ticks, closing, posts }: UnrolledArc,
  axis: Axis,
  write: (along: number) => string,
): { x: number; text: string }[] {
  const labels: { x: number; text: string }[] = [];
  const posted = posts.map(({ arcDistance }) => at(axis, arcDistance));
  const all = closing ? [...ticks, closing] : ticks;
  all.forEach(({ arcDistance, along }, i) => {
    const before = all[i - 1];
    if (along === null || along === 0 || !before || !isInSight(axis, arcDistance)) return;
    const x = (at(axis, arcDistance) + at(axis, before.arcDistance)) / 2;
    const last = labels[labels.length - 1];
    const isFree =
      (!last || Math.abs(last.x - x) >= LABEL_ROOM) &&
      labels.every((label) => Math.abs(label.x - x) >= LABEL_ROOM) &&
      posted.every((post) => Math.abs(post - x) >= POST_ROOM);
    if (isFree) labels.push({ x, text: write(along) });
  });
  return labels;
}
