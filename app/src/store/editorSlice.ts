import type {
  CopiedKeys,
  CopiedMarks,
  Easing,
  EasingKind,
  PointShape,
  Reach,
  StrokeUse,
  TrackName,
  Vector,
} from '@humble/core';
import { createSlice, isAnyOf, type PayloadAction } from '@reduxjs/toolkit';
import { ActionTypes } from 'redux-undo';
import { documentClosed, documentOpened, stepChosen } from './sessionSlice';
import { edited } from './shotSlice';

/**
 * What the next press on the field does: shape what is there, draw a stroke, place points one by one,
 * choose a centre to turn about, lay a line over something of known length, move the backdrop, put the
 * figure in place, or record a gesture of the hand.
 */
export type Tool = 'shape' | 'stroke' | 'points' | 'centre' | 'calibrate' | 'backdrop' | 'pose' | 'act';

/** Whom a gesture is for: the figure that is worked on, or a further one. */
export type ActsFor = 'this' | 'further';

/** What a stroke is to become: one of the core's uses, or an arc of its own. */
export type SketchUse = StrokeUse | { readonly kind: 'fresh' };

/** A stroke that is not settled yet: how closely it is followed and what it becomes can still change. */
export interface Sketch {
  readonly samples: readonly Vector[];
  /** How far the arc may lie from the stroke, field units. */
  readonly deviation: number;
  /** The arc it could go on; null when there was none to choose. */
  readonly arcId: string | null;
  /** All it can become, the likeliest first. */
  readonly uses: readonly SketchUse[];
  readonly use: SketchUse;
  /** Points fitted to it; null until there are any. */
  readonly fitted: readonly PointShape[] | null;
  /** Points are being fitted for what is wished now; `fitted` is from before. */
  readonly isFitting: boolean;
  /** The edit it made, for a first stroke, which is an arc at once; null while it changes nothing. */
  readonly undoGroup: string | null;
}

/** A place on the active arc, between its points. */
export interface ArcLocation {
  readonly segment: number;
  readonly t: number;
}

/** About what a selection is turned, scaled and mirrored. */
export type About = 'middle' | 'figure' | 'chosen';

/** What was chosen to be read in all views: some frames, or a stretch of the arc in shares of its length. */
export type Chosen =
  | { readonly by: 'frames'; readonly from: number; readonly until: number }
  | { readonly by: 'stretch'; readonly from: number; readonly to: number };

/** How much of it is done, 0 to 1, and how far it may be off, field units. */
export interface Thinning {
  readonly share: number;
  readonly allowedDeviation: number;
}

/** The latest easing of each kind that was left for another. */
export type FormerEasings = Partial<Readonly<Record<EasingKind, Easing>>>;

export interface EditorState {
  readonly tool: Tool;
  /** The arc being worked on; null stands for the first one. */
  readonly activeArcId: string | null;
  /** The figure being worked on, where it was chosen itself; null stands for the first one on the active arc. */
  readonly activeFigureId: string | null;
  /** The only figure that is to be seen; null for all. */
  readonly soloFigureId: string | null;
  readonly selectedPointIds: readonly string[];
  readonly arcLocation: ArcLocation | null;
  /** Dragging over the ground selects points; for fingers, which have no Shift. */
  readonly isSelectingSeveral: boolean;
  readonly about: About;
  /** The centre the user chose, field units. */
  readonly centre: Vector | null;
  readonly sketch: Sketch | null;
  /** What the next stroke is meant for, when the user said so beforehand. */
  readonly strokeMeans: 'anew' | 'fresh' | null;
  /** Points placed so far; handles that were steered are theirs, the others follow the neighbours. */
  readonly placed: readonly PointShape[];
  /** The line laid over something of known length. */
  readonly measured: { readonly from: Vector; readonly to: Vector } | null;
  readonly selectedMarkIds: readonly string[];
  /** Frames or a stretch of the arc that is shown in all views. */
  readonly chosen: Chosen | null;
  readonly actsFor: ActsFor;
  /** The gesture that is being thinned; null when none is. */
  readonly thinning: Thinning | null;
  /** How far a value that is changed in a track reaches. */
  readonly reach: Reach;
  /** How far a changed offset reaches: it has one value on all frames unless it is said otherwise. */
  readonly offsetReach: Reach;
  /** Keys that are selected, of one track. */
  readonly selectedKeys: { readonly track: TrackName; readonly ids: readonly string[] } | null;
  /** Keys to be pasted; they outlive the shot they were copied in. */
  readonly copiedKeys: { readonly track: TrackName; readonly keys: CopiedKeys } | null;
  /** The easings that a mark or a key had before, by its id and by kind: going back to one finds its numbers. */
  readonly formerEasings: Readonly<Record<string, FormerEasings>>;
  /** Marks to be pasted; they outlive the shot they were copied in. */
  readonly copied: CopiedMarks | null;
}

const initialState: EditorState = {
  tool: 'shape',
  activeArcId: null,
  activeFigureId: null,
  soloFigureId: null,
  selectedPointIds: [],
  arcLocation: null,
  isSelectingSeveral: false,
  about: 'middle',
  centre: null,
  sketch: null,
  strokeMeans: null,
  placed: [],
  measured: null,
  selectedMarkIds: [],
  chosen: null,
  actsFor: 'this',
  thinning: null,
  reach: 'here',
  offsetReach: 'all',
  selectedKeys: null,
  copiedKeys: null,
  formerEasings: {},
  copied: null,
};

const letGo = {
  selectedPointIds: [],
  arcLocation: null,
  isSelectingSeveral: false,
} as const satisfies Partial<EditorState>;

const editor = createSlice({
  name: 'editor',
  initialState,
  reducers: {
    toolChosen: {
      prepare: (tool: Tool, actsFor: ActsFor = 'this') => ({ payload: { tool, actsFor } }),
      reducer: (
        state,
        { payload: { tool, actsFor } }: PayloadAction<{ tool: Tool; actsFor: ActsFor }>,
      ): EditorState => ({
        ...(state as EditorState),
        // A centre is chosen for what is selected.
        ...(tool === 'centre' || state.tool === 'centre' ? {} : letGo),
        tool,
        actsFor,
        strokeMeans: null,
        sketch: null,
        placed: [],
        measured: null,
      }),
    },
    thinningAt: (state, { payload }: PayloadAction<Thinning | null>) => {
      state.thinning = payload;
    },
    strokeAsked: (state, { payload }: PayloadAction<'anew' | 'fresh' | null>): EditorState => ({
      ...(state as EditorState),
      ...letGo,
      tool: 'stroke',
      strokeMeans: payload,
      sketch: null,
    }),
    arcActivated: (state, { payload }: PayloadAction<string | null>): EditorState => ({
      ...(state as EditorState),
      ...letGo,
      activeArcId: payload,
      activeFigureId: null,
      selectedMarkIds: [],
      chosen: null,
      tool: 'shape',
      sketch: null,
      placed: [],
      measured: null,
    }),
    figureActivated: (
      state,
      {
        payload: { figureId, arcId },
      }: PayloadAction<{ readonly figureId: string; readonly arcId: string | null }>,
    ): EditorState => {
      const now = state as EditorState;
      if (now.activeFigureId === figureId && (arcId ?? now.activeArcId) === now.activeArcId) return now;
      return {
        ...now,
        ...letGo,
        activeFigureId: figureId,
        activeArcId: arcId ?? now.activeArcId,
        selectedMarkIds: [],
        chosen: null,
        tool: 'shape',
      };
    },
    figureSoloed: (state, { payload }: PayloadAction<string | null>) => {
      state.soloFigureId = payload;
    },
    pointsSelected: (state, { payload }: PayloadAction<readonly string[]>): EditorState => ({
      ...(state as EditorState),
      selectedPointIds: payload,
      arcLocation: null,
    }),
    placeSelected: (state, { payload }: PayloadAction<ArcLocation | null>): EditorState => ({
      ...(state as EditorState),
      arcLocation: payload,
      selectedPointIds: [],
    }),
    severalSet: (state, { payload }: PayloadAction<boolean>) => {
      state.isSelectingSeveral = payload;
    },
    aboutChosen: (state, { payload }: PayloadAction<About>) => {
      state.about = payload;
    },
    centreChosen: (state, { payload }: PayloadAction<Vector>): EditorState => ({
      ...(state as EditorState),
      centre: payload,
      about: 'chosen',
      tool: 'shape',
    }),
    sketched: (state, { payload }: PayloadAction<Sketch | null>): EditorState => ({
      ...(state as EditorState),
      sketch: payload,
    }),
    pointsPlaced: (state, { payload }: PayloadAction<readonly PointShape[]>): EditorState => ({
      ...(state as EditorState),
      placed: payload,
    }),
    marksSelected: (state, { payload }: PayloadAction<readonly string[]>): EditorState => ({
      ...(state as EditorState),
      selectedMarkIds: payload,
    }),
    rangeChosen: (state, { payload }: PayloadAction<Chosen | null>): EditorState => ({
      ...(state as EditorState),
      chosen: payload,
    }),
    marksCopied: (state, { payload }: PayloadAction<CopiedMarks>): EditorState => ({
      ...(state as EditorState),
      copied: payload,
    }),
    reachChosen: (state, { payload }: PayloadAction<Reach>) => {
      state.reach = payload;
    },
    offsetReachChosen: (state, { payload }: PayloadAction<Reach>) => {
      state.offsetReach = payload;
    },
    keysSelected: (state, { payload }: PayloadAction<EditorState['selectedKeys']>): EditorState => ({
      ...(state as EditorState),
      selectedKeys: payload && payload.ids.length > 0 ? payload : null,
    }),
    keysCopied: (state, { payload }: PayloadAction<EditorState['copiedKeys']>): EditorState => ({
      ...(state as EditorState),
      copiedKeys: payload,
    }),
    easingLeft: (
      state,
      { payload: { id, easing } }: PayloadAction<{ readonly id: string; readonly easing: Easing }>,
    ): EditorState => {
      const { formerEasings, ...rest } = state as EditorState;
      return {
        ...rest,
        formerEasings: { ...formerEasings, [id]: { ...formerEasings[id], [easing.kind]: easing } },
      };
    },
    lineLaid: (state, { payload }: PayloadAction<EditorState['measured']>): EditorState => ({
      ...(state as EditorState),
      measured: payload,
    }),
  },
  extraReducers: (builder) => {
    builder
      // An edit of another kind settles a first stroke: the arc stays as it is.
      .addCase(edited, (state, { meta }): EditorState => {
        const now = state as EditorState;
        return now.sketch?.undoGroup && now.sketch.undoGroup !== meta.undoGroup
          ? { ...now, sketch: null }
          : now;
      })
      .addCase(stepChosen, (state, { payload }): EditorState => {
        // Leaving the Arc step lets go of all; choosing it once more does not.
        const now = state as EditorState;
        if (payload === 'arc') return now;
        const {
          activeArcId,
          activeFigureId,
          soloFigureId,
          selectedMarkIds,
          chosen,
          formerEasings,
          copied,
          copiedKeys,
        } = now;
        return {
          ...initialState,
          activeArcId,
          activeFigureId,
          soloFigureId,
          selectedMarkIds,
          chosen,
          formerEasings,
          copied,
          copiedKeys,
        };
      })
      // A step back or forward leaves nothing to be settled, and a place on an arc of another shape means nothing.
      .addMatcher(
        ({ type }: { type: string }) => type === ActionTypes.UNDO || type === ActionTypes.REDO,
        (state): EditorState => ({ ...(state as EditorState), sketch: null, arcLocation: null }),
      )
      .addMatcher(isAnyOf(documentOpened, documentClosed), ({ copied, copiedKeys }) => ({
        ...initialState,
        copied: copied as EditorState['copied'],
        copiedKeys: copiedKeys as EditorState['copiedKeys'],
      }));
  },
});

export const {
  aboutChosen,
  arcActivated,
  centreChosen,
  easingLeft,
  figureActivated,
  figureSoloed,
  keysCopied,
  keysSelected,
  lineLaid,
  marksCopied,
  marksSelected,
  offsetReachChosen,
  placeSelected: arcLocationSelected,
  pointsPlaced,
  pointsSelected,
  rangeChosen,
  reachChosen,
  severalSet,
  sketched,
  strokeAsked,
  thinningAt,
  toolChosen,
} = editor.actions;
export const editorReducer = editor.reducer;
