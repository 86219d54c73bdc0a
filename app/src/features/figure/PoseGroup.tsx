import { type HoldOf, PosesCard } from './PosesCard';
import { useFigure } from './useFigure';

export function PoseGroup({ hold }: { readonly hold: HoldOf }) {
  const on = useFigure();
  return on && <PosesCard move={on.move} hold={hold} />;
}
