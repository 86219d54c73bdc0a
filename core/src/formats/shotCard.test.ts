import { BLOCKING_SHOTS, heavyShot } from '../testing/heavyShots';
import { CARD_BYTES, shotCard } from './shotCard';

test.each(BLOCKING_SHOTS)('the card of a shot with %s is light, and shows arcs and figures', (_, heavy) => {
  const card = shotCard(heavyShot(heavy));
  expect(JSON.stringify(card).length).toBeLessThanOrEqual(CARD_BYTES);
  expect(card.arcs.length).toBeGreaterThan(0);
  expect(card.ghosts.length).toBeGreaterThan(0);
  expect(card.ticks).not.toBe('');
});
