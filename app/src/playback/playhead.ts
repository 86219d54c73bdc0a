import { createExternalStore, useExternalStore } from '../ui/externalStore';
import { createThrottledSource } from '../store/throttled/throttledSource';
import { panelsGroup } from '../store/throttled/throttledStore';

/** Where playback stands. Not application state: it changes many times a second and is never saved. */
export interface Playhead {
  readonly frame: number;
  readonly isPlaying: boolean;
  /** How often playback has come round since it began. */
  readonly lap: number;
}

interface Range {
  readonly lengthFrames: number;
  readonly rate: number;
  readonly loops: boolean;
  /** How fast it plays; 1 is true speed, as without it. */
  readonly speed?: number;
  /** The frames that are played, both included; all of them without it. */
  readonly passage?: { readonly from: number; readonly until: number } | null;
}

const playhead = createExternalStore<Playhead>(
  { frame: 1, isPlaying: false, lap: 0 },
  { isEqual: (a, b) => a.frame === b.frame && a.isPlaying === b.isPlaying && a.lap === b.lap },
);
let range: Range = { lengthFrames: 1, rate: 24, loops: true };
let startedAt = 0;
let startedFrom = 1;
/** What is played now: the whole shot where a gesture is replayed. */
let played: Range = range;
/** How fast it plays; 1 is true speed. */
let speed = 1;
let request = 0;

const within = (frame: number): number => Math.min(range.lengthFrames, Math.max(1, Math.round(frame)));

const endsOf = ({ lengthFrames, passage }: Range): readonly [number, number] => [
  Math.min(lengthFrames, passage?.from ?? 1),
  Math.min(lengthFrames, passage?.until ?? lengthFrames),
];

/**
 * The frame to show so many milliseconds after playback started from a frame. True speed by the clock:
 * a slow machine drops frames and never slows down. Null when the end is reached and nothing repeats.
 */
export function frameAfter(
  elapsedMs: number,
  from: number,
  played: Range,
): { readonly frame: number; readonly lap: number } | null {
  const [first, last] = endsOf(played);
  const passed = Math.floor((elapsedMs / 1000) * played.rate + 1e-6);
  const frame = from + passed;
  if (frame <= last) return { frame, lap: 0 };
  const frames = last - first + 1;
  return played.loops
    ? { frame: first + ((frame - first) % frames), lap: Math.floor((frame - first) / frames) }
    : null;
}

function tick(now: number): void {
  const reached = frameAfter(Math.max(0, now - startedAt) * speed, startedFrom, played);
  if (reached === null) {
    playhead.set({ frame: endsOf(played)[1], isPlaying: false, lap: 0 });
    return;
  }
  playhead.set({ ...reached, isPlaying: true });
  request = requestAnimationFrame(tick);
}

function start(from: number, what: Range, at = what.speed ?? 1): void {
  cancelAnimationFrame(request);
  speed = at;
  played = what;
  startedAt = performance.now();
  startedFrom = from;
  playhead.set({ frame: from, isPlaying: true, lap: 0 });
  request = requestAnimationFrame(tick);
}

export function pause(): void {
  cancelAnimationFrame(request);
  playhead.set({ ...playhead.get(), isPlaying: false });
}

export function togglePlay(): void {
  if (playhead.get().isPlaying) pause();
  else {
    const { frame } = playhead.get();
    const [first, last] = endsOf(range);
    start(frame < first || frame >= last ? first : frame, range);
  }
}

export const playFrom = (frame: number, at: number): void =>
  start(within(frame), { ...range, passage: null }, at);

export function goTo(frame: number): void {
  cancelAnimationFrame(request);
  playhead.set({ frame: within(frame), isPlaying: false, lap: 0 });
}

export const step = (by: number): void => goTo(playhead.get().frame + by);

/** Fits playback to a shot; a running playback goes on from where it is. */
export function setRange(next: Range): void {
  const isSame =
    next.lengthFrames === range.lengthFrames &&
    next.rate === range.rate &&
    next.loops === range.loops &&
    next.speed === range.speed &&
    next.passage?.from === range.passage?.from &&
    next.passage?.until === range.passage?.until;
  if (isSame) return;
  range = next;
  if (playhead.get().isPlaying) {
    const [first, last] = endsOf(next);
    start(Math.min(last, Math.max(first, playhead.get().frame)), next);
  } else playhead.set({ ...playhead.get(), frame: within(playhead.get().frame) });
}

export function currentSeconds(): number {
  const { rate, loops } = played;
  if (!playhead.get().isPlaying) return (playhead.get().frame - 1) / range.rate;
  const [first, last] = endsOf(played);
  const reached = startedFrom - 1 + ((performance.now() - startedAt) / 1000) * rate * speed;
  const frames = last - first + 1;
  const from = first - 1;
  return (loops && reached >= last ? from + ((reached - from) % frames) : reached) / rate;
}

export const currentLap = (): number => playhead.get().lap;
export const playbackSpeed = (): number => speed;
export const currentFrame = (): number => playhead.get().frame;
export const isPlaying = (): boolean => playhead.get().isPlaying;

export const subscribePlayhead = playhead.subscribe;

/** How often panels follow a playhead that is dragged or plays, milliseconds. */
const PANELS_MS = 100;

/** The playhead as panels see it: while it is dragged or plays they follow now and then. */
export const throttledPlayhead = createThrottledSource({
  read: playhead.get,
  follow: subscribePlayhead,
  everyMs: PANELS_MS,
  group: panelsGroup,
  maxLoadDivisor: 8,
  changesContinuously: ({ isPlaying: plays }) => plays,
});

type Shown = string | number | boolean;

/** Something that follows from the playhead with every frame; renders again only when it changes. */
export const usePlayhead = <Value extends Shown>(pick: (playhead: Playhead) => Value): Value =>
  useExternalStore(playhead, pick);

export const useThrottledPlayhead = <Value extends Shown>(pick: (playhead: Playhead) => Value): Value =>
  useExternalStore(throttledPlayhead, pick);

export const useThrottledFrame = (): number => useThrottledPlayhead(({ frame }) => frame);
export const useFrame = (): number => usePlayhead(({ frame }) => frame);
export const useIsPlaying = (): boolean => usePlayhead(({ isPlaying }) => isPlaying);
