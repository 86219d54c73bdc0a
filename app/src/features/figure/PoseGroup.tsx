import { figureWords as words } from '../../words/figure';
import { NumericText } from '../../ui/Words';
import { NoFigure } from './NoFigure';
import { type HoldOf, PosesCard } from './PosesCard';
import { useFigure } from './useFigure';

/** Where the figure is on which frames. */
export function PoseGroup({ hold }: { readonly hold: HoldOf }) {
  const on = useFigure();
  return on ? <PosesCard move={on.move} hold={hold} /> : <NoFigure />;
}

/** How many poses there are. */
export function PoseSummary() {
  const on = useFigure();
  return on && <NumericText tone="soft">{words.poseCount(on.move.marks.length)}</NumericText>;
}
