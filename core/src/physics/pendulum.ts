import { agm, jacobi } from './elliptic';
import { GRAVITY } from './gravity';

const radians = (deg: number): number => (deg * Math.PI) / 180;
const degrees = (rad: number): number => (rad * 180) / Math.PI;

export interface Pendulum {
  readonly length: number;
  /** How far it is let go from hanging straight, degrees, 0 to below 180. */
  readonly fromDeg: number;
  /** Share of the swing that is lost in each full swing, there and back, 0 to below 1; 0 when nothing is said. */
  readonly damping?: number;
}

/** Seconds of a full swing: 2π√(l/g) / agm(1, cos θ/2), exact for any angle. */
export const swingSeconds = ({ length, fromDeg }: Pick<Pendulum, 'length' | 'fromDeg'>): number =>
  (2 * Math.PI * Math.sqrt(length / GRAVITY)) / agm(1, Math.cos(radians(fromDeg) / 2));

/** Angle of a swing without loss, degrees, so many seconds after its turning point: θ = 2 asin(k cd(√(g/l) t, k)). */
function freeAngle(length: number, fromDeg: number, seconds: number): number {
  const k = Math.sin(radians(fromDeg) / 2);
  const { cn, dn } = jacobi(Math.sqrt(GRAVITY / length) * seconds, k);
  return degrees(2 * Math.asin(Math.min(1, Math.max(-1, (k * cn) / dn))));
}

/** A turning point of a swing: when it is reached, and at which angle. */
export interface Turn {
  readonly seconds: number;
  readonly angleDeg: number;
}

/** The turning points from the first on, the one that it is let go at. The period follows the swing that is left. */
export function turns({ length, fromDeg, damping = 0 }: Pendulum, count: number): readonly Turn[] {
  const kept = Math.sqrt(1 - damping);
  const quarter = (deg: number): number => swingSeconds({ length, fromDeg: Math.abs(deg) }) / 4;
  const all: Turn[] = [{ seconds: 0, angleDeg: fromDeg }];
  while (all.length < count) {
    const { seconds, angleDeg } = all[all.length - 1]!;
    const next = -angleDeg * kept;
    all.push({ seconds: seconds + quarter(angleDeg) + quarter(next), angleDeg: next });
  }
  return all;
}

/**
 * Angle of a pendulum from hanging straight, degrees. What is lost is lost as it goes through the lowest point: each
 * quarter of a swing is exact for the angle that it goes from or comes to.
 * @param seconds since it was let go, ≥ 0
 */
export function angleAt(pendulum: Pendulum, seconds: number): number {
  const { length, damping = 0 } = pendulum;
  if (pendulum.fromDeg === 0) return 0;
  if (damping === 0) return freeAngle(length, pendulum.fromDeg, seconds);
  const kept = Math.sqrt(1 - damping);
  const quarter = (deg: number): number => swingSeconds({ length, fromDeg: Math.abs(deg) }) / 4;
  let [began, from] = [0, pendulum.fromDeg];
  for (;;) {
    const to = -from * kept;
    const middle = began + quarter(from);
    const end = middle + quarter(to);
    if (seconds <= middle) return Math.sign(from) * freeAngle(length, Math.abs(from), seconds - began);
    if (seconds <= end || Math.abs(to) < 1e-9)
      return Math.sign(to) * freeAngle(length, Math.abs(to), Math.min(0, seconds - end));
    [began, from] = [end, to];
  }
}
