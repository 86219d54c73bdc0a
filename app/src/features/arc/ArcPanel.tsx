import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { activeArcIn, useThrottledArc, useThrottledSelector, useThrottledEditor } from '../../store/hooks';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { ArcCard } from './ArcCard';
import { ArcList } from './ArcList';
import { MakeCard } from './MakeCard';
import { PlaceCard } from './PlaceCard';
import { PlacingCard } from './PlacingCard';
import { PointCard } from './PointCard';
import { PointsCard } from './PointsCard';
import { ShapeCard } from './ShapeCard';
import { SketchCard } from './SketchCard';

const PARTS = [
  { value: 'arc', label: 'This arc' },
  { value: 'all', label: 'All arcs' },
  { value: 'backdrop', label: 'Backdrop' },
] as const;

type Part = (typeof PARTS)[number]['value'];

/** Making and shaping arcs, by hand in the field and by number here. */
export function ArcPanel({ backdrop }: { readonly backdrop: ReactNode }) {
  const [part, setPart] = useState<Part>('arc');
  const tool = useThrottledEditor((editor) => editor.tool);
  if (tool === 'points') return <PlacingCard />;
  if (tool === 'stroke') return <SketchCard />;
  return (
    <View className="gap-3">
      <Segmented label="What to work on" value={part} options={PARTS} onChange={setPart} />
      {part === 'arc' && <ThisArc />}
      {part === 'all' && <ArcList />}
      {part === 'backdrop' && backdrop}
    </View>
  );
}

function ThisArc() {
  const hasArc = useThrottledSelector((state) => activeArcIn(state) !== null);
  const hasSketch = useThrottledEditor((editor) => editor.sketch !== null);
  const isLocked = useThrottledArc((arc) => arc.locked) ?? false;
  return (
    <>
      {hasSketch && <SketchCard />}
      {hasArc && (isLocked ? <Locked /> : <Shaping />)}
      <MakeCard />
    </>
  );
}

/** What is selected first, then the arc as a whole. */
function Shaping() {
  const selected = useThrottledEditor((editor) => editor.selectedPointIds.length);
  const hasPlace = useThrottledEditor((editor) => editor.arcLocation !== null);
  return (
    <>
      {selected === 1 && <PointCard />}
      {selected > 1 && <PointsCard />}
      {hasPlace && <PlaceCard />}
      <ShapeCard />
      <ArcCard />
    </>
  );
}

function Locked() {
  return (
    <Words tone="soft" className="px-1">
      This arc is locked, so nothing here changes it. Unlock it under “All arcs”.
    </Words>
  );
}
