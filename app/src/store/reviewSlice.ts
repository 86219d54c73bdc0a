import type { EditArguments, Shot } from '@humble/core';
import type { ShotFinding } from '@humble/core/checks';
import type { TakesAlign } from '@humble/core/views';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { documentClosed, documentOpened } from './sessionSlice';
import { edited } from './shotSlice';

/** What a shot is compared with: another take of it, or itself as it was saved before. */
export type ComparedWith =
  | { readonly kind: 'take'; readonly takeId: string }
  | { readonly kind: 'version'; readonly revision: number; readonly name: string; readonly shot: Shot };

export interface Compared {
  readonly with: ComparedWith;
  readonly align: TakesAlign;
  /** Both together, one after the other while it plays, or the other one alone. */
  readonly shows: 'together' | 'turns' | 'alone';
}

/** How something is compared before anything else is said. */
export const PLAIN_COMPARISON: Omit<Compared, 'with'> = { align: { at: 'start' }, shows: 'together' };

export interface Checked {
  readonly shot: Shot;
  readonly findings: readonly ShotFinding[];
}

/** What is looked at to judge a shot: another take or an earlier version, and what the checks found. */
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
    comparisonChosen: (state, { payload }: PayloadAction<Compared | null>): ReviewState => ({
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
      .addCase(edited, (state) => {
        const { proposedReplan, compared, ...rest } = state as ReviewState;
        // Edits come with every move of a drag: what stays as it is stays the same object.
        if (proposedReplan === null && compared?.shows !== 'alone') return state as ReviewState;
        return {
          ...rest,
          // Whatever else is changed, what was looked at is no longer what would come of it.
          proposedReplan: null,
          // What is worked on is to be seen.
          compared: compared?.shows === 'alone' ? { ...compared, shows: 'together' } : compared,
        };
      })
      .addCase(documentOpened, () => initialState)
      .addCase(documentClosed, () => initialState),
});

export const { replanProposed, comparisonChosen, findingsFound, findingShown } = review.actions;
export const reviewReducer = review.reducer;
