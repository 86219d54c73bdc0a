import type { Shot } from '@humble/core';
import type { ShotFinding } from '@humble/core/checks';
import type { TakesAlign } from '@humble/core/views';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { documentClosed, documentOpened } from './sessionSlice';

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
}

const initialState: ReviewState = { compared: null, checked: null, shownFinding: null };

const review = createSlice({
  name: 'review',
  initialState,
  reducers: {
    takeCompared: (state, { payload }: PayloadAction<Compared | null>): ReviewState => ({
      ...(state as ReviewState),
      compared: payload,
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
    build.addCase(documentOpened, () => initialState).addCase(documentClosed, () => initialState),
});

export const { takeCompared, findingsFound, findingShown } = review.actions;
export const reviewReducer = review.reducer;
