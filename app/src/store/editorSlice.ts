import type { CopiedMarks, Easing, Later, PointShape, Reach, Vector } from '@humble/core';
import { createSlice, isAnyOf, type PayloadAction } from '@reduxjs/toolkit';
import { ActionTypes } from 'redux-undo';
import { documentClosed, documentOpened, stepChosen } from './sessionSlice';
import { edited } from './shotSlice';
import type {
  Tool,
  ActsFor,
  Sketch,
  ArcLocation,
  About,
  PickedRange,
  Thinning,
  TimeOf,
  EditorState,
} from './editorState';

export type * from './editorState';

const initialState: EditorState = {
  tool: 'shape',
  activeArcId: null,
  activeFigureId: null,
  soloFigureId: null,
  looksThrough: false,
  flip: null,
  activeRiderId: null,
  selectedPointIds: [],
  arcLocation: null,
  isSelectingSeveral: false,
  about: 'middle',
  centre: null,
  sketch: null,
  strokeMeans: null,
  tappedCorners: [],
  placed: [],
  measured: null,
  selectedMarkIds: [],
  pickedRange: null,
  timeOf: 'figure',
  laterMarks: 'follow',
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
        tappedCorners: [],
        placed: [],
        measured: null,
      }),
    },
    thinningProgressed: (state, { payload }: PayloadAction<Thinning | null>) => {
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
      activeRiderId: null,
      selectedMarkIds: [],
      pickedRange: null,
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
        activeRiderId: null,
        activeArcId: arcId ?? now.activeArcId,
        selectedMarkIds: [],
        pickedRange: null,
        tool: 'shape',
      };
    },
    flipChosen: (state, { payload }: PayloadAction<readonly [number, number] | null>): EditorState => ({
      ...(state as EditorState),
      flip: payload,
    }),
    riderChosen: (state, { payload }: PayloadAction<string | null>) => {
      state.activeRiderId = payload;
    },
    lookedThrough: (state, { payload }: PayloadAction<boolean>) => {
      state.looksThrough = payload;
    },
    figureSoloed: (state, { payload }: PayloadAction<string | null>) => {
      state.soloFigureId = payload;
    },
    pointsSelected: (state, { payload }: PayloadAction<readonly string[]>): EditorState => ({
      ...(state as EditorState),
      selectedPointIds: payload,
      arcLocation: null,
    }),
    arcLocationSelected: (state, { payload }: PayloadAction<ArcLocation | null>): EditorState => ({
      ...(state as EditorState),
      arcLocation: payload,
      selectedPointIds: [],
    }),
    selectingSeveralSet: (state, { payload }: PayloadAction<boolean>) => {
      state.isSelectingSeveral = payload;
    },
    transformCentreChosen: (state, { payload }: PayloadAction<About>) => {
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
    cornersTapped: (state, { payload }: PayloadAction<readonly Vector[]>): EditorState => ({
      ...(state as EditorState),
      tappedCorners: payload,
    }),
    pointsPlaced: (state, { payload }: PayloadAction<readonly PointShape[]>): EditorState => ({
      ...(state as EditorState),
      placed: payload,
    }),
    marksSelected: (state, { payload }: PayloadAction<readonly string[]>): EditorState => ({
      ...(state as EditorState),
      selectedMarkIds: payload,
    }),
    rangePicked: (state, { payload }: PayloadAction<PickedRange | null>): EditorState => ({
      ...(state as EditorState),
      pickedRange: payload,
    }),
    timeOfChosen: (state, { payload }: PayloadAction<TimeOf>) => {
      state.timeOf = payload;
    },
    laterMarksChosen: (state, { payload }: PayloadAction<Later>) => {
      state.laterMarks = payload;
    },
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
    formerEasingKept: (
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
          looksThrough,
          flip,
          selectedMarkIds,
          pickedRange,
          timeOf,
          laterMarks,
          formerEasings,
          copied,
          copiedKeys,
        } = now;
        return {
          ...initialState,
          activeArcId,
          activeFigureId,
          soloFigureId,
          looksThrough,
          flip,
          selectedMarkIds,
          pickedRange,
          timeOf,
          laterMarks,
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
  cornersTapped,
  transformCentreChosen,
  arcActivated,
  centreChosen,
  formerEasingKept,
  figureActivated,
  figureSoloed,
  lookedThrough,
  flipChosen,
  keysCopied,
  keysSelected,
  laterMarksChosen,
  lineLaid,
  marksCopied,
  marksSelected,
  offsetReachChosen,
  arcLocationSelected,
  pointsPlaced,
  pointsSelected,
  rangePicked,
  reachChosen,
  riderChosen,
  selectingSeveralSet,
  sketched,
  strokeAsked,
  thinningProgressed,
  timeOfChosen,
  toolChosen,
} = editor.actions;
export const editorReducer = editor.reducer;
