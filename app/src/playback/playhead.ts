import { useSyncExternalStore } from 'react';
import { createThrottledSource, throttleGroup } from '../render/throttledSource';

/** Where playback stands. Not application state: it changes many times a second and is never saved. */
export interface Playhead {
  readonly frame: number;
  readonly isPlaying: boolean;
}

interface Range {
  readonly lengthFrames: number;
  /** Frames per second. */
  readonly rate: number;
  readonly loops: boolean;
}

let playhead: Playhead = { frame: 1, isPlaying: false };
let range: Range = { lengthFrames: 1, rate: 24, loops: true };
let startedAt = 0;
let startedFrom = 1;
/** How fast it plays; 1 is true speed. */
let speed = 1;
let request = 0;
const listeners = new Set<() => void>();

function set(next: Playhead): void {
  if (next.frame === playhead.frame && next.isPlaying === playhead.isPlaying) return;
  playhead = next;
  listeners.forEach((listener) => listener());
}

const within = (frame: number): number => Math.min(range.lengthFrames, Math.max(1, Math.round(frame)));

/**
 * The frame to show so many milliseconds after playback started from a frame. True speed by the clock:
 * a slow machine drops frames and never slows down. Null when the end is reached and nothing repeats.
 */
export function frameAfter(
  elapsedMs: number,
  from: number,
  { lengthFrames, rate, loops }: Range,
): number | null {
  const passed = Math.floor((elapsedMs / 1000) * rate + 1e-6);
  const frame = from + passed;
  if (frame <= lengthFrames) return frame;
  return loops ? ((frame - 1) % lengthFrames) + 1 : null;
}

function tick(now: number): void {
  const frame = frameAfter(Math.max(0, now - startedAt) * speed, startedFrom, range);
  if (frame === null) {
    set({ frame: range.lengthFrames, isPlaying: false });
    return;
  }
  set({ frame, isPlaying: true });
  request = requestAnimationFrame(tick);
}

function start(from: number, at = 1): void {
  cancelAnimationFrame(request);
  speed = at;
  startedAt = performance.now();
  startedFrom = from;
  set({ frame: from, isPlaying: true });
  request = requestAnimationFrame(tick);
}

export function pause(): void {
  cancelAnimationFrame(request);
  set({ ...playhead, isPlaying: false });
}

export function togglePlay(): void {
  if (playhead.isPlaying) pause();
  else start(playhead.frame >= range.lengthFrames ? 1 : playhead.frame);
}

/** Plays from a frame on, faster or slower than it is meant. */
export const playFrom = (frame: number, at: number): void => start(within(frame), at);

/** Puts the playhead on a frame and stops playback there. */
export function goTo(frame: number): void {
  cancelAnimationFrame(request);
  set({ frame: within(frame), isPlaying: false });
}

export const step = (by: number): void => goTo(playhead.frame + by);

/** Fits playback to a shot; a running playback goes on from where it is. */
export function setRange(next: Range): void {
  if (next.lengthFrames === range.lengthFrames && next.rate === range.rate && next.loops === range.loops)
    return;
  range = next;
  if (playhead.isPlaying) start(within(playhead.frame));
  else set({ ...playhead, frame: within(playhead.frame) });
}

export const currentFrame = (): number => playhead.frame;
export const isPlaying = (): boolean => playhead.isPlaying;

export const subscribePlayhead = (listener: () => void): (() => void) => {
  // The same function may follow for several: one of them that leaves must not take the others along.
  const mine = (): void => listener();
  listeners.add(mine);
  return () => listeners.delete(mine);
};

/** How often panels follow a playhead that is dragged or plays, milliseconds. */
const PANELS_MS = 100;

/** What the shot and the playhead share: both follow the hand, and panels follow both. */
export const panelsGroup = throttleGroup();

/** The playhead as panels see it: while it is dragged or plays they follow now and then. */
export const throttledPlayhead = createThrottledSource({
  read: () => playhead,
  follow: subscribePlayhead,
  everyMs: PANELS_MS,
  group: panelsGroup,
  maxLoadDivisor: 8,
  changesContinuously: ({ isPlaying: plays }) => plays,
});

type Shown = string | number | boolean;

/** Something that follows from the playhead with every frame; renders again only when it changes. */
export const usePlayhead = <Value extends Shown>(pick: (playhead: Playhead) => Value): Value =>
  useSyncExternalStore(
    subscribePlayhead,
    () => pick(playhead),
    () => pick(playhead),
  );

/** The same for what may lag a little while the playhead is dragged or plays. */
export const useThrottledPlayhead = <Value extends Shown>(pick: (playhead: Playhead) => Value): Value =>
  useSyncExternalStore(
    throttledPlayhead.subscribe,
    () => pick(throttledPlayhead.get()),
    () => pick(throttledPlayhead.get()),
  );

/** The frame that panels are about. */
export const useThrottledFrame = (): number => useThrottledPlayhead(({ frame }) => frame);
export const useFrame = (): number => usePlayhead(({ frame }) => frame);
export const useIsPlaying = (): boolean => usePlayhead(({ isPlaying }) => isPlaying);
