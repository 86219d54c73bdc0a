import type { EditArguments, Shot } from '@humble/core';
import type { ShotFinding } from '@humble/core/checks';
import type { TakesAlign } from '@humble/core/views';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { documentClosed, documentOpened } from './sessionSlice';
import { edited } from './shotSlice';

export interface Compared {
  readonly takeId: string;
  readonly align: TakesAlign;
  /** Whether playback shows one after the other, instead of both together. */
  readonly byTurns: boolean;
}

export interface Checked {
  readonly shot: Shot;
  readonly findings: readonly ShotFinding[];
}

/** What is looked at to judge a shot: another take, and what the checks found. */
export interface ReviewState {
  readonly compared: Compared | null;
  readonly checked: Checked | null;
  /** The finding that is pointed at in all views; null for none. */
  readonly shownFinding: ShotFinding | null;
  /** A replanning that is looked at before it is taken; null for none. */
  readonly proposedReplan: EditArguments<'replan'> | null;
}

const initialState: ReviewState = {
  compared: null,
  checked: null,
  shownFinding: null,
  proposedReplan: null,
};

const review = createSlice({
  name: 'review',
  initialState,
  reducers: {
    takeCompared: (state, { payload }: PayloadAction<Compared | null>): ReviewState => ({
      ...(state as ReviewState),
      compared: payload,
    }),
    replanProposed: (state, { payload }: PayloadAction<ReviewState['proposedReplan']>): ReviewState => ({
      ...(state as ReviewState),
      proposedReplan: payload,
    }),
    findingsFound: (state, { payload }: PayloadAction<Checked>): ReviewState => ({
      ...(state as ReviewState),
      checked: payload,
    }),
    findingShown: (state, { payload }: PayloadAction<ShotFinding | null>): ReviewState => ({
      ...(state as ReviewState),
      shownFinding: payload,
    }),
  },
  extraReducers: (build) =>
    build
      // Whatever else is changed, what was looked at is no longer what would come of it.
      .addCase(edited, (state) =>
        state.proposedReplan ? { ...(state as ReviewState), proposedReplan: null } : (state as ReviewState),
      )
      .addCase(documentOpened, () => initialState)
      .addCase(documentClosed, () => initialState),
});

export const { replanProposed, takeCompared, findingsFound, findingShown } = review.actions;
export const reviewReducer = review.reducer;
