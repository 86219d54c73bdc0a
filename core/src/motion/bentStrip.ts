import { measureArc, pointBuffer } from '../arc/arcMeasure';
import type { Transform } from '../arc/transform';
import type { Travel } from './evaluate';
import type { Look } from './look';
import type { RiderTravel } from './riders';
import { writeBeyond } from './riders';
import { type Scale, scaleOn } from './scale';
import { bentSilhouette } from './silhouettePath';

export interface Slice {
  readonly from: number;
  readonly width: number;
  /** From the picture's own units to the field, for this slice. */
  readonly placement: Transform;
}

const SLICES = 24;

interface Strip {
  readonly map: (x: number, y: number) => readonly [number, number];
  readonly under: (x: number) => { readonly x: number; readonly y: number; readonly headingDeg: number };
  readonly scale: Scale;
  readonly flips: number;
}

function stripOn(
  { rider, arc, distanceOn, height }: RiderTravel,
  travel: Travel,
  look: Look,
  i: number,
): Strip {
  const measure = measureArc(arc);
  const at = pointBuffer();
  const own = (height / look.height) * (rider.sizePercent / 100);
  const figure = scaleOn(travel, i);
  const scale = { across: own * figure.across, down: own * figure.down };
  const flips = rider.mirrored ? -1 : 1;
  const isRiding = rider.offsetIn === 'riding';
  const [ahead, aside] = isRiding ? [rider.offset.x, rider.offset.y] : [0, 0];
  const [dx, dy] = isRiding ? [0, 0] : [rider.offset.x, rider.offset.y];
  const under = (x: number) => {
    writeBeyond(
      measure,
      arc,
      distanceOn(i) + ahead + (x - look.pivot.x) * scale.across,
      rider.pastEnds === 'straight',
      at,
    );
    return { x: at.x + dx, y: at.y + dy, headingDeg: at.headingDeg };
  };
  const off = (place: ReturnType<typeof under>, across: number): readonly [number, number] => {
    const radians = (place.headingDeg * Math.PI) / 180;
    return [place.x - Math.sin(radians) * across, place.y + Math.cos(radians) * across];
  };
  return {
    map: (x, y) => off(under(x), aside + (y - look.pivot.y) * scale.down * flips),
    under: (x) => {
      const place = under(x);
      const [px, py] = off(place, aside);
      return { x: px, y: py, headingDeg: place.headingDeg };
    },
    scale,
    flips,
  };
}

export interface BentPicture {
  readonly silhouette: string;
  /** The slices of the picture from left to right: their widths add up to its own. */
  readonly slices: readonly Slice[];
}

/**
 * A rider's picture bent along its arc on a frame: what is right in the picture lies ahead, what is up in it to the left
 * of the arc. Each slice is as wide as in the picture and turned with the arc under its middle.
 * @param i index of the frame, from 0
 */
export function bentPicture(rider: RiderTravel, travel: Travel, look: Look, i: number): BentPicture {
  const { map, under, scale, flips } = stripOn(rider, travel, look, i);
  const width = look.width / SLICES;
  const slices = Array.from({ length: SLICES }, (_, k): Slice => {
    const from = k * width;
    const middle = from + width / 2;
    const { x, y, headingDeg } = under(middle);
    const radians = (headingDeg * Math.PI) / 180;
    const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
    const [a, b] = [cos * scale.across, sin * scale.across];
    const [c, d] = [-sin * scale.down * flips, cos * scale.down * flips];
    const placement = {
      a,
      b,
      c,
      d,
      e: x - a * middle - c * look.pivot.y,
      f: y - b * middle - d * look.pivot.y,
    };
    return { from, width, placement };
  });
  return { silhouette: bentSilhouette(look, map, width), slices };
}
