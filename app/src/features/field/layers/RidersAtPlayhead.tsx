import { drawingOfRider, lookOf, type Rider, svgMatrix } from '@humble/core';
import { type PartOn } from '@humble/core/views';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { ClipPath, Defs, G, Image, Rect } from 'react-native-svg';
import { pictureAddress } from '../../../persistence/pictures';
import type { Lag } from '../../../render/frameScheduler';
import { LiveGroup, LivePath } from '../../../playback/liveShapes';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { ArtworkLayer, useDrawingNumber, useDrawings } from './Artwork';
import { selectIsActedNow, selectSeenFrame, selectSeenParts, selectTravel } from './partsAtPlayhead';
import { useThrottledEditor, useThrottledSelector } from '../../../store/throttled/hooks';

const NOWHERE = 'scale(0)';
const NONE: readonly Rider[] = [];

interface RidersProps {
  readonly figureId: string;
  readonly inFront: boolean;
}

export const RidersAtPlayhead = memo(function RidersAtPlayhead({ figureId, inFront }: RidersProps) {
  const riders = useThrottledSelector(
    (state) =>
      selectTravel(state, figureId)?.move.riders.filter(
        (rider) => rider.inFront === inFront && !rider.hidden,
      ) ?? NONE,
    shallowEqual,
  );
  const heldId = useThrottledEditor(({ activeRiderId }) => activeRiderId);
  // Asked for all of them at once: of a long chain each would look for itself.
  const heights = useThrottledSelector((state) => heightsOf(state, figureId), shallowEqual);
  return riders.map((rider) =>
    rider.bends ? (
      <BentRider key={rider.id} rider={rider} figureId={figureId} />
    ) : (
      <StraightRider
        key={rider.id}
        rider={rider}
        figureId={figureId}
        height={heights[rider.id] ?? rider.height}
        lags={rider.id === heldId ? 'never' : 'when-late'}
      />
    ),
  );
});

interface RiderProps {
  readonly figureId: string;
  readonly rider: Rider;
}

interface StraightRiderProps extends RiderProps {
  /** In the field where the figure is 100 %, units. */
  readonly height: number;
  readonly lags: Lag;
}

function partOf(state: RootState, { figureId, rider }: RiderProps): PartOn | null {
  const travel = selectIsActedNow(state, figureId) ? undefined : selectTravel(state, figureId);
  return (travel && selectSeenParts(state, travel).get(rider.id)) ?? null;
}

function drawingIn(state: RootState, { figureId, rider }: RiderProps): number {
  const travel = selectTravel(state, figureId);
  const ridden = travel?.riders.find((one) => one.rider.id === rider.id);
  return travel && ridden ? drawingOfRider(ridden, travel, selectSeenFrame(state, travel)) : 1;
}

const heightsOf = (state: RootState, figureId: string): Readonly<Record<string, number>> =>
  Object.fromEntries(
    selectTravel(state, figureId)?.riders.map(({ rider, height }) => [rider.id, height]) ?? [],
  );

function StraightRider({ height, lags, ...props }: StraightRiderProps) {
  return (
    <LiveGroup
      transform={(state) => {
        const part = partOf(state, props);
        return part ? svgMatrix(part.placement) : NOWHERE;
      }}
      opacityIn={(state) => partOf(state, props)?.opacity ?? 1}
      lags={lags}
      testID="rider"
    >
      <ArtworkLayer figure={props.rider} drawingIn={(state) => drawingIn(state, props)} height={height} />
    </LiveGroup>
  );
}

/** A part whose picture is bent along the arc: its slices one beside the other, or its outline. */
function BentRider(props: RiderProps) {
  const { rider, figureId } = props;
  const drawing = useDrawingNumber((state) => drawingIn(state, props));
  const isMissing = useDrawings(rider);
  const count = useThrottledSelector((state) => partOf(state, props)?.slices?.length ?? 0);
  const { picture, width, height } = lookOf(rider, drawing);
  if (!picture || isMissing)
    return (
      <LivePath
        path={(state) => partOf(state, props)?.look.silhouette ?? ''}
        fill={colour.ink}
        testID="bent-rider"
      />
    );
  const sliceWidth = width / Math.max(1, count);
  const name = `bent-${figureId}-${rider.id}`;
  return (
    <G testID="bent-rider">
      <Defs>
        {Array.from({ length: count }, (_, k) => (
          <ClipPath key={k} id={`${name}-${k}`}>
            {/* A little over the edge, so that no gap shows where slices fan out. */}
            <Rect
              x={(k - SLICE_OVERLAP) * sliceWidth}
              width={(1 + 2 * SLICE_OVERLAP) * sliceWidth}
              height={height}
            />
          </ClipPath>
        ))}
      </Defs>
      {Array.from({ length: count }, (_, k) => (
        <LiveGroup
          key={k}
          transform={(state) => {
            const slice = partOf(state, props)?.slices?.[k];
            return slice ? svgMatrix(slice.placement) : NOWHERE;
          }}
          opacityIn={(state) => partOf(state, props)?.opacity ?? 1}
        >
          <Image
            href={pictureAddress(picture.sha256)}
            width={width}
            height={height}
            preserveAspectRatio="none"
            clipPath={`url(#${name}-${k})`}
          />
        </LiveGroup>
      ))}
    </G>
  );
}

/** Share of a slice that lies over its neighbour. */
const SLICE_OVERLAP = 0.04;
