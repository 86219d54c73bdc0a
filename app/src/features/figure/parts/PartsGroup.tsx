import { lookOf, type Rider } from '@humble/core';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Link from 'lucide-react-native/icons/link';
import Lock from 'lucide-react-native/icons/lock';
import LockOpen from 'lucide-react-native/icons/lock-open';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { addPart } from '../../../commands/parts';
import { riderChosen } from '../../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { ActionRow } from '../../../ui/ActionRow';
import { IconButton } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { SortableList } from '../../../ui/SortableList';
import { Words } from '../../../ui/Words';
import { figuresWords } from '../../../words/figures';
import { partsWords as words } from '../../../words/parts';
import { LookPicture } from '../LookPicture';
import { NoFigureYet } from '../NoFigure';
import { useFigure } from '../useFigure';
import { ChainCard } from './ChainCard';
import { PartFields } from './PartFields';
import { useThrottledEditor } from '../../../store/throttled/hooks';

const PICTURE_PX = 32;

export function PartsGroup() {
  const on = useFigure();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const activeId = useThrottledEditor((editor) => editor.activeRiderId);
  const [isChaining, setChaining] = useState(false);
  if (!on) return <NoFigureYet />;
  const { move, figure } = on;
  const { riders, id: moveId } = move;
  const active = riders.find(({ id }) => id === activeId);
  const frontFirst = [...riders].reverse();
  const named = (id: string): string => riders.find((rider) => rider.id === id)?.name ?? '';
  return (
    <>
      {isChaining && <ChainCard move={move} onDone={() => setChaining(false)} />}
      <Card title={words.parts} aside={words.partCount(riders.length)}>
        <Words tone="soft">{words.partsSentence}</Words>
        <View className="mt-2 min-h-[44px] flex-row items-center gap-3">
          <LookPicture look={lookOf(figure)} size={PICTURE_PX} />
          <Words strong numberOfLines={1} className="min-w-0 shrink">
            {figure.name}
          </Words>
          <Words tone="soft" size="tiny">
            {words.figureItself}
          </Words>
        </View>
        {riders.length > 0 && (
          <View className="ml-4 border-l border-line pl-2">
            <SortableList
              label={words.parts}
              ids={frontFirst.map(({ id }) => id)}
              gripLabel={(id) => figuresWords.dragToReorder(named(id))}
              onMove={(riderId, index) =>
                edit('orderRider', { moveId, riderId, to: riders.length - 1 - index })
              }
              renderRow={(id, grip) => {
                const rider = riders.find((one) => one.id === id);
                return (
                  rider && <PartRow moveId={moveId} rider={rider} grip={grip} isActive={id === active?.id} />
                );
              }}
            />
          </View>
        )}
        <ActionRow
          actions={[
            { label: words.addPart, icon: Plus, onPress: () => void dispatch(addPart()) },
            { label: words.chain, icon: Link, onPress: () => setChaining(!isChaining) },
            {
              label: words.removeAll,
              icon: Trash,
              disabled: riders.length === 0,
              onPress: () => {
                edit('clearRiders', { moveId });
                dispatch(riderChosen(null));
              },
            },
          ]}
        />
      </Card>
      {active && <PartFields key={active.id} moveId={moveId} rider={active} riders={riders} />}
    </>
  );
}

export function PartsSummary() {
  const count = useFigure()?.move.riders.length ?? 0;
  return <Words tone="soft">{count === 0 ? words.noParts : words.partCount(count)}</Words>;
}

interface PartRowProps {
  readonly moveId: string;
  readonly rider: Rider;
  readonly grip: ReactNode;
  readonly isActive: boolean;
}

function PartRow({ moveId, rider, grip, isActive }: PartRowProps) {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { text } = useLengths();
  const { id: riderId, name, hidden, locked, follows } = rider;
  const place =
    follows.by === 'frames'
      ? follows.frames < 0
        ? words.framesEarlier(-follows.frames)
        : words.framesLater(follows.frames)
      : follows.distance === 0
        ? words.onTheFigure
        : follows.distance > 0
          ? words.ahead(text(follows.distance))
          : words.behind(text(-follows.distance));
  return (
    <View
      testID={`part-row-${name}`}
      className={`flex-row items-center rounded-large ${isActive ? 'bg-brasswash' : 'bg-card'}`}
    >
      {grip}
      <Pressable
        role="button"
        aria-label={words.workOnPart(name)}
        aria-pressed={isActive}
        onPress={() => dispatch(riderChosen(isActive ? null : riderId))}
        className="min-h-[44px] min-w-0 flex-1 flex-row items-center gap-2"
      >
        <LookPicture look={lookOf(rider)} size={PICTURE_PX} />
        <View className="min-w-0 shrink">
          <Words strong={isActive} numberOfLines={1}>
            {name}
          </Words>
          <Words tone="soft" size="tiny" numberOfLines={1}>
            {place}
          </Words>
        </View>
      </Pressable>
      <IconButton
        label={hidden ? figuresWords.showNamed(name) : figuresWords.hideNamed(name)}
        icon={hidden ? EyeOff : Eye}
        pressed={hidden}
        onPress={() => edit('setRider', { moveId, riderId, hidden: !hidden })}
      />
      <IconButton
        label={locked ? figuresWords.unlockNamed(name) : figuresWords.lockNamed(name)}
        icon={locked ? Lock : LockOpen}
        pressed={locked}
        onPress={() => edit('setRider', { moveId, riderId, locked: !locked })}
      />
    </View>
  );
}
