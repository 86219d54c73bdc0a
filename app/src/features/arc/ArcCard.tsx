import { arcWords as words } from '../../words/arc';
import { type Arc, arcLength, type Keeps } from '@humble/core';
import ArrowLeftRight from 'lucide-react-native/icons/arrow-left-right';
import Circle from 'lucide-react-native/icons/circle-dashed';
import Link from 'lucide-react-native/icons/link-2';
import LocateFixed from 'lucide-react-native/icons/locate-fixed';
import Merge from 'lucide-react-native/icons/merge';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import { useState } from 'react';
import { View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { selectLengthScale, lengthsFor } from '../../store/lengths';
import { strokeAsked } from '../../store/editorSlice';
import { ActionRow } from '../../ui/ActionRow';
import { Card } from '../../ui/Card';
import { Menu } from '../../ui/Menu';
import { Segmented } from '../../ui/Segmented';
import { NumericText, Words } from '../../ui/Words';
import { selectActiveArc } from '../../store/selectors/active';
import {
  useThrottledArc,
  useThrottledMove,
  useThrottledSelector,
  useThrottledEditor,
} from '../../store/throttled/hooks';

/** The arc as a whole. Renders for its name and the like only; the length follows a drag by itself. */
export function ArcCard() {
  const name = useThrottledArc((arc) => arc.name);
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const hasFigure = useThrottledMove() !== null;
  // A stroke that waits to be kept has its own way to be drawn again.
  const isDrawing = useThrottledEditor((editor) => editor.sketch !== null);
  const canJoin = useOtherOpenArcs().length > 0;
  const [menu, setMenu] = useState<'round' | 'join' | null>(null);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const arcId = (): string => selectActiveArc(store.getState())!.id;
  return (
    <Card title={name ?? ''} aside={<ArcLength />}>
      <Facts />
      <ActionRow
        actions={[
          !isDrawing && {
            label: words.redraw,
            icon: PencilLine,
            onPress: () => dispatch(strokeAsked('anew')),
          },
          isClosed
            ? { label: words.open, icon: Circle, onPress: () => edit('openArc', { arcId: arcId() }) }
            : { label: words.close, icon: Link, onPress: () => edit('closeArc', { arcId: arcId() }) },
          { label: words.reverse, icon: ArrowLeftRight, onPress: () => setMenu('round') },
          canJoin && { label: words.join, icon: Merge, onPress: () => setMenu('join') },
        ]}
      />
      {hasFigure && <KeepsChoice />}
      {menu === 'round' && <TurnRoundMenu onClose={() => setMenu(null)} />}
      {menu === 'join' && <JoinMenu onClose={() => setMenu(null)} />}
    </Card>
  );
}

function useLengthText(pick: (length: number, straight: number) => number): string {
  return useThrottledSelector((state) => {
    const arc = selectActiveArc(state);
    if (!arc) return '';
    const [first, last] = [arc.points[0]!, arc.points[arc.points.length - 1]!];
    const straight = arc.closed ? 0 : Math.hypot(last.x - first.x, last.y - first.y);
    return lengthsFor(selectLengthScale(state)).text(pick(arcLength(arc), straight));
  });
}

export function ArcLength() {
  const text = useLengthText((length) => length);
  return <NumericText tone="soft">{words.lengthLong(text)}</NumericText>;
}

function Facts() {
  const points = useThrottledArc((arc) => arc.points.length) ?? 0;
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const straight = useLengthText((_, across) => across);
  return (
    <Words tone="soft" className="mb-3">
      {isClosed ? words.pointsClosed(points) : words.pointsFromEndToEnd(points, straight)}
    </Words>
  );
}

const KEEPS: readonly { readonly value: Keeps; readonly label: string }[] = [
  { value: 'fractions', label: words.proportions },
  { value: 'distances', label: words.distances },
  { value: 'spots', label: words.positions },
];

const KEEPS_SENTENCES: Readonly<Record<Keeps, string>> = {
  fractions: words.marksKeepTheirShare,
  distances: words.keepDistanceHelp,
  spots: words.marksKeepTheirSpots,
};

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
        label={words.whatTheMoveKeeps}
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
    const arc = selectActiveArc(store.getState());
    if (arc) edit('reverseArc', { arcId: arc.id, move });
  };
  return (
    <Menu
      title={words.turnTheArcRound}
      onClose={onClose}
      items={[
        { label: words.reverseKeepsPlace, icon: LocateFixed, onPress: turn('in-place') },
        { label: words.reverseTurnsMove, icon: ArrowLeftRight, onPress: turn('turned-round') },
      ]}
    />
  );
}

const useOtherOpenArcs = (): readonly Arc[] =>
  useThrottledSelector((state) => {
    const active = selectActiveArc(state);
    const arcs = state.shot.present.shot?.arcs ?? [];
    return active?.closed === false ? arcs.filter((arc) => arc !== active && !arc.closed && !arc.locked) : [];
  }, shallowEqual);

function JoinMenu({ onClose }: { readonly onClose: () => void }) {
  const others = useOtherOpenArcs();
  const store = useAppStore();
  const edit = useEdit();
  return (
    <Menu
      title={words.joinThisArcWith}
      onClose={onClose}
      items={others.map(({ id, name }) => ({
        label: name,
        icon: Merge,
        onPress: () => {
          const arc = selectActiveArc(store.getState());
          if (arc) edit('joinArcs', { arcId: arc.id, otherId: id });
        },
      }))}
    />
  );
}
