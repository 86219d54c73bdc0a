import { edits, MAX_NAME_LENGTH, type Shot } from '@humble/core';
import { api, failureSentence } from '../persistence/api';
import { doEdit } from '../store/doEdit';
import { comparisonChosen, PLAIN_COMPARISON } from '../store/reviewSlice';
import { messageShown } from '../store/sessionSlice';
import type { AppThunk } from '../store/store';
import { historyWords as words } from '../words/history';

/** A version of the open shot as it was saved before. */
export interface PastVersion {
  readonly revision: number;
  /** When it was saved, as it is written. */
  readonly when: string;
}

/** The open shot as it was then; null where it cannot be had, which is said. */
const pastShot =
  ({ revision }: PastVersion): AppThunk<Promise<Shot | null>> =>
  async (dispatch, getState) => {
    const id = getState().session.document?.id;
    if (!id) return null;
    const { data, error } = await dispatch(
      api.endpoints.readPastShot.initiate({ id, revision }, { subscribe: false }),
    );
    // Another shot may have been opened meanwhile.
    if (getState().session.document?.id !== id) return null;
    if (!data) dispatch(messageShown(failureSentence(error)));
    return data?.shot ?? null;
  };

/** Shows a version beside what there is now, in all views, like another take. */
export const lookAtVersion =
  (version: PastVersion): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const shot = await dispatch(pastShot(version));
    if (!shot) return;
    const { revision, when: name } = version;
    const before = getState().review.compared ?? PLAIN_COMPARISON;
    dispatch(comparisonChosen({ ...before, with: { kind: 'version', revision, name, shot } }));
  };

/** Makes the open shot what it was: a step that can be undone. */
export const restoreVersion =
  (version: PastVersion): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const shot = await dispatch(pastShot(version));
    if (!shot || !dispatch(doEdit('replaceShot', { shot }))) return;
    dispatch(comparisonChosen(null));
    dispatch(messageShown(words.restored(version.when)));
  };

/** Saves a version as a shot of its own, beside the open one. */
export const saveVersionAsShot =
  (version: PastVersion): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const shot = await dispatch(pastShot(version));
    if (!shot) return;
    const suffix = words.suffix(version.when);
    const name = `${shot.name.slice(0, MAX_NAME_LENGTH - suffix.length)}${suffix}`;
    const { data, error } = await dispatch(
      api.endpoints.createShot.initiate(edits.renameShot(shot, { name })),
    );
    dispatch(messageShown(data ? words.savedAs(name) : failureSentence(error)));
  };
