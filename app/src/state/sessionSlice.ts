import type { Shot } from '@humble/core';
import { createSlice, nanoid, type PayloadAction } from '@reduxjs/toolkit';

export type Step = 'arc' | 'figure' | 'timing' | 'sheet';

/** How far the open shot's latest edits have come. */
export type SaveStatus =
  | 'saved'
  /** Kept on this device, on their way. */
  | 'unsaved'
  | 'saving'
  /** The server does not answer; kept on this device until it does. */
  | 'away'
  /** Someone else saved meanwhile. */
  | 'conflict'
  /** The server will not take it; kept on this device. */
  | 'refused';

export interface OpenDocument {
  readonly id: string;
  /** The revision that the edits are based on. */
  readonly revision: number;
  readonly status: SaveStatus;
}

export interface Message {
  readonly id: string;
  readonly text: string;
  /** A removed shot that the message offers to bring back. */
  readonly restoreId?: string;
}

export interface SessionState {
  readonly document: OpenDocument | null;
  /** What the server holds when it refused a stale save. */
  readonly theirs: { readonly revision: number; readonly shot: Shot } | null;
  /** The user looked at the conflict and will settle it later. */
  readonly isConflictPutOff: boolean;
  readonly step: Step;
  readonly message: Message | null;
}

const initialState: SessionState = {
  document: null,
  theirs: null,
  isConflictPutOff: false,
  step: 'arc',
  message: null,
};

const session = createSlice({
  name: 'session',
  initialState,
  reducers: {
    documentOpened: (state, { payload }: PayloadAction<OpenDocument & { readonly step: Step }>) => {
      const { step, ...document } = payload;
      Object.assign(state, { ...initialState, message: state.message, document, step });
    },
    documentClosed: (state) => {
      Object.assign(state, { ...initialState, message: state.message });
    },
    saveMoved: (
      state,
      { payload }: PayloadAction<{ readonly status: SaveStatus; readonly revision?: number }>,
    ) => {
      if (state.document) Object.assign(state.document, payload);
    },
    conflictFound: (
      state,
      { payload }: PayloadAction<{ readonly revision: number; readonly shot: Shot }>,
    ) => {
      state.theirs = payload as typeof state.theirs;
      state.isConflictPutOff = false;
      if (state.document) state.document.status = 'conflict';
    },
    conflictPutOff: (state, { payload }: PayloadAction<boolean>) => {
      state.isConflictPutOff = payload;
    },
    conflictSettled: (state) => {
      state.theirs = null;
    },
    stepChosen: (state, { payload }: PayloadAction<Step>) => {
      state.step = payload;
    },
    said: {
      reducer: (state, { payload }: PayloadAction<Message>) => {
        state.message = payload;
      },
      prepare: (text: string, restoreId?: string) => ({ payload: { id: nanoid(6), text, restoreId } }),
    },
    messageGone: (state) => {
      state.message = null;
    },
  },
});

export const {
  conflictFound,
  conflictPutOff,
  conflictSettled,
  documentClosed,
  documentOpened,
  messageGone,
  said,
  saveMoved,
  stepChosen,
} = session.actions;
export const sessionReducer = session.reducer;
