import type { Key } from '@humble/core';
import { at, type Axis } from '../../../ui/axis';

export interface TrackAxes {
  readonly time: Axis;
  readonly value: Axis;
}

const pixels = (value: number): string => value.toFixed(1);

/** The values as a line: at each pixel the least and the most of the frames that fall on it. */
export function valuesPath(values: Float64Array, { time, value }: TrackAxes): string {
  let d = '';
  let column = NaN;
  let least = 0;
  let most = 0;
  const close = (): void => {
    if (Number.isNaN(column)) return;
    d += `${d ? 'L' : 'M'}${column} ${pixels(at(value, least))}`;
    if (most !== least) d += `L${column} ${pixels(at(value, most))}`;
  };
  values.forEach((now, i) => {
    const x = Math.round(at(time, i + 1));
    if (x !== column) {
      close();
      column = x;
      least = now;
      most = now;
    }
    least = Math.min(least, now);
    most = Math.max(most, now);
  });
  close();
  return d;
}

const KEY_PX = 7;

export const keysPath = (keys: readonly Key[], { time, value }: TrackAxes): string =>
  keys
    .map((key) => {
      const [x, y] = [at(time, key.frame), at(value, key.value)];
      return `M${pixels(x - 1.5)} ${pixels(y - KEY_PX)}h3v${2 * KEY_PX}h3v2h-9v-2h3z`;
    })
    .join('');

/** The range of values that a strip shows: all of them, zero, and a little room. @param least see `leastShown` */
export function shownRange(
  values: Float64Array,
  least: number,
): { readonly from: number; readonly to: number } {
  let [from, to] = [0, 0];
  for (const value of values) {
    from = Math.min(from, value);
    to = Math.max(to, value);
  }
  const lacking = Math.max(0, least - (to - from)) / 2;
  const room = 0.12 * Math.max(least, to - from);
  return { from: from - lacking - room, to: to + lacking + room };
}
