import type { Figure, Move, Rider } from './schema';

/** How a figure rides its arc that nothing was said about. */
export const PLAIN_RIDING = {
  mirrored: false,
  backwards: 'keeps',
  cornerFrames: 0,
  smoothFrames: 0,
  lean: { by: 'none', mostDeg: 12, smoothFrames: 6 },
  sizesApart: false,
  offsetIn: 'field',
  drawings: [],
  cycle: null,
  shakes: [],
  riders: [],
} as const satisfies Partial<Move>;

/** What a figure is besides its name, artwork and height when nobody said otherwise. */
export const PLAIN_FIGURE = {
  heightMm: null,
  pivot: null,
  frontDeg: 0,
  drawingPairs: [],
  followedSpots: [],
  isFixedToCamera: false,
  hidden: false,
  locked: false,
} as const satisfies Partial<Figure>;

export const PLAIN_RIDER = {
  ...PLAIN_FIGURE,
  follows: { by: 'distance', distance: 0 },
  rides: 'travels',
  arcId: null,
  onSecond: 'share',
  pastEnds: 'stay',
  offset: { x: 0, y: 0 },
  offsetIn: 'riding',
  turnsWithArc: true,
  correctionDeg: 0,
  mirrored: false,
  sizePercent: 100,
  opacityPercent: 100,
  bends: false,
  inFront: false,
} as const satisfies Partial<Rider>;
