import type {
  CopiedKeys,
  CopiedMarks,
  Easing,
  EasingKind,
  PointShape,
  Reach,
  ThinWish,
  TrackName,
  Vector,
  Later,
} from '@humble/core';
import type { StrokeUse } from '@humble/core/views';

/**
 * What the next press on the field does: shape what is there, draw a stroke, place points one by one,
 * choose a centre to turn about, lay a line over something of known length, move the backdrop, put the
 * figure in place, or record a gesture of the hand.
 */
export type Tool =
  'shape' | 'stroke' | 'points' | 'centre' | 'calibrate' | 'backdrop' | 'pose' | 'act' | 'corners';

/** Whom a gesture is for: the figure that is worked on, or a further one. */
export type ActsFor = 'this' | 'further';

/** What a stroke is to become: one of the core's uses, or an arc of its own. */
export type SketchUse = StrokeUse | { readonly kind: 'fresh' };

/** A stroke that is not settled yet: how closely it is followed and what it becomes can still change. */
export interface Sketch {
  readonly samples: readonly Vector[];
  readonly deviation: number;
  /** It ends where it began: as an arc of its own it is a closed one. */
  readonly closes: boolean;
  /** The arc it could go on; null when there was none to choose. */
  readonly arcId: string | null;
  readonly uses: readonly SketchUse[];
  readonly use: SketchUse;
  readonly fitted: readonly PointShape[] | null;
  readonly isFitting: boolean;
  /** The edit it made, for a first stroke, which is an arc at once; null while it changes nothing. */
  readonly undoGroup: string | null;
}

export interface ArcLocation {
  readonly segment: number;
  readonly t: number;
}

export type About = 'middle' | 'figure' | 'chosen';

/** What was chosen to be read in all views: some frames, or a stretch of the arc in shares of its length. */
export type PickedRange =
  | { readonly by: 'frames'; readonly from: number; readonly until: number }
  | { readonly by: 'stretch'; readonly from: number; readonly to: number };

export type TimeOf = 'figure' | 'all';

/** How much of it is done, 0 to 1, and what was wished for. */
export interface Thinning {
  readonly share: number;
  readonly wish: ThinWish;
}

export type FormerEasings = Partial<Readonly<Record<EasingKind, Easing>>>;

export interface EditorState {
  readonly tool: Tool;
  readonly activeArcId: string | null;
  /** The figure being worked on, where it was chosen itself; null stands for the first one on the active arc. */
  readonly activeFigureId: string | null;
  /** The only figure that is to be seen; null for all. */
  readonly soloFigureId: string | null;
  /** The field shows what the camera sees. */
  readonly looksThrough: boolean;
  /** Two frames to flip between; null stands for those of the cycle, or the ends of the move. */
  readonly flip: readonly [number, number] | null;
  readonly activeRiderId: string | null;
  readonly selectedPointIds: readonly string[];
  readonly arcLocation: ArcLocation | null;
  /** Dragging over the ground selects points; for fingers, which have no Shift. */
  readonly isSelectingSeveral: boolean;
  readonly about: About;
  readonly centre: Vector | null;
  readonly sketch: Sketch | null;
  /** What the next stroke is meant for, when the user said so beforehand. */
  readonly strokeMeans: 'anew' | 'fresh' | null;
  /** Corners of a sheet on the set that were tapped so far, of four. */
  readonly tappedCorners: readonly Vector[];
  /** Points placed so far; handles that were steered are theirs, the others follow the neighbours. */
  readonly placed: readonly PointShape[];
  readonly measured: { readonly from: Vector; readonly to: Vector } | null;
  readonly selectedMarkIds: readonly string[];
  readonly pickedRange: PickedRange | null;
  readonly timeOf: TimeOf;
  /** What becomes of marks after a passage whose length changes. */
  readonly laterMarks: Later;
  readonly actsFor: ActsFor;
  readonly thinning: Thinning | null;
  readonly reach: Reach;
  /** How far a changed offset reaches: it has one value on all frames unless it is said otherwise. */
  readonly offsetReach: Reach;
  readonly selectedKeys: { readonly track: TrackName; readonly ids: readonly string[] } | null;
  /** Keys to be pasted; they outlive the shot they were copied in. */
  readonly copiedKeys: { readonly track: TrackName; readonly keys: CopiedKeys } | null;
  /** The easings that a mark or a key had before, by its id and by kind: going back to one finds its numbers. */
  readonly formerEasings: Readonly<Record<string, FormerEasings>>;
  /** Marks to be pasted; they outlive the shot they were copied in. */
  readonly copied: CopiedMarks | null;
}
