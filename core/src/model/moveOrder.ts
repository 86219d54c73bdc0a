import { TRACKS, type TrackName } from '../timing/tracks';

interface OnFrame {
  readonly frame: number;
}

interface InOrder {
  readonly marks: readonly OnFrame[];
  readonly overrides: readonly OnFrame[];
  readonly drawings: readonly OnFrame[];
  readonly tracks: Readonly<Record<TrackName, readonly OnFrame[]>>;
  readonly exposures: readonly { readonly from: number; readonly until: number }[];
  readonly skips: readonly (OnFrame & { readonly cut: object | null })[];
}

export type Complain = (path: PropertyKey[], message: string) => void;

/** Says what of a move does not follow in time. */
export function complainOfOrder(move: InOrder, path: readonly PropertyKey[], complain: Complain): void {
  const rising = (
    items: readonly { readonly frame: number }[],
    within: readonly PropertyKey[],
    sentence: string,
  ) =>
    items.forEach(({ frame }, j) => {
      const before = items[j - 1];
      if (before && frame <= before.frame) complain([...path, ...within, j, 'frame'], sentence);
    });
  rising(move.marks, ['marks'], 'marks must follow each other in time');
  rising(move.overrides, ['overrides'], 'frames must follow each other');
  rising(move.drawings, ['drawings'], 'frames must follow each other');
  for (const { name } of TRACKS)
    rising(move.tracks[name], ['tracks', name], 'keys must follow each other in time');
  move.exposures.forEach((range, j) => {
    const before = move.exposures[j - 1];
    if (range.until < range.from || (before && range.from <= before.until))
      complain([...path, 'exposures', j], 'ranges of exposures must follow each other');
  });
  move.skips.forEach(({ frame, cut }, j) => {
    const before = move.skips[j - 1];
    // What was taken out stands before a frame, not on it: several may stand before one.
    if (before && (frame < before.frame || (frame === before.frame && !cut && !before.cut)))
      complain([...path, 'skips', j, 'frame'], 'frames must follow each other');
  });
}
