import { measureArc, pointAtDistance } from './arcMeasure';
import { closedPoints, closesStroke, withEndsMet } from './closedStroke';
import { fitStroke } from './fitStroke';
import { arcOf } from '../testing/shapes';

/** A hand that goes round a circle and stops a little before where it began. */
const round = (degrees: number, radius = 300) =>
  Array.from({ length: degrees + 1 }, (_, i) => {
    const angle = (i * Math.PI) / 180;
    return { x: 900 + radius * Math.sin(angle), y: 500 - radius * Math.cos(angle) };
  });

test('a stroke that ends where it began closes; one that stops short, or is a dot, does not', () => {
  expect(closesStroke(round(356), 40)).toBe(true);
  expect(closesStroke(round(300), 40)).toBe(false);
  expect(closesStroke(round(356, 20), 40)).toBe(false);
  expect(closesStroke([], 40)).toBe(false);
});

test('a round stroke becomes a round arc without a corner at its seam', () => {
  const met = withEndsMet(round(356));
  expect(met.at(-1)).toEqual(met[0]);
  const arc = { ...arcOf(closedPoints(fitStroke(met, { allowedDeviation: 3 }))), closed: true };
  const measure = measureArc(arc);
  expect(measure.length).toBeCloseTo(2 * Math.PI * 300, -2);
  // All the way round, over the seam too, it is off by no more than the 21 units that were missing.
  for (let share = -0.05; share <= 1.05; share += 0.05) {
    const { x, y } = pointAtDistance(arc, ((share + 1) % 1) * measure.length);
    expect(Math.abs(Math.hypot(x - 900, y - 500) - 300)).toBeLessThan(21);
  }
  const [seam] = arc.points;
  expect(seam!.kind).toBe('smooth');
  expect(seam!.in.x * seam!.out.y - seam!.in.y * seam!.out.x).toBeCloseTo(0, 6);
});

test('a drop keeps its point', () => {
  const side = Array.from({ length: 41 }, (_, i) => ({ x: 500 + 5 * i, y: 300 + 10 * i }));
  const bottom = Array.from({ length: 37 }, (_, i) => ({
    x: 600 + 100 * Math.cos((i * Math.PI) / 36),
    y: 700 + 60 * Math.sin((i * Math.PI) / 36),
  }));
  const back = Array.from({ length: 41 }, (_, i) => ({ x: 500, y: 700 - 10 * i }));
  const met = withEndsMet([...side, ...bottom, ...back]);
  const [tip] = closedPoints(fitStroke(met, { allowedDeviation: 3 }));
  expect(tip!.kind).toBe('corner');
});
