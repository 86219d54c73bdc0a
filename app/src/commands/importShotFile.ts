import { api, failureSentence } from '../persistence/api';
import { firstFrameNumber } from '../store/frameNumbers';
import { messageShown } from '../store/sessionSlice';
import type { AppThunk } from '../store/store';
import { handOver } from '../persistence/handedOver';

interface PickedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** Sends a file to the server as it is, which reads it. @returns the id of the shot; null where why not was said */
export const importShotFile =
  (file: PickedFile): AppThunk<Promise<string | null>> =>
  async (dispatch) => {
    const { data, error } = await dispatch(
      api.endpoints.importShot.initiate({ ...file, firstNumber: firstFrameNumber() }),
    );
    if (!data) {
      dispatch(messageShown(failureSentence(error)));
      return null;
    }
    if (data.notes.length > 0) dispatch(messageShown(data.notes.join(' ')));
    handOver(data);
    return data.id;
  };
