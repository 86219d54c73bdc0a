import { drawingCount } from '@humble/core';
import { Words } from '../../../ui/Words';
import { figuresWords as words } from '../../../words/figures';
import { DrawingsCard } from '../DrawingsCard';
import { NoFigureYet } from '../NoFigure';
import { useActiveFigure } from '../useFigure';
import { FlipCard } from './FlipCard';
import { GetDrawings } from './GetDrawings';
import { StrideCard } from './StrideCard';
import { useThrottledMove } from '../../../store/throttled/hooks';

export function CycleGroup() {
  const figure = useActiveFigure();
  const move = useThrottledMove();
  if (!figure) return <NoFigureYet />;
  const hasDrawings = figure.artwork.kind === 'pictures' && figure.artwork.drawings.length > 1;
  return (
    <>
      {hasDrawings && <DrawingsCard figure={figure} />}
      <GetDrawings figure={figure} key={figure.id} hasDrawings={hasDrawings} />
      {hasDrawings && <StrideCard figure={figure} />}
      {move && <FlipCard move={move} figure={figure} />}
    </>
  );
}

export function CycleSummary() {
  const figure = useActiveFigure();
  return figure && <Words tone="soft">{words.pictureCount(drawingCount(figure))}</Words>;
}
