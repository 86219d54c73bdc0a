import { gestureFrom, type PointerSample, type RawGesture } from '@humble/core/views';

const SECONDS = 300;
const HERTZ = 120;
/** Every third leg of so many seconds is a rest. */
const LEG = 5;

/** Five minutes of a hand at 120 reports a second, with rests, all of it trembling. */
export function longGesture(): RawGesture {
  let seed = 7;
  const tremble = (): number => {
    seed = (seed * 16_807) % 2_147_483_647;
    return (seed / 2_147_483_647 - 0.5) * 1.5;
  };
  const samples = Array.from({ length: SECONDS * HERTZ }, (_, i): PointerSample => {
    const time = i / HERTZ;
    const leg = Math.floor(time / LEG);
    const t = leg % 3 === 2 ? leg * LEG : time;
    return {
      x: 960 + 700 * Math.sin(t * 0.9) + 60 * Math.sin(t * 5) + tremble(),
      y: 540 + 400 * Math.sin(t * 1.37) + tremble(),
      ms: time * 1000,
    };
  });
  return gestureFrom(samples, 1);
}
