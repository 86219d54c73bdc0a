import { MAX_NAME_LENGTH, type Rider } from '@humble/core';
import type { OfPart, SetPart } from './ofPart';
import Trash from 'lucide-react-native/icons/trash';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { useRef } from 'react';
import { View } from 'react-native';
import { releasePart } from '../../../commands/parts';
import { riderChosen } from '../../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { ActionRow } from '../../../ui/ActionRow';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { TextField } from '../../../ui/TextField';
import { Toggle } from '../../../ui/Toggle';
import { useIntoView } from '../../../ui/useIntoView';
import { Words } from '../../../ui/Words';
import { partsWords as words } from '../../../words/parts';
import { SpotsCard } from '../inbetween/SpotsCard';
import { PartLook } from './PartLook';
import { useThrottledMove, useThrottledShotValue } from '../../../store/throttled/hooks';

const MAX_COORDINATE = 1e6;
const MAX_FRAMES = 2000;

const FOLLOWS = [
  { value: 'distance', label: words.byDistance },
  { value: 'frames', label: words.byFrames },
] as const;
const RIDES = [
  { value: 'travels', label: words.travels },
  { value: 'looks', label: words.looks },
] as const;
const PAST_ENDS = [
  { value: 'stay', label: words.stays },
  { value: 'straight', label: words.carriesOn },
] as const;
const ON_SECOND = [
  { value: 'share', label: words.byShare },
  { value: 'nearest', label: words.byNearest },
] as const;

interface PartFieldsProps {
  readonly moveId: string;
  readonly rider: Rider;
  readonly riders: readonly Rider[];
}

export function PartFields({ moveId, rider, riders }: PartFieldsProps) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { id: riderId, follows } = rider;
  const set = (some: Partial<Omit<Rider, 'id'>>, undoGroup?: string): void => {
    edit('setRider', { moveId, riderId, ...some }, undoGroup);
  };
  const view = useRef<View>(null);
  useIntoView(view, true, 'start');
  return (
    <>
      <View ref={view} className="scroll-mt-28" />
      <Card title={rider.name} isActive>
        <FollowFields follows={follows} onChange={set} />
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.rides}</Words>
          <Segmented
            label={words.rides}
            value={rider.rides}
            options={RIDES}
            onChange={(rides) => set({ rides })}
          />
          {rider.rides === 'looks' && <Words tone="soft">{words.looksSentence}</Words>}
        </View>
        <PlaceFields rider={rider} set={set} />
        <ArcFields rider={rider} set={set} />
      </Card>
      <PartLook moveId={moveId} rider={rider} set={set} />
      <SpotsCard figure={rider} moveId={moveId} riderId={rider.id} drawing={1} />
      <Card title={words.partName}>
        <TextField
          label={words.partName}
          value={rider.name}
          onChange={(name) => name.trim() && set({ name: name.slice(0, MAX_NAME_LENGTH) })}
        />
        <Pairing moveId={moveId} rider={rider} riders={riders} />
        <ActionRow
          actions={[
            {
              label: words.letGo,
              icon: UserPlus,
              onPress: () => void dispatch(releasePart(riderId)),
            },
            {
              label: words.removePart,
              icon: Trash,
              onPress: () => {
                edit('removeRider', { moveId, riderId });
                dispatch(riderChosen(null));
              },
            },
          ]}
        />
      </Card>
    </>
  );
}

function FollowFields({
  follows,
  onChange,
}: {
  readonly follows: Rider['follows'];
  readonly onChange: SetPart;
}) {
  const { field: length } = useLengths();
  return (
    <View className="gap-1">
      <Words tone="soft">{words.follows}</Words>
      <Segmented
        label={words.follows}
        value={follows.by}
        options={FOLLOWS}
        onChange={(by) => onChange({ follows: by === 'distance' ? { by, distance: 0 } : { by, frames: 2 } })}
      />
      {follows.by === 'distance' ? (
        <NumberField
          {...length({
            label: words.distanceAhead,
            value: follows.distance,
            min: -MAX_COORDINATE,
            max: MAX_COORDINATE,
            step: 5,
            onChange: (distance, undoGroup) => onChange({ follows: { by: 'distance', distance } }, undoGroup),
          })}
        />
      ) : (
        <NumberField
          label={words.framesAfter}
          value={follows.frames}
          min={-MAX_FRAMES}
          max={MAX_FRAMES}
          onChange={(frames, undoGroup) => onChange({ follows: { by: 'frames', frames } }, undoGroup)}
        />
      )}
    </View>
  );
}

function PlaceFields({ rider, set }: OfPart) {
  const { field: length } = useLengths();
  const { offset } = rider;
  const range = { min: -MAX_COORDINATE, max: MAX_COORDINATE };
  return (
    <>
      <NumberPair
        pair={[
          length({
            ...range,
            label: words.forward,
            value: offset.x,
            onChange: (x, undoGroup) => set({ offset: { ...offset, x } }, undoGroup),
          }),
          length({
            ...range,
            label: words.sideways,
            value: offset.y,
            onChange: (y, undoGroup) => set({ offset: { ...offset, y } }, undoGroup),
          }),
        ]}
      />
      <NumberPair
        pair={[
          {
            label: words.size,
            unit: '%',
            value: rider.sizePercent,
            min: 0.1,
            max: 10_000,
            step: 5,
            decimals: 2,
            onChange: (sizePercent, undoGroup) => set({ sizePercent }, undoGroup),
          },
          {
            label: words.opacity,
            unit: '%',
            value: rider.opacityPercent,
            min: 0,
            max: 100,
            step: 5,
            onChange: (opacityPercent, undoGroup) => set({ opacityPercent }, undoGroup),
          },
        ]}
      />
      <NumberField
        label={words.facing}
        unit="°"
        value={rider.correctionDeg}
        min={-360}
        max={360}
        step={15}
        onChange={(correctionDeg, undoGroup) => set({ correctionDeg }, undoGroup)}
      />
      <Toggle label={words.inFront} value={rider.inFront} onChange={(inFront) => set({ inFront })} />
    </>
  );
}

function ArcFields({ rider, set }: OfPart) {
  const move = useThrottledMove();
  const arcs = useThrottledShotValue((shot) => shot.arcs);
  const arc = arcs.find(({ id }) => id === (rider.arcId ?? move?.arcId));
  const others = arcs.filter(({ id }) => id !== move?.arcId);
  return (
    <>
      {arc && !arc.closed && (
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.offEnds}</Words>
          <Segmented
            label={words.offEnds}
            value={rider.pastEnds}
            options={PAST_ENDS}
            onChange={(pastEnds) => set({ pastEnds })}
          />
        </View>
      )}
      {others.length > 0 && (
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.secondArc}</Words>
          <Segmented
            label={words.secondArc}
            value={rider.arcId ?? ''}
            options={[
              { value: '', label: words.sameArc },
              ...others.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(id) => set({ arcId: id === '' ? null : id })}
          />
        </View>
      )}
      {rider.arcId !== null && (
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.where}</Words>
          <Segmented
            label={words.where}
            value={rider.onSecond}
            options={ON_SECOND}
            onChange={(onSecond) => set({ onSecond })}
          />
        </View>
      )}
    </>
  );
}

function Pairing({ moveId, rider, riders }: PartFieldsProps) {
  const edit = useEdit();
  const others = riders.filter(
    (one) => one !== rider && Math.sign(one.offset.y) === -Math.sign(rider.offset.y),
  );
  if (rider.offset.y === 0 || others.length === 0) return null;
  return (
    <View className="mt-2 gap-1">
      <Words tone="soft">{words.pairSentence}</Words>
      <View className="flex-row flex-wrap gap-2">
        {others.map(({ id, name }) => (
          <Button
            key={id}
            label={`${words.pairWith} ${name}`}
            onPress={() => edit('pairRiders', { moveId, riderIds: [rider.id, id] })}
          />
        ))}
      </View>
    </View>
  );
}
