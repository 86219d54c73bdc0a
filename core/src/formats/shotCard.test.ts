import { BLOCKING_SHOTS, heavyShot } from '../testing/heavyShots';
import { CARD_BYTES, shotCard } from './shotCard';

// The largest of these are sent to a real server by the hardening tests; here a tenth of their points is enough.
const lighter = BLOCKING_SHOTS.map(
  ([name, heavy]) => [name, { ...heavy, points: Math.min(500, heavy.points ?? 4) }] as const,
);

test.each(lighter)('the card of a shot with %s is light, and shows arcs and figures', (_, heavy) => {
  const card = shotCard(heavyShot({ ...heavy, marks: Math.min(heavy.marks ?? 2, 500) }));
  expect(JSON.stringify(card).length).toBeLessThanOrEqual(CARD_BYTES);
  expect(card.arcs.length).toBeGreaterThan(0);
  expect(card.ghosts.length).toBeGreaterThan(0);
  expect(card.ticks).not.toBe('');
});
