import { type Arc, arcLength, type Keeps, pointAtDistance } from '@humble/core';
import ArrowLeftRight from 'lucide-react-native/icons/arrow-left-right';
import Circle from 'lucide-react-native/icons/circle-dashed';
import Link from 'lucide-react-native/icons/link-2';
import LocateFixed from 'lucide-react-native/icons/locate-fixed';
import Merge from 'lucide-react-native/icons/merge';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Plus from 'lucide-react-native/icons/plus';
import Scan from 'lucide-react-native/icons/scan';
import SquareDashed from 'lucide-react-native/icons/square-dashed-mouse-pointer';
import { useState } from 'react';
import { View } from 'react-native';
import { shallowEqual } from 'react-redux';
import {
  activeArcIn,
  useThrottledArc,
  useThrottledMove,
  useAppDispatch,
  useThrottledSelector,
  useAppStore,
  useEdit,
  useThrottledEditor,
} from '../../store/hooks';
import { arcLocationSelected, pointsSelected, severalSet, strokeAsked } from '../../store/editorSlice';
import { figurePlaceIn } from '../../store/selection';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Menu } from '../../ui/Menu';
import { fixed } from '../../ui/numbers';
import { Segmented } from '../../ui/Segmented';
import { NumericText, Words } from '../../ui/Words';
import { middleOfLongest } from './middleOfLongest';

/** The arc as a whole. Renders for its name and the like only; the length follows a drag by itself. */
export function ArcCard() {
  const name = useThrottledArc((arc) => arc.name);
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const isSelectingSeveral = useThrottledEditor((editor) => editor.isSelectingSeveral);
  const hasFigure = useThrottledMove() !== null;
  const [menu, setMenu] = useState<'round' | 'join' | null>(null);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const arcNow = () => activeArcIn(store.getState())!;
  const addPoint = (): void => {
    const arc = arcNow();
    const done = edit('insertPoint', { arcId: arc.id, ...middleOfLongest(arc) });
    if (done) dispatch(pointsSelected(done.made().points));
  };
  const takeFigurePlace = (): void => {
    const location = figurePlaceIn(store.getState());
    if (!location) return;
    const { segment, t } = pointAtDistance(arcNow(), location.s);
    dispatch(arcLocationSelected({ segment, t }));
  };
  return (
    <Card title={name ?? ''} aside={<ArcLength />}>
      <Facts />
      <View className="flex-row flex-wrap gap-2">
        <Button label="Add a point" icon={Plus} onPress={addPoint} />
        <Button
          label="Select all"
          icon={Scan}
          onPress={() => dispatch(pointsSelected(arcNow().points.map(({ id }) => id)))}
        />
        <Button
          label="Select several"
          icon={SquareDashed}
          pressed={isSelectingSeveral}
          onPress={() => dispatch(severalSet(!isSelectingSeveral))}
        />
        <Button label="Redraw" icon={PencilLine} onPress={() => dispatch(strokeAsked('anew'))} />
        {isClosed ? (
          <Button label="Open" icon={Circle} onPress={() => edit('openArc', { arcId: arcNow().id })} />
        ) : (
          <Button label="Close" icon={Link} onPress={() => edit('closeArc', { arcId: arcNow().id })} />
        )}
        <Button label="Reverse" icon={ArrowLeftRight} onPress={() => setMenu('round')} />
        <JoinButton onPress={() => setMenu('join')} />
        {hasFigure && <Button label="Point at the figure" icon={LocateFixed} onPress={takeFigurePlace} />}
      </View>
      {hasFigure && <KeepsChoice />}
      {menu === 'round' && <TurnRoundMenu onClose={() => setMenu(null)} />}
      {menu === 'join' && <JoinMenu onClose={() => setMenu(null)} />}
    </Card>
  );
}

/** A length along or across the active arc, in the units of the sheet. */
function useLengthText(pick: (length: number, straight: number) => number): string {
  return useThrottledSelector((state) => {
    const { shot } = state.shot.present;
    const arc = activeArcIn(state);
    if (!shot || !arc) return '';
    const { unitsPerMm } = shot.field;
    const isMm = shot.sheet.units === 'mm' && unitsPerMm !== null;
    const [first, last] = [arc.points[0]!, arc.points[arc.points.length - 1]!];
    const straight = arc.closed ? 0 : Math.hypot(last.x - first.x, last.y - first.y);
    const value = pick(arcLength(arc), straight) / (isMm ? unitsPerMm : 1);
    return `${fixed(value, 1)} ${isMm ? 'mm' : 'units'}`;
  });
}

function ArcLength() {
  const text = useLengthText((length) => length);
  return <NumericText tone="soft">{`${text} long`}</NumericText>;
}

/** How many points it has, and how far apart its ends are. */
function Facts() {
  const points = useThrottledArc((arc) => arc.points.length) ?? 0;
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const straight = useLengthText((_, across) => across);
  return (
    <Words tone="soft" className="mb-3">
      {isClosed ? `${points} points, closed` : `${points} points, ${straight} from end to end`}
    </Words>
  );
}

const KEEPS: readonly { readonly value: Keeps; readonly label: string }[] = [
  { value: 'fractions', label: 'Proportions' },
  { value: 'distances', label: 'Distances' },
  { value: 'spots', label: 'Positions' },
];

const KEEPS_SENTENCES: Readonly<Record<Keeps, string>> = {
  fractions: 'When the shape changes, marks keep their share of the length.',
  distances: 'When the shape changes, marks keep their distance from the start.',
  spots: 'When the shape changes, marks stay at their spots in the field.',
};

/** What the move holds on to when its arc changes shape. */
function KeepsChoice() {
  const move = useThrottledMove();
  const edit = useEdit();
  if (!move) return null;
  return (
    <View className="mt-4">
      <Words tone="soft" className="mb-2">
        {KEEPS_SENTENCES[move.keeps]}
      </Words>
      <Segmented
        label="What the move keeps"
        value={move.keeps}
        options={KEEPS}
        onChange={(keeps) => edit('setKeeps', { moveId: move.id, keeps })}
      />
    </View>
  );
}

function TurnRoundMenu({ onClose }: { readonly onClose: () => void }) {
  const store = useAppStore();
  const edit = useEdit();
  const turn = (move: 'in-place' | 'turned-round') => () => {
    const arc = activeArcIn(store.getState());
    if (arc) edit('reverseArc', { arcId: arc.id, move });
  };
  return (
    <Menu
      title="Turn the arc round"
      onClose={onClose}
      items={[
        { label: 'The move stays where it is', icon: LocateFixed, onPress: turn('in-place') },
        { label: 'The move runs the other way', icon: ArrowLeftRight, onPress: turn('turned-round') },
      ]}
    />
  );
}

/** Arcs that the active one can be joined to; they stay the same while it is dragged. */
const useOtherOpenArcs = (): readonly Arc[] =>
  useThrottledSelector((state) => {
    const active = activeArcIn(state);
    const arcs = state.shot.present.shot?.arcs ?? [];
    return active?.closed === false ? arcs.filter((arc) => arc !== active && !arc.closed && !arc.locked) : [];
  }, shallowEqual);

function JoinButton({ onPress }: { readonly onPress: () => void }) {
  const others = useOtherOpenArcs();
  return others.length > 0 ? <Button label="Join" icon={Merge} onPress={onPress} /> : null;
}

function JoinMenu({ onClose }: { readonly onClose: () => void }) {
  const others = useOtherOpenArcs();
  const store = useAppStore();
  const edit = useEdit();
  return (
    <Menu
      title="Join this arc with"
      onClose={onClose}
      items={others.map(({ id, name }) => ({
        label: name,
        icon: Merge,
        onPress: () => {
          const arc = activeArcIn(store.getState());
          if (arc) edit('joinArcs', { arcId: arc.id, otherId: id });
        },
      }))}
    />
  );
}
