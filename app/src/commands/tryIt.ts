import { freshShot } from '@humble/core';
import { api, failureSentence } from '../persistence/api';
import { handOver } from '../persistence/handedOver';
import { messageShown } from '../store/sessionSlice';
import { settingsChanged } from '../store/settingsSlice';
import type { AppThunk } from '../store/store';
import { guideWords as words } from '../words/guide';

const LENGTH_FRAMES = 48;

/** A first shot with hints. @returns its id; null where it could not be made, which is said */
export const tryIt = (): AppThunk<Promise<string | null>> => async (dispatch) => {
  const shot = freshShot({
    name: words.shotName,
    rate: 24,
    lengthFrames: LENGTH_FRAMES,
    width: 1920,
    height: 1080,
  });
  const { data, error } = await dispatch(api.endpoints.createShot.initiate(shot));
  if (!data) {
    dispatch(messageShown(failureSentence(error)));
    return null;
  }
  handOver(data);
  dispatch(settingsChanged({ lessonShotId: data.id }));
  return data.id;
};

export const leaveHints = (): AppThunk => (dispatch) => {
  dispatch(settingsChanged({ lessonShotId: null }));
};
