import { distance, type Figure, type FollowedSpot, lookOf, type Vector } from '@humble/core';
import { spotOnDrawing } from '@humble/core/views';
import Spline from 'lucide-react-native/icons/spline';
import Trash from 'lucide-react-native/icons/trash';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { G, Text } from 'react-native-svg';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import type { RootState } from '../../../store/store';
import { useThrottledStore } from '../../../store/throttled/hooks';
import { circlePath } from '../../../ui/circlePath';
import { makeArcOfTrail } from '../../../commands/trails';
import { useAppDispatch, useAppStore, useEdit } from '../../../store/hooks';
import { IconButton } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { TextField } from '../../../ui/TextField';
import { createUndoGroup } from '../../../ui/undoGroup';
import { useLatest } from '../../../ui/useLatest';
import { Words } from '../../../ui/Words';
import { inbetweenWords as words } from '../../../words/inbetween';
import { fittedLook, LOOK_HEIGHT } from '../fittedLook';
import { LookShapes } from '../LookPicture';

interface SpotsCardProps {
  readonly figure: Figure;
  /** The move that carries it; null while it waits. */
  readonly moveId: string | null;
  /** Set where the spots are those of a part of the figure. */
  readonly riderId?: string;
  /** The drawing that is shown, from 1. */
  readonly drawing: number;
}

const REACH_PX = 18;
const RING_PX = 8;
const DIGITS = 10;
const rounded = ({ x, y }: Vector): Vector => ({
  x: Math.round(x * DIGITS) / DIGITS,
  y: Math.round(y * DIGITS) / DIGITS,
});

/** Spots of a figure, or of one of its parts, that are followed through the shot. */
export function SpotsCard({ figure, moveId, riderId, drawing }: SpotsCardProps) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const of = riderId !== undefined && moveId !== null ? { moveId, riderId } : { figureId: figure.id };
  return (
    <Card title={words.followedSpots} aside={figure.followedSpots.length > 0 ? figure.name : undefined}>
      <SpotEditor figure={figure} of={of} drawing={drawing} />
      {figure.followedSpots.map((spot) => (
        <View key={spot.id} className="mt-2 flex-row items-end gap-1">
          <SpotName spot={spot} onRename={(name) => edit('renameSpot', { ...of, spotId: spot.id, name })} />
          {moveId !== null && (
            <IconButton
              label={words.makeArc(spot.name)}
              icon={Spline}
              onPress={() => void dispatch(makeArcOfTrail(moveId, spot.id, riderId ?? null))}
            />
          )}
          <IconButton
            label={words.unfollow(spot.name)}
            icon={Trash}
            onPress={() => edit('unfollowSpot', { ...of, spotId: spot.id })}
          />
        </View>
      ))}
    </Card>
  );
}

function SpotName({
  spot,
  onRename,
}: {
  readonly spot: FollowedSpot;
  readonly onRename: (name: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (): void => {
    if (typed !== null && typed.trim() !== '' && typed.trim() !== spot.name) onRename(typed.trim());
    setTyped(null);
  };
  return (
    <TextField
      label={words.nameOf(spot.name)}
      value={typed ?? spot.name}
      onChange={setTyped}
      onSubmit={keep}
      onBlur={keep}
      className="min-w-0 flex-1"
    />
  );
}

interface SpotEditorProps extends Pick<SpotsCardProps, 'figure' | 'drawing'> {
  readonly of: { readonly figureId: string } | { readonly moveId: string; readonly riderId: string };
}

/** The figure, or the part, as it is now. */
function figureNow({ shot }: RootState, of: SpotEditorProps['of']): Figure | undefined {
  const { figures = [], moves = [] } = shot.present.shot ?? {};
  return 'figureId' in of
    ? figures.find(({ id }) => id === of.figureId)
    : moves.find(({ id }) => id === of.moveId)?.riders.find(({ id }) => id === of.riderId);
}

function SpotEditor(props: SpotEditorProps) {
  const { figure, drawing } = props;
  const [width, setWidth] = useState(0);
  const edit = useEdit();
  const store = useAppStore();
  const throttled = useThrottledStore();
  const live = useLatest({ ...props, width, edit });
  const drag = useMemo(() => {
    const held = { undoGroup: '', spotId: null as string | null };
    const lastSpotOf = ({ of }: SpotEditorProps): string | null => {
      const spots = figureNow(store.getState(), of)?.followedSpots;
      return spots?.[spots.length - 1]?.id ?? null;
    };
    const put = ({ x, y }: Vector): void => {
      const now = live();
      const at = rounded(fittedLook(lookOf(now.figure, now.drawing), now.width).toLook({ x, y }));
      const place = { drawing: now.drawing, ...at };
      if (held.spotId !== null)
        now.edit('placeSpot', { ...now.of, spotId: held.spotId, place }, held.undoGroup);
      else {
        const name = words.spotName(now.figure.followedSpots.length + 1);
        if (now.edit('followSpot', { ...now.of, place, name }, held.undoGroup)) held.spotId = lastSpotOf(now);
      }
    };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin((at) => {
        const now = live();
        const map = fittedLook(lookOf(now.figure, now.drawing), now.width);
        const near = now.figure.followedSpots.find(
          (spot) => distance(map.toView(spotOnDrawing(now.figure, spot, now.drawing)), at) <= REACH_PX,
        );
        Object.assign(held, { undoGroup: createUndoGroup('spot'), spotId: near?.id ?? null });
        if (!near) put(at);
        throttled.begin();
      })
      .onUpdate((at) => {
        if (Math.hypot(at.translationX, at.translationY) > 2 && held.spotId !== null) put(at);
      })
      .onFinalize(() => throttled.end());
  }, [live, store, throttled]);
  useLiveDrawing();
  const look = lookOf(figure, drawing);
  const map = fittedLook(look, width);
  /** Rings round all spots as they are now: they follow the finger. */
  const rings = (state: RootState): string => {
    const now = figureNow(state, props.of) ?? figure;
    return now.followedSpots
      .map((spot) => circlePath(map.toView(spotOnDrawing(now, spot, drawing)), RING_PX))
      .join('');
  };
  return (
    <>
      <Words tone="soft">{words.spotsSentence}</Words>
      <GestureDetector gesture={drag} touchAction="none">
        <View
          testID="spot-editor"
          role="img"
          aria-label={words.spotEditor}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          style={{ height: LOOK_HEIGHT }}
          className="mt-2 cursor-crosshair rounded-small border border-line bg-ground"
        >
          {width > 0 && (
            <Drawing width={width} height={LOOK_HEIGHT}>
              <G transform={`translate(${map.x} ${map.y}) scale(${map.scale})`}>
                <LookShapes look={look} />
              </G>
              <LivePath path={rings} fill="none" stroke={colour.card} strokeWidth={5} />
              <LivePath path={rings} fill="none" stroke={colour.slate} strokeWidth={2.5} />
              {figure.followedSpots.map((spot) => {
                const at = map.toView(spotOnDrawing(figure, spot, drawing));
                return (
                  <G key={spot.id}>
                    {(['card', 'ink'] as const).map((tone) => (
                      <Text
                        key={tone}
                        x={at.x + 13}
                        y={at.y + 4}
                        fontSize={12}
                        fontFamily={MONO}
                        fill={colour[tone]}
                        stroke={tone === 'card' ? colour.card : undefined}
                        strokeWidth={4}
                      >
                        {spot.name}
                      </Text>
                    ))}
                  </G>
                );
              })}
            </Drawing>
          )}
        </View>
      </GestureDetector>
    </>
  );
}
