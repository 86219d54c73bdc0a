import type { TrackName } from '@humble/core';
import { memo, useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import { Line, Text } from 'react-native-svg';
import { TRACK_DESCRIPTORS } from '../../../kinds/tracks';
import { currentFrame } from '../../../playback/playhead';
import { createLiveView } from '../../../render/frameScheduler';
import { LiveViewContext } from '../../../render/createLiveShapes';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { InteractiveView } from '../../../interaction/InteractiveView';
import { useAppStore } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import type { Axis } from '../../../ui/axis';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { SANS } from '../../../ui/fonts';
import { figureWords as words } from '../../../words/figure';
import { keyRowsSurface, selectPlacedKeys, type PlacedKey, rowPath } from './keyRows';
import { ROW_PX, selectTracksWithKeys } from './selectTracksWithKeys';
import { useTrackKeys } from './useTrackKeys';
import { useThrottledEditor, useThrottledSelector } from '../../../store/throttled/hooks';

const LIVE_VIEW = createLiveView();

/** The name of a row stands so far behind the start of the arc, where often a key is, pixels. */
const NAME_AFTER_PX = 10;

interface KeyRowsProps {
  readonly axis: Axis;
  readonly width: number;
}

/**
 * The keys of the tracks under the unrolled arc, where the figure is on their frames: a drag takes a key along the arc to
 * another frame. Nothing where no track has keys.
 */
export function KeyRows(on: KeyRowsProps) {
  const tracks = useThrottledSelector(selectTracksWithKeys, shallowEqual);
  if (tracks.length === 0) return null;
  return <Rows tracks={tracks} {...on} />;
}

interface RowsProps extends KeyRowsProps {
  readonly tracks: readonly TrackName[];
}

function Rows({ tracks, axis, width }: RowsProps) {
  const store = useAppStore();
  const selected = useThrottledEditor(({ selectedKeys }) => selectedKeys?.track);
  const track = selected && tracks.includes(selected) ? selected : tracks[0]!;
  const keys = useTrackKeys(track);
  return (
    <InteractiveView
      testID="key-rows"
      label={words.keysAlongTheArc(tracks.map((name) => TRACK_DESCRIPTORS[name].label).join(', '))}
      liveView={LIVE_VIEW}
      surface={keyRowsSurface(store, tracks, axis)}
      keys={keys}
      touchAction="pan-y"
      height={tracks.length * ROW_PX}
      className="cursor-ew-resize will-change-transform"
    >
      {() => <RowsDrawing tracks={tracks} axis={axis} width={width} />}
    </InteractiveView>
  );
}

const RowsDrawing = memo(function RowsDrawing({ tracks, axis, width }: RowsProps) {
  useLiveDrawing();
  return (
    <LiveViewContext value={LIVE_VIEW}>
      <Drawing width={width} height={tracks.length * ROW_PX}>
        {tracks.map((track, row) => (
          <Row key={track} track={track} top={row * ROW_PX} axis={axis} width={width} />
        ))}
      </Drawing>
    </LiveViewContext>
  );
});

interface RowProps extends KeyRowsProps {
  readonly track: TrackName;
  readonly top: number;
}

function Row({ track, top, axis, width }: RowProps) {
  const paths = useMemo(() => {
    const row =
      (isMeant: (placed: PlacedKey, state: RootState) => boolean) =>
      (state: RootState): string =>
        rowPath(
          selectPlacedKeys(state, track).filter((placed) => isMeant(placed, state)),
          axis,
          top,
        );
    return {
      all: row(() => true),
      selected: row(
        ({ key }, { editor: { selectedKeys } }) =>
          selectedKeys?.track === track && selectedKeys.ids.includes(key.id),
      ),
      atPlayhead: row(({ key }) => key.frame === currentFrame()),
    };
  }, [track, axis, top]);
  const post = { strokeWidth: 1.5, stroke: colour.indigo } as const;
  return (
    <>
      <Line
        x1={axis.start}
        x2={width}
        y1={top + ROW_PX - 4.5}
        y2={top + ROW_PX - 4.5}
        stroke={colour.line}
        strokeWidth={1}
      />
      <Text x={axis.start + NAME_AFTER_PX} y={top + 14} fontSize={11} fontFamily={SANS} fill={colour.soft}>
        {TRACK_DESCRIPTORS[track].label}
      </Text>
      <LivePath path={paths.all} fill={colour.card} {...post} testID={`key-row-${track}`} />
      <LivePath path={paths.atPlayhead} fill={colour.brass} strokeWidth={1.5} stroke={colour.brass} />
      <LivePath path={paths.selected} fill={colour.indigo} {...post} testID={`key-row-${track}-selected`} />
    </>
  );
}
