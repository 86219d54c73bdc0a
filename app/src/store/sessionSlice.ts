import type { Edit, Shot } from '@humble/core';
import type { WorkStep } from '../kinds/steps';
import { createSlice, nanoid, type PayloadAction } from '@reduxjs/toolkit';

export type SaveStatus =
  | 'saved'
  | 'unsaved'
  | 'saving'
  /** The server isn’t answering; it is asked again and again. */
  | 'offline'
  /** The server could not save; it is asked again and again. */
  | 'failed'
  /** Someone else saved meanwhile. */
  | 'conflict'
  /** The server will not take it. */
  | 'refused'
  | 'removed';

export interface OpenDocument {
  readonly id: string;
  readonly revision: number;
  readonly status: SaveStatus;
  /** This browser could not keep the latest edits: they are on this page alone. */
  readonly isUnkept: boolean;
}

export type MessageAction =
  | { readonly kind: 'restore'; readonly shotIds: readonly string[] }
  | { readonly kind: 'save-copy' }
  /** Says `otherwise` while it cannot be started. */
  | { readonly kind: 'new-version'; readonly label: string; readonly otherwise: string }
  | { readonly kind: 'instead'; readonly label: string; readonly edit: Edit };

export interface Message {
  readonly id: string;
  readonly text: string;
  readonly action?: MessageAction;
}

/** What stands over the panel until it is closed, beside the field or under it; null for nothing. */
export type BenchSheet = 'view' | 'history' | null;

export interface SessionState {
  readonly document: OpenDocument | null;
  readonly theirs: { readonly revision: number; readonly shot: Shot } | null;
  readonly isConflictPutOff: boolean;
  readonly step: WorkStep;
  readonly message: Message | null;
  readonly sheet: BenchSheet;
}

const initialState: SessionState = {
  document: null,
  theirs: null,
  isConflictPutOff: false,
  step: 'arc',
  message: null,
  sheet: null,
};

const session = createSlice({
  name: 'session',
  initialState,
  reducers: {
    documentOpened: (
      state,
      { payload }: PayloadAction<Omit<OpenDocument, 'isUnkept'> & { readonly step: WorkStep }>,
    ) => {
      const { step, ...document } = payload;
      const opened = { ...document, isUnkept: false };
      // What was removed in the list is not undone over another shot.
      const message = state.message?.action?.kind === 'restore' ? null : state.message;
      Object.assign(state, { ...initialState, message, document: opened, step });
    },
    documentClosed: (state) => {
      Object.assign(state, { ...initialState, message: state.message });
    },
    saveStatusChanged: (
      state,
      { payload }: PayloadAction<{ readonly status: SaveStatus; readonly revision?: number }>,
    ) => {
      if (state.document) Object.assign(state.document, payload);
    },
    /** Whether the browser has the latest edits that the server does not have. */
    draftStatusChanged: (state, { payload }: PayloadAction<{ readonly isUnkept: boolean }>) => {
      if (state.document) state.document.isUnkept = payload.isUnkept;
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
    stepChosen: (state, { payload }: PayloadAction<WorkStep>) => {
      state.step = payload;
    },
    messageShown: {
      reducer: (state, { payload }: PayloadAction<Message>) => {
        state.message = payload as Message as typeof state.message;
      },
      prepare: (text: string, action?: MessageAction) => ({ payload: { id: nanoid(6), text, action } }),
    },
    sheetChosen: (state, { payload }: PayloadAction<BenchSheet>) => {
      state.sheet = payload;
    },
    messageDismissed: (state) => {
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
  draftStatusChanged,
  messageDismissed,
  messageShown,
  saveStatusChanged,
  stepChosen,
  sheetChosen,
} = session.actions;
export const sessionReducer = session.reducer;
