import { type Easing, easedDistance, rampOf } from '@humble/core';

/** What of an easing can be dragged in the graph. */
export interface EasingHandle {
  readonly id: 'first' | 'second' | 'leave' | 'arrive' | 'slow' | 'over' | 'hop';
  readonly hint: string;
  /** Frames into the span, and share of its way. */
  readonly x: number;
  readonly share: number;
  /** The end of the span that a stem leads to, as x and share; none for a knob on the curve itself. */
  readonly stem: { readonly x: number; readonly share: number } | null;
}

/** @param frames length of the span */
export function easingHandles(easing: Easing, frames: number): readonly EasingHandle[] {
  const onCurve = (id: EasingHandle['id'], hint: string, x: number): EasingHandle => ({
    id,
    hint,
    x,
    share: easedDistance(easing, x, frames, 1),
    stem: null,
  });
  switch (easing.kind) {
    case 'curve':
      return [
        {
          id: 'first',
          hint: 'how it leaves',
          x: easing.x1 * frames,
          share: easing.y1,
          stem: { x: 0, share: 0 },
        },
        {
          id: 'second',
          hint: 'how it arrives',
          x: easing.x2 * frames,
          share: easing.y2,
          stem: { x: frames, share: 1 },
        },
      ];
    case 'ramped': {
      const { leaveFrames, arriveFrames } = rampOf(easing, frames, 1);
      return [
        onCurve('leave', 'frames to leave over', leaveFrames),
        onCurve('arrive', 'frames to arrive over', frames - arriveFrames),
      ];
    }
    case 'slow-place': {
      // Half way between the two places of the same speed about it: there it is slowest.
      const x = slowestAt(easing, frames);
      return [onCurve('slow', 'where it is slowest', x)];
    }
    case 'settle':
      return [onCurve('over', 'how far it passes the mark', frames / (easing.swings + 1))];
    case 'bounce': {
      if (easing.count === 0) return [];
      let total = 1;
      for (let k = 1; k <= easing.count; k++) total += 2 * easing.restitution ** k;
      return [onCurve('hop', 'how high it bounces', (frames * (1 + easing.restitution)) / total)];
    }
    default:
      return [];
  }
}

const LOOKS = 200;

function slowestAt(easing: Easing, frames: number): number {
  let best = 0;
  let least = Infinity;
  for (let i = 0; i < LOOKS; i++) {
    const [a, b] = [(frames * i) / LOOKS, (frames * (i + 1)) / LOOKS];
    const step = easedDistance(easing, b, frames, 1) - easedDistance(easing, a, frames, 1);
    if (step >= least) continue;
    least = step;
    best = (a + b) / 2;
  }
  return best;
}

const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** Two places of decimals: what is dragged can be read, and typed again. */
const rounded = (value: number): number => Math.round(value * 100) / 100;

/**
 * The easing with one of its handles dragged elsewhere.
 * @param x frames into the span
 * @param share of its way
 */
export function withEasingHandle(
  easing: Easing,
  id: EasingHandle['id'],
  { x, share }: { readonly x: number; readonly share: number },
  frames: number,
): Easing {
  switch (easing.kind) {
    case 'curve': {
      const [time, way] = [rounded(clamp(x / frames, 0, 1)), rounded(clamp(share, -4, 4))];
      return id === 'first' ? { ...easing, x1: time, y1: way } : { ...easing, x2: time, y2: way };
    }
    case 'ramped':
      return id === 'leave'
        ? { ...easing, leaveFrames: Math.round(clamp(x, 0, frames - Math.min(frames, easing.arriveFrames))) }
        : {
            ...easing,
            arriveFrames: Math.round(clamp(frames - x, 0, frames - Math.min(frames, easing.leaveFrames))),
          };
    case 'slow-place':
      return { ...easing, at: rounded(clamp(share, 0, 1)) };
    case 'settle':
      return { ...easing, overshoot: rounded(clamp(share - 1, 0.01, 0.9)) };
    case 'bounce':
      return { ...easing, restitution: rounded(clamp(Math.sqrt(clamp(1 - share, 0, 1)), 0.05, 0.95)) };
    default:
      return easing;
  }
}
