import { timingWords as words } from '../../../words/timing';
import { type Move, picturesOn } from '@humble/core';
import { useState } from 'react';
import { useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { fixed } from '../../../ui/numbers';
import { NumberField } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

const MANNERS = [
  { value: 'even', label: words.even },
  { value: 'eased', label: words.eased },
  { value: 'as-it-is', label: words.asItIsNow },
] as const;

const MAX_PICTURES = 2_000;

interface PicturesDialogProps {
  readonly move: Move;
  readonly isClosed: boolean;
  readonly onClose: () => void;
}

/** So many pictures on the arc; it says how many increments that makes, and how long it lasts. */
export function PicturesDialog({ move, isClosed, onClose }: PicturesDialogProps) {
  const rate = useThrottledShotValue((shot) => shot.rate);
  const edit = useEdit();
  const [count, setCount] = useState(20);
  const [manner, setManner] = useState<(typeof MANNERS)[number]['value']>('even');
  const { intervals, frames, seconds } = picturesOn(isClosed, { count, framesHeld: move.framesHeld, rate });
  return (
    <Dialog title={words.numberOfPictures} isOpen onClose={onClose}>
      <NumberField
        label={words.pictures}
        value={count}
        min={isClosed ? 3 : 2}
        max={MAX_PICTURES}
        onChange={setCount}
      />
      <Segmented label={words.timingOfThePictures} value={manner} options={MANNERS} onChange={setManner} />
      <Words testID="pictures-said">
        {isClosed ? words.picturesRoundArc(count, intervals) : words.picturesOnOpenArc(count, intervals)}
        {words.framesS(frames, fixed(seconds, 2))}
      </Words>
      {manner !== 'as-it-is' && <Words tone="soft">{words.innerMarksGo}</Words>}
      <Button
        label={words.spread}
        kind="brass"
        onPress={() => {
          if (edit('spreadPictures', { moveId: move.id, count, manner })) onClose();
        }}
      />
    </Dialog>
  );
}
