import { MAX_SHOT_FRAMES } from '../model/limits';
import type { Cycle, Move, Skip } from '../model/schema';
import { remapKeys } from './tracks/remapKeys';

type Alongside = Pick<Move, 'exposures' | 'skips' | 'overrides' | 'letBe' | 'tracks' | 'drawings' | 'cycle'>;

interface OnFrame {
  readonly frame: number;
  readonly cut?: Skip['cut'];
}

/** Parts in the order of their frames, of those on one frame the first; what was taken out is on none. */
function distinct<Part extends OnFrame>(parts: readonly Part[]): Part[] {
  const seen = new Set<number>();
  return [...parts]
    .sort((a, b) => a.frame - b.frame)
    .filter(
      ({ frame, cut }) => frame >= 1 && (Boolean(cut) || (!seen.has(frame) && Boolean(seen.add(frame)))),
    );
}

const LATEST = MAX_SHOT_FRAMES + 1;

function remapCycle(cycle: Cycle, frameOf: (frame: number) => number): Cycle {
  const within = (frame: number): number => Math.min(LATEST, Math.max(1, frameOf(frame)));
  const from = within(cycle.from);
  return { ...cycle, from, until: cycle.until === null ? null : Math.max(from, within(cycle.until)) };
}

/**
 * What lies on a move's frames, taken along when its frames change. Of what comes to lie on one frame the
 * first is kept; ranges that are pushed together share what is left.
 * @param frameOf the new frame of a frame, whole and never falling
 */
export function remapFrames(move: Alongside, frameOf: (frame: number) => number): Alongside {
  let taken = 0;
  return {
    exposures: move.exposures.flatMap((range) => {
      const from = Math.max(taken + 1, frameOf(range.from));
      const until = frameOf(range.until + 1) - 1;
      if (until < from) return [];
      taken = until;
      return [{ ...range, from, until }];
    }),
    skips: distinct(move.skips.map((skip) => ({ ...skip, frame: frameOf(skip.frame) }))),
    overrides: distinct(move.overrides.map((override) => ({ ...override, frame: frameOf(override.frame) }))),
    letBe: move.letBe
      .map((one) => ({ ...one, frame: frameOf(one.frame) }))
      .filter(({ frame }) => frame >= 1 && frame <= LATEST),
    drawings: distinct(move.drawings.map((shown) => ({ ...shown, frame: frameOf(shown.frame) }))),
    cycle: move.cycle && remapCycle(move.cycle, frameOf),
    tracks: remapKeys(move.tracks, frameOf),
  };
}
