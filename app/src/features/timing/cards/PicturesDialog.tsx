import { type Move, picturesOn } from '@humble/core';
import { useState } from 'react';
import { useEdit, useThrottledShotValue } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { fixed } from '../../../ui/numbers';
import { NumberField } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';

const MANNERS = [
  { value: 'even', label: 'Even' },
  { value: 'eased', label: 'Eased' },
  { value: 'as-it-is', label: 'As it is now' },
] as const;

const MOST_PICTURES = 2_000;

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
    <Dialog title="Number of pictures" isOpen onClose={onClose}>
      <NumberField
        label="Pictures"
        value={count}
        min={isClosed ? 3 : 2}
        max={MOST_PICTURES}
        onChange={setCount}
      />
      <Segmented label="Timing of the pictures" value={manner} options={MANNERS} onChange={setManner} />
      <Words testID="pictures-said">
        {isClosed
          ? `Round a closed arc: ${count} pictures, ${intervals} increments, the last of them back to the first picture.`
          : `On an open arc: ${count} pictures, ${intervals} increments.`}
        {` ${frames} frames, ${fixed(seconds, 2)} s.`}
      </Words>
      {manner !== 'as-it-is' && <Words tone="soft">Marks between the first and the last are removed.</Words>}
      <Button
        label="Spread"
        kind="brass"
        onPress={() => {
          if (edit('spreadPictures', { moveId: move.id, count, manner })) onClose();
        }}
      />
    </Dialog>
  );
}
