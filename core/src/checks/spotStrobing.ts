import type { Check, CheckedTravel, Finding } from './check';
import { trailsOf } from './trails';

/** A followed spot whose steps are longer than its figure is high, where the figure itself stays behind. */
export const spotStrobing: Check<CheckedTravel> = {
  gravity: 'look',
  find: (checked) => {
    const { travel, frameNumber } = checked;
    const height = (frame: number): number =>
      (travel.figureHeight * Math.max(travel.tracks.size[frame - 1]!, 1)) / 100;
    return trailsOf(checked).flatMap(({ name, passings }) => {
      const apart = passings.filter(
        ({ at, pivot }) =>
          at.increment! > height(at.frame) && Math.hypot(...(pivot?.into ?? [0, 0])) <= height(at.frame),
      );
      const [first, last] = [apart[0], apart[apart.length - 1]];
      if (!first || !last) return [];
      const finding: Finding = {
        from: first.before.frame,
        until: last.at.frame,
        sentence: `“${name}” goes further than the figure is high in one step, from frame ${frameNumber(first.before.frame)} to ${frameNumber(last.at.frame)}: it will strobe.`,
        fix: null,
      };
      return [finding];
    });
  },
};
