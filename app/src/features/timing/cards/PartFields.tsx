import { MAX_SHOT_FRAMES, type PartOfArc, partMoments } from '@humble/core';
import { selectEditProblem } from '../../../store/doEdit';
import { rangePicked } from '../../../store/editorSlice';
import { frameField } from '../../../store/frames';
import { useAppDispatch, useAppStore, useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { selectActiveTravel } from '../../../store/selectors/selection';
import {
  useThrottledEditor,
  useThrottledFramesOfMove,
  useThrottledSelector,
} from '../../../store/throttled/hooks';
import { NumberPair } from '../../../ui/NumberField';
import { readNumber } from '../../../ui/numbers';
import { Words } from '../../../ui/Words';
import { timingWords as words } from '../../../words/timing';
import { frameNumbered } from '../../../store/frameNumbers';

const WHOLE_ARC: PartOfArc = { from: 0, to: 1 };
/** A part begins or ends between two frames until it is told to do so on one. */
const MOMENT_DECIMALS = 2;

/** A part of the arc and the frames for it: from and to as places, and when it is there. */
export function PartFields() {
  const move = useThrottledFramesOfMove();
  const arcLength = useThrottledSelector((state) => selectActiveTravel(state)?.arcLength ?? null);
  const picked = useThrottledEditor((editor) => editor.pickedRange);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const edit = useEdit();
  const { field: length } = useLengths();
  if (!move || arcLength === null) return null;
  const { from, to } = picked?.by === 'stretch' ? picked : WHOLE_ARC;
  const pick = (part: Partial<PartOfArc>): unknown =>
    dispatch(rangePicked({ by: 'stretch', from, to, ...part }));
  const share = (distance: number): number => (arcLength > 0 ? distance / arcLength : 0);
  const moments = partMoments(move, { from, to });
  const frameOf = (edge: 'start' | 'end', label: string, value: number) => ({
    ...frameField({
      label,
      value,
      min: 1,
      max: MAX_SHOT_FRAMES,
      onChange: (frame, undoGroup) =>
        edit('setPartFrames', { moveId: move.id, from, to, [edge]: Math.round(frame) }, undoGroup),
    }),
    decimals: MOMENT_DECIMALS,
    read: (text: string) => {
      const wanted = readNumber(text);
      if (wanted === null) return null;
      const frame = Math.round(frameNumbered(wanted));
      const args = { moveId: move.id, from, to, [edge]: frame };
      const problem = selectEditProblem(store.getState(), 'setPartFrames', args);
      return problem === null ? Math.round(wanted) : { problem };
    },
  });
  return (
    <>
      <NumberPair
        pair={[
          length({
            label: words.fromPlace,
            value: from * arcLength,
            whole: arcLength,
            min: 0,
            max: arcLength,
            onChange: (distance) => pick({ from: share(distance), to: Math.max(to, share(distance)) }),
          }),
          length({
            label: words.toPlace,
            value: to * arcLength,
            whole: arcLength,
            min: from * arcLength,
            max: arcLength,
            onChange: (distance) => pick({ to: share(distance) }),
          }),
        ]}
      />
      {moments ? (
        <NumberPair
          pair={[
            frameOf('start', words.partStartsOn, moments.start),
            frameOf('end', words.partEndsOn, moments.end),
          ]}
        />
      ) : (
        <Words tone="soft">{words.notTravelled}</Words>
      )}
    </>
  );
}
