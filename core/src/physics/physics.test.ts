import { fc } from '../testing/property';
import { agm, jacobi } from './elliptic';
import { bouncingAt, fallenAt, fallSeconds, hits, tops, tossedAt, tossSeconds } from './falling';
import { metres, miniatureTime, millimetres } from './gravity';
import { angleAt, swingSeconds, turns } from './pendulum';
import { accelerationOn, rolledAt, rollSeconds } from './rolling';

const RATE = 24;

describe('a pendulum', () => {
  test('its period is exact for any angle', () => {
    expect(swingSeconds({ length: 0.25, fromDeg: 40 })).toBeCloseTo(1.034646, 6);
    expect(swingSeconds({ length: 0.25, fromDeg: 40 }) * RATE).toBeCloseTo(24.831, 3);
    expect(swingSeconds({ length: 1, fromDeg: 20 })).toBeCloseTo(2.021796, 6);
    expect(swingSeconds({ length: 0.12, fromDeg: 75 })).toBeCloseTo(0.777722, 6);
  });

  test('its angle frame by frame is that of the swing, not of a sine', () => {
    const angles = Array.from({ length: 9 }, (_, i) => angleAt({ length: 0.25, fromDeg: 40 }, i / RATE));
    const rounded = angles.map((deg) => Number(deg.toFixed(3)));
    expect(rounded).toEqual([40, 38.751, 35.072, 29.162, 21.362, 12.151, 2.125, -8.044, -17.672]);
  });

  test('it comes back after a period, and its motion obeys θ″ = −(g/l) sin θ', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 170, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (length, fromDeg, share) => {
          const pendulum = { length, fromDeg };
          const period = swingSeconds(pendulum);
          const t = share * period;
          expect(angleAt(pendulum, t + period)).toBeCloseTo(angleAt(pendulum, t), 6);
          const h = period * 1e-3;
          const [a, b, c] = [t, t + h, t + 2 * h].map((s) => (angleAt(pendulum, s) * Math.PI) / 180) as [
            number,
            number,
            number,
          ];
          const pull = (9.80665 / length) * Math.sin(b);
          expect(((a - 2 * b + c) / (h * h) + pull) / (9.80665 / length)).toBeCloseTo(0, 2);
        },
      ),
    );
  });

  test('with loss it turns back earlier each time, and the period follows the swing that is left', () => {
    const damped = { length: 0.25, fromDeg: 40, damping: 0.19 };
    const found = turns(damped, 5);
    expect(found.map(({ angleDeg }) => Number(angleDeg.toFixed(6)))).toEqual([40, -36, 32.4, -29.16, 26.244]);
    const halves = found.slice(1).map(({ seconds }, i) => seconds - found[i]!.seconds);
    halves.slice(1).forEach((half, i) => expect(half).toBeLessThan(halves[i]!));
    for (const { seconds, angleDeg } of found) expect(angleAt(damped, seconds)).toBeCloseTo(angleDeg, 6);
    expect(angleAt(damped, 600)).toBeCloseTo(0, 6);
  });
});

test('elliptic functions: known values, and sn² + cn² = 1', () => {
  expect(agm(1, Math.SQRT1_2)).toBeCloseTo(0.847213084793979, 14);
  // Abramowitz and Stegun, example 16.4: u = 0.2, m = 0.81.
  const { sn, cn, dn } = jacobi(0.2, 0.9);
  expect([sn, cn, dn]).toEqual([
    expect.closeTo(0.19762, 4),
    expect.closeTo(0.98028, 4),
    expect.closeTo(0.98405, 4),
  ]);
  for (const k of [0, 0.3, 0.99]) {
    const at = jacobi(1.3, k);
    expect(at.sn ** 2 + at.cn ** 2).toBeCloseTo(1, 12);
  }
});

describe('what falls', () => {
  test('200 mm, frame by frame; looked at as a miniature of 1 : 6', () => {
    expect(fallSeconds(metres(200))).toBeCloseTo(0.201962, 6);
    expect(fallSeconds(metres(200)) * RATE).toBeCloseTo(4.847, 3);
    const fallen = [0, 1, 2, 3, 4].map((i) =>
      Number(millimetres(fallenAt(metres(200), i / RATE)).toFixed(2)),
    );
    expect(fallen).toEqual([0, 8.51, 34.05, 76.61, 136.2]);
    expect(fallSeconds(metres(200)) * miniatureTime(6)).toBeCloseTo(0.494704, 5);
    expect(fallSeconds(metres(200)) * miniatureTime(6) * RATE).toBeCloseTo(11.873, 3);
  });

  test('bounces from 500 mm that keep 0.6 of their speed', () => {
    const ball = { height: metres(500), restitution: 0.6 };
    expect(hits(ball, 4).map((t) => Number(t.toFixed(4)))).toEqual([0.3193, 0.7025, 0.9324, 1.0704]);
    expect(tops(ball, 3).map((h) => Number(millimetres(h).toFixed(2)))).toEqual([180, 64.8, 23.33]);
    for (const t of hits(ball, 4)) expect(bouncingAt(ball, t)).toBeCloseTo(0, 9);
    const [first, second] = hits(ball, 2) as [number, number];
    expect(bouncingAt(ball, (first + second) / 2)).toBeCloseTo(0.18, 9);
    expect(bouncingAt(ball, 60)).toBe(0);
  });

  test('a toss of 300 mm, up and back', () => {
    expect(tossSeconds(metres(300))).toBeCloseTo(0.494704, 5);
    expect(tossSeconds(metres(300)) * RATE).toBeCloseTo(11.873, 3);
    expect(tossedAt(0.3, tossSeconds(0.3) / 2)).toBeCloseTo(0.3, 12);
    expect([tossedAt(0.3, 0), tossedAt(0.3, tossSeconds(0.3))]).toEqual([
      expect.closeTo(0, 12),
      expect.closeTo(0, 12),
    ]);
  });

  test('down a slope: a ball is slower than what slides', () => {
    const slope = { steepDeg: 30, rolls: 'slides' } as const;
    expect(accelerationOn(slope)).toBeCloseTo(4.903325, 6);
    expect(rollSeconds({ steepDeg: 30, rolls: 'ball' }, 1) / rollSeconds(slope, 1)).toBeCloseTo(
      Math.sqrt(1.4),
      9,
    );
    expect(rolledAt(slope, 1, rollSeconds(slope, 1) / 2)).toBeCloseTo(0.25, 9);
    expect(rolledAt({ steepDeg: 90, rolls: 'slides' }, 0.2, 1 / RATE)).toBeCloseTo(
      fallenAt(0.2, 1 / RATE),
      12,
    );
  });
});
