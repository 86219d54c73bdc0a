import { fieldWords as words } from '../../../words/field';
import { firstFrame } from '@humble/core';
import { type PointerSample } from '@humble/core/views';
import { recordGesture } from '../../../commands/acting';
import { pause, playFrom } from '../../../playback/playhead';
import { messageShown } from '../../../store/sessionSlice';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { setPointerScene } from '../pointerScene';
import { selectActiveMove } from '../../../store/selectors/active';

const BEATS = 3;
const BEAT_MS = 500;

/**
 * A gesture, recorded from the press to the release at the pointer's own rate, or from the end of the count
 * on. An outline of the figure goes with the pointer, and the others play meanwhile.
 */
export function actDrag({ store }: FieldContext, start: Pointer): DragHandler {
  const { countsIn, playsMeanwhile, recordingSpeed } = store.getState().settings;
  let samples: PointerSample[] = [];
  let at = start.trail.at(-1)!;
  let isRecording = false;
  let beat: ReturnType<typeof setTimeout> | undefined;
  const begin = (): void => {
    isRecording = true;
    samples = [{ ...at, ms: countsIn ? performance.now() : at.ms }];
    setPointerScene({ count: null, acting: at });
    const { editor } = store.getState();
    const move = editor.actsFor === 'this' ? selectActiveMove(store.getState()) : null;
    if (playsMeanwhile) playFrom(move ? firstFrame(move) : 1, recordingSpeed);
  };
  const count = (left: number): void => {
    if (left === 0) return begin();
    setPointerScene({ count: left, acting: at });
    beat = setTimeout(() => count(left - 1), BEAT_MS);
  };
  const stop = (): void => {
    clearTimeout(beat);
    if (isRecording && playsMeanwhile) pause();
  };
  count(countsIn ? BEATS : 0);
  return {
    startsAtOnce: true,
    drag: ({ trail }) => {
      at = trail.at(-1)!;
      setPointerScene({ acting: at });
      if (isRecording) samples.push(...trail.filter(({ ms }) => ms >= samples[0]!.ms));
    },
    drop: ({ point }) => {
      stop();
      if (!isRecording) {
        store.dispatch(messageShown(words.releasedTooEarly));
        return;
      }
      // A hand that rests reports nothing: the end of the rest is when it lifts.
      samples.push({ ...point, ms: performance.now() });
      void store.dispatch(recordGesture(samples));
    },
    cancel: stop,
  };
}
