import { TERMS } from '../../../words/terms';
import { timingWords as words } from '../../../words/timing';
import { MAX_SHOT_FRAMES, type RoundedMark } from '@humble/core';
import { memo, useState } from 'react';
import { selectMoveOfTime, selectRoundingsOfRate } from '../../../commands/passages';
import { useShotLength } from '../../../commands/useShotLength';
import type { TimeOf } from '../../../store/editorSlice';
import { useAppStore, useEdit } from '../../../store/hooks';
import { Card } from '../../../ui/Card';
import { fixed } from '../../../ui/numbers';
import { NumberField } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { NumericText, Words } from '../../../ui/Words';
import { passageWords } from '../../../words/passages';
import { WhoseTime } from './PassageCard';
import { roundingsText } from '../../../commands/roundings';
import { SoftNote } from '../../../ui/SoftNote';
import { useThrottledShotValue } from '../../../store/throttled/hooks';

const KEEPS = [
  { value: 'frames', label: passageWords.keepFrames },
  { value: 'seconds', label: passageWords.keepSeconds },
] as const;

export const LengthCard = memo(function ShotCard() {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const edit = useEdit();
  const store = useAppStore();
  const [keeps, setKeeps] = useState<'frames' | 'seconds'>('frames');
  const [whose, setWhose] = useState<TimeOf>('all');
  const [rounded, setRounded] = useState<readonly RoundedMark[]>([]);
  const length = useShotLength();
  return (
    <Card title={words.theShot} term={TERMS.shot} aside={`${fixed(lengthFrames / rate, 2)} s`}>
      <NumberField
        label={words.length}
        unit={words.frames}
        value={lengthFrames}
        min={2}
        max={MAX_SHOT_FRAMES}
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
        onChange={(value, undoGroup) => {
          setRounded(
            keeps === 'seconds' ? selectRoundingsOfRate(store.getState(), whose, value, undoGroup) : [],
          );
          edit(
            'setRate',
            { rate: value, keeps, moveId: selectMoveOfTime(store.getState(), whose) },
            undoGroup,
          );
        }}
      />
      <Words tone="soft">{passageWords.keep}</Words>
      <Segmented label={passageWords.keep} value={keeps} options={KEEPS} onChange={setKeeps} />
      {keeps === 'seconds' && <WhoseTime value={whose} onChange={setWhose} />}
      <Words tone="soft">{keeps === 'seconds' ? passageWords.marksMove : passageWords.allLastLonger}</Words>
      <SoftNote text={roundingsText(rounded)} testID="roundings" />
    </Card>
  );
});

export function LengthSummary() {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  return <NumericText tone="soft">{words.framesAt(lengthFrames, fixed(rate, rate % 1 ? 3 : 0))}</NumericText>;
}
