/** A long path is drawn in so many pieces: where one thing changes, one piece is drawn anew and not all. */
export const CHUNK_COUNT = 8;

type Row<Thing> = ArrayLike<Thing>;

export interface Chunk {
  readonly from: number;
  readonly until: number;
}

export const wholeOf = ({ length }: Row<unknown>): Chunk => ({ from: 0, until: length });

interface ChunkedPathOptions<Thing, How> {
  /** Path data of a piece. It may look at the thing before its first. */
  readonly write: (things: Row<Thing>, piece: Chunk, how: How) => string;
  readonly isSame: (a: Thing, b: Thing) => boolean;
}

/** Where a piece of a row begins; the last one ends where the next would begin. */
const startOf = (piece: number, count: number): number => Math.round((piece * count) / CHUNK_COUNT);

/**
 * Writes a path in pieces. A piece is written again only when a thing in it, or the one before, or how it is
 * drawn has changed; `how` is compared by identity.
 */
export function createChunkedPath<Thing, How>({
  write,
  isSame,
}: ChunkedPathOptions<Thing, How>): (things: Row<Thing>, how: How) => readonly string[] {
  let last: { readonly things: Row<Thing>; readonly how: How; readonly pieces: readonly string[] } | null =
    null;
  return (things, how) => {
    const before = last;
    if (before?.things === things && before.how === how) return before.pieces;
    const isKept = (from: number, until: number): boolean => {
      if (before?.how !== how || before.things.length !== things.length) return false;
      for (let i = Math.max(0, from - 1); i < until; i++)
        if (!isSame(before.things[i]!, things[i]!)) return false;
      return true;
    };
    const pieces = Array.from({ length: CHUNK_COUNT }, (_, piece) => {
      const [from, until] = [startOf(piece, things.length), startOf(piece + 1, things.length)];
      return isKept(from, until) ? before!.pieces[piece]! : write(things, { from, until }, how);
    });
    last = { things, how, pieces };
    return pieces;
  };
}
