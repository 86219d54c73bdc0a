import { arcWords as words } from '../../words/arc';
import { Words } from '../../ui/Words';
import { ArcCard } from './ArcCard';
import { Locked } from './Locked';
import { ShapeCard } from './ShapeCard';
import { useThrottledArc } from '../../store/throttled/hooks';

export function ThisArc() {
  const isLocked = useThrottledArc((arc) => arc.locked);
  if (isLocked === null) return <Words tone="soft">{words.noArcYetDrawOneIn}</Words>;
  if (isLocked) return <Locked />;
  return (
    <>
      <ShapeCard />
      <ArcCard />
    </>
  );
}
