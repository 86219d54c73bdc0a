import { TERMS } from '../../../words/terms';
import { timingWords as words } from '../../../words/timing';
import { LONGEST_SHOT } from '@humble/core';
import { memo } from 'react';
import { useShotLength } from '../../../commands/useShotLength';
import { useEdit, useThrottledShotValue } from '../../../store/hooks';
import { Card } from '../../../ui/Card';
import { fixed } from '../../../ui/numbers';
import { NumberField } from '../../../ui/NumberField';
import { NumericText } from '../../../ui/Words';

/** Length and rate of the shot. */
export const ShotCard = memo(function ShotCard() {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const edit = useEdit();
  const length = useShotLength();
  return (
    <Card title={words.theShot} term={TERMS.shot} aside={`${fixed(lengthFrames / rate, 2)} s`}>
      <NumberField
        label={words.length}
        unit={words.frames}
        value={lengthFrames}
        min={2}
        max={LONGEST_SHOT}
        onChange={length.change}
        note={length.note}
      />
      <NumberField
        label={words.rate}
        unit={words.aSecond}
        value={rate}
        min={1}
        max={240}
        decimals={3}
        onChange={(value, undoGroup) => edit('setRate', { rate: value }, undoGroup)}
      />
    </Card>
  );
});

/** The same in a few words. */
export function ShotSummary() {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  return <NumericText tone="soft">{words.framesAt(lengthFrames, fixed(rate, rate % 1 ? 3 : 0))}</NumericText>;
}
