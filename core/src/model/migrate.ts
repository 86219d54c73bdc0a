import { SHOT_VERSION } from './version';

/**
 * One step of a file from a version to the next. A step never changes once it was released, and uses no default
 * of today: what was written then is written out here.
 */
type Migration = (data: object) => object;

type Parts = readonly object[] | undefined;

const each = (parts: unknown, change: (part: object) => object): unknown =>
  Array.isArray(parts)
    ? parts.map((part: unknown) => (typeof part === 'object' && part !== null ? change(part) : part))
    : parts;

/**
 * Version 2 adds ready shapes, rounding, colours, hiding and locking of arcs, a backdrop, and what a
 * move holds on to when its arc changes.
 */
const toVersion2: Migration = (data) => {
  const { arcs, moves } = data as { arcs?: Parts; moves?: Parts };
  return {
    ...data,
    version: 2,
    backdrop: null,
    arcs: each(arcs, (arc) => ({
      ...arc,
      shape: null,
      colour: 'indigo',
      hidden: false,
      locked: false,
      points: each((arc as { points?: unknown }).points, (point) => ({ ...point, shaping: null })),
    })),
    moves: each(moves, (move) => ({ ...move, keeps: 'fractions' })),
  };
};

const toVersion3: Migration = (data) => {
  const { moves } = data as { moves?: Parts };
  return {
    ...data,
    version: 3,
    moves: each(moves, (move) => ({
      ...move,
      before: 'hold',
      after: 'hold',
      exposures: [],
      skips: [],
      overrides: [],
      marks: each((move as { marks?: unknown }).marks, (mark) => ({ ...mark, pointId: null, label: '' })),
    })),
  };
};

const toVersion4: Migration = (data) => ({
  ...data,
  version: 4,
  gestures: [],
  moves: each((data as { moves?: Parts }).moves, (move) => ({ ...move, acted: null })),
});

const toVersion5: Migration = (data) => ({ ...data, version: 5 });

const toVersion6: Migration = (data) => ({
  ...data,
  version: 6,
  moves: each((data as { moves?: Parts }).moves, (move) => ({ ...move, tracks: { turn: [] } })),
});

const toVersion7: Migration = (data) => ({
  ...data,
  version: 7,
  moves: each((data as { moves?: Parts }).moves, (move) => {
    const { turn } = ((move as { tracks?: unknown }).tracks ?? {}) as { turn?: unknown };
    return {
      ...move,
      mirrored: false,
      backwards: 'keeps',
      smoothFrames: 0,
      lean: { by: 'none', mostDeg: 12, smoothFrames: 6 },
      sizesApart: false,
      tracks: {
        turn: each(turn, (key) => ({ ...key, growth: 'even' })),
        size: [],
        sizeDown: [],
        opacity: [],
      },
    };
  }),
});

const turnedAbout = (degrees: unknown): unknown =>
  typeof degrees === 'number' ? degrees + (degrees > 0 ? -180 : 180) : degrees;

/**
 * Version 8 adds pictures as artwork, pivots, real heights, offsets, drawings by frames, blended corners, figures that
 * wait without an arc, hiding and locking. A mirrored figure that turns with its arc is mirrored across its way now,
 * which looks the same half a turn on.
 */
const toVersion8: Migration = (data) => {
  const { figures, moves } = data as { figures?: Parts; moves?: Parts };
  return {
    ...data,
    version: 8,
    waiting: [],
    figures: each(figures, (figure) => ({
      ...figure,
      heightMm: null,
      pivot: null,
      frontDeg: 0,
      hidden: false,
      locked: false,
    })),
    moves: each(moves, (move) => {
      const { tracks, mirrored, turnsWithArc, correctionDeg } = move as Record<string, unknown>;
      return {
        ...move,
        correctionDeg: mirrored && turnsWithArc ? turnedAbout(correctionDeg) : correctionDeg,
        cornerFrames: 0,
        offsetIn: 'field',
        drawings: [],
        cycle: null,
        tracks: { ...(tracks as object), offsetX: [], offsetY: [] },
      };
    }),
  };
};

const toVersion9: Migration = (data) => {
  const { figures, moves, waiting } = data as { figures?: Parts; moves?: Parts; waiting?: Parts };
  const withRiders = (move: object): object => ({ ...move, riders: [] });
  return {
    ...data,
    version: 9,
    figures: each(figures, (figure) => {
      const { artwork } = figure as { artwork?: { drawings?: unknown } };
      if (!artwork?.drawings) return figure;
      const drawings = each(artwork.drawings, (drawing) => ({ ...drawing, planted: null }));
      return { ...figure, artwork: { ...artwork, drawings } };
    }),
    moves: each(moves, withRiders),
    waiting: each(waiting, (one) => {
      const { move } = one as { move?: unknown };
      return typeof move === 'object' && move !== null ? { ...one, move: withRiders(move) } : one;
    }),
  };
};

/**
 * Version 10 adds takes, notes, cues, sound, thresholds of the checks, findings that were let be, and what a move was
 * timed with by its weight.
 */
const toVersion10: Migration = (data) => {
  const { moves, waiting } = data as { moves?: Parts; waiting?: Parts };
  const withTiming = (move: object): object => ({ ...move, letBe: [], physics: null });
  return {
    ...data,
    version: 10,
    moves: each(moves, withTiming),
    waiting: each(waiting, (one) => {
      const { move } = one as { move?: unknown };
      return typeof move === 'object' && move !== null ? { ...one, move: withTiming(move) } : one;
    }),
    takes: [{ id: 'take1', name: 'Take 1', kept: null }],
    notes: [],
    cues: [],
    sound: null,
    thresholds: {
      changeMm: 1,
      changeUnits: 4,
      changeShare: 0.5,
      handMm: 0.3,
      handUnits: 0.5,
      offShare: 1 / 3,
      turnDeg: 30,
      slipShare: 0.05,
      marginShare: 0.05,
    },
  };
};

/** By the version they start from. */
const MIGRATIONS: ReadonlyMap<number, Migration> = new Map([
  [1, toVersion2],
  [2, toVersion3],
  [3, toVersion4],
  [4, toVersion5],
  [5, toVersion6],
  [6, toVersion7],
  [7, toVersion8],
  [8, toVersion9],
  [9, toVersion10],
]);

const addsOnly =
  (version: number): Migration =>
  (data) => ({ ...data, version });

/** Data of any known version brought to the present one, unchecked. @param present for tests */
export function migrate(data: object, version: unknown, present: number = SHOT_VERSION): object {
  if (!Number.isInteger(version) || (version as number) < 1) return data;
  let current = data;
  for (let from = version as number; from < present; from++)
    current = (MIGRATIONS.get(from) ?? addsOnly(from + 1))(current);
  return current;
}
