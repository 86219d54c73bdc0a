import { figureWords as words } from '../../words/figure';
import { NumericText } from '../../ui/Words';
import { NoFigure, NoFigureYet } from './NoFigure';
import { type HoldOf, PosesCard } from './PosesCard';
import { useFigure } from './useFigure';
import { selectActiveWaiting } from '../../store/selectors/active';
import { useThrottledSelector } from '../../store/throttled/hooks';

export function PoseGroup({ hold }: { readonly hold: HoldOf }) {
  const on = useFigure();
  const waits = useThrottledSelector((state) => selectActiveWaiting(state) !== null);
  if (on) return <PosesCard move={on.move} hold={hold} />;
  return waits ? <NoFigureYet /> : <NoFigure />;
}

export function PoseSummary() {
  const on = useFigure();
  return on && <NumericText tone="soft">{words.poseCount(on.move.marks.length)}</NumericText>;
}
