import { useEdit } from '../../store/hooks';
import { Card } from '../../ui/Card';
import { Toggle } from '../../ui/Toggle';
import { figureWords as words } from '../../words/figure';
import { NoFigureYet } from './NoFigure';
import { type EasingChoice, TrackCard } from './tracks/TrackCard';
import { useFigure } from './useFigure';

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
    </>
  );
}
