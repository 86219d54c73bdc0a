import { drawingCount } from '@humble/core';
import { Words } from '../../../ui/Words';
import { figuresWords as words } from '../../../words/figures';
import { DrawingsCard } from '../DrawingsCard';
import { NoFigureYet } from '../NoFigure';
import { useActiveFigure, useFigure } from '../useFigure';
import { type SheetsDialog, ThroughCard } from '../inbetween/ThroughCard';
import { SpotsCard } from '../inbetween/SpotsCard';
import { useShownDrawing } from '../useShownDrawing';
import { FlipCard } from './FlipCard';
import { GetDrawings } from './GetDrawings';
import { StrideCard } from './StrideCard';
import { useThrottledMove } from '../../../store/throttled/hooks';

/** @param props.Sheets what in-betweens are drawn on: screens put it in */
export function CycleGroup({ Sheets }: { readonly Sheets: SheetsDialog }) {
  const figure = useActiveFigure();
  const move = useThrottledMove();
  const drawing = useShownDrawing();
  if (!figure) return <NoFigureYet />;
  const hasDrawings = figure.artwork.kind === 'pictures' && figure.artwork.drawings.length > 1;
  return (
    <>
      {hasDrawings && move && <ThroughCard key={figure.id} figure={figure} move={move} Sheets={Sheets} />}
      {!hasDrawings && <GetDrawings figure={figure} key={figure.id} hasDrawings={false} />}
      <SpotsCard figure={figure} moveId={move?.id ?? null} drawing={Math.max(1, drawing)} />
      {hasDrawings && <DrawingsCard figure={figure} />}
      {hasDrawings && <GetDrawings figure={figure} key={figure.id} hasDrawings />}
      {hasDrawings && <StrideCard figure={figure} />}
      {move && <FlipCard move={move} figure={figure} />}
    </>
  );
}

/** The drawing as one of the figure's keys: which is shown from here on, and whether it is drawn through. */
export function DrawingLine({ Sheets }: { readonly Sheets: SheetsDialog }) {
  const on = useFigure();
  if (!on) return null;
  return (
    <>
      <ThroughCard key={on.figure.id} {...on} Sheets={Sheets} />
      <DrawingsCard figure={on.figure} />
    </>
  );
}

export function CycleSummary() {
  const figure = useActiveFigure();
  return figure && <Words tone="soft">{words.pictureCount(drawingCount(figure))}</Words>;
}
