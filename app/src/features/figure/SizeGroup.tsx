import { useThrottledFrame } from '../../playback/playhead';
import { useEdit } from '../../store/hooks';
import { Card } from '../../ui/Card';
import { writeNumber } from '../../ui/numbers';
import { Toggle } from '../../ui/Toggle';
import { NumericText } from '../../ui/Words';
import { figureWords as words } from '../../words/figure';
import { NoFigureYet } from './NoFigure';
import { type EasingChoice, TrackCard } from './tracks/TrackCard';
import { selectTrack } from './tracks/selectTrack';
import { useFigure } from './useFigure';
import { useThrottledSelector } from '../../store/throttled/hooks';

export function SizeGroup({ easingChoice }: { readonly easingChoice: EasingChoice }) {
  const edit = useEdit();
  const on = useFigure();
  if (!on) return <NoFigureYet />;
  const { id: moveId, sizesApart } = on.move;
  return (
    <>
      <TrackCard track="size" easingChoice={easingChoice} />
      {sizesApart && <TrackCard track="sizeDown" easingChoice={easingChoice} />}
      <Card>
        <Toggle
          label={words.acrossAndDownApart}
          value={sizesApart}
          onChange={(value) => edit('setTurning', { moveId, sizesApart: value })}
        />
      </Card>
      <TrackCard track="opacity" easingChoice={easingChoice} />
    </>
  );
}

export function SizeSummary() {
  const frame = useThrottledFrame();
  const percent = useThrottledSelector((state) => selectTrack(state, 'size')?.values[frame - 1] ?? null);
  return percent === null ? null : (
    <NumericText tone="soft">{words.sizeHere(writeNumber(percent, 1))}</NumericText>
  );
}
