import { figureWords as words } from '../../../words/figure';
import type { TrackName } from '@humble/core';
import { memo, useMemo, useState } from 'react';
import { Line, Text } from 'react-native-svg';
import { TRACK_DESCRIPTORS } from '../../../kinds/tracks';
import { currentFrame } from '../../../playback/playhead';
import { createLiveView } from '../../../render/frameScheduler';
import { LiveViewContext } from '../../../render/createLiveShapes';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { throttledStoreOf } from '../../../store/throttled/throttledStore';
import { InteractiveView } from '../../../interaction/InteractiveView';
import { useAppStore } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { at } from '../../../ui/axis';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import { selectTrack } from './selectTrack';
import { keysPath, shownRange, type TrackAxes, valuesPath } from './trackPaths';
import { trackSurface } from './trackTargets';
import { useTrackKeys } from './useTrackKeys';
import { lruMemoize } from '@reduxjs/toolkit';
import { useThrottledShotValue, useThrottledSelector } from '../../../store/throttled/hooks';

const HEIGHT = 112;
/** Room for the scale on the left, and for a key on the last frame on the right, pixels. */
const LEFT = 48;
const RIGHT = 14;
const LIVE_VIEW = createLiveView();

/**
 * A track over time: its values as a line, its keys as small posts to drag in time and value. Page keys go from key to
 * key; Alt with the arrows nudges the key at the playhead, Delete takes it out.
 */
export function TrackStrip({ track }: { readonly track: TrackName }) {
  const store = useAppStore();
  const [width, setWidth] = useState(0);
  const { label, leastShown } = TRACK_DESCRIPTORS[track];
  const lastFrame = useThrottledShotValue((shot) => shot.lengthFrames);
  const keyCount = useThrottledSelector((state) => selectTrack(state, track)?.keys.length ?? 0);
  const [rangeOf] = useState(() => restingRange(store, leastShown));
  const from = useThrottledSelector((state) => rangeOf(state, track).from);
  const to = useThrottledSelector((state) => rangeOf(state, track).to);
  const axes = useMemo(
    (): TrackAxes => ({
      time: { from: 1, to: lastFrame, start: LEFT, end: Math.max(LEFT + 1, width - RIGHT) },
      value: { from, to, start: HEIGHT, end: 0 },
    }),
    [from, to, lastFrame, width],
  );
  const keys = useTrackKeys(track);
  return (
    <InteractiveView
      testID={`track-${track}`}
      label={words.overFrames(label, lastFrame, keyCount === 1 ? words.oneKey : words.keyCount(keyCount))}
      liveView={LIVE_VIEW}
      surface={trackSurface(store, track, axes)}
      keys={keys}
      height={HEIGHT}
      onWidth={setWidth}
      className="mt-2 cursor-crosshair rounded-small border border-line bg-ground will-change-transform"
    >
      {() => <StripDrawing track={track} axes={axes} width={width} />}
    </InteractiveView>
  );
}

/** The range of a strip; it rests while something is held, so that the pointer stays where it is. */
function restingRange(store: ReturnType<typeof useAppStore>, leastShown: number) {
  let range = { from: 0, to: 1 };
  let isNew = true;
  const work = lruMemoize((values: Float64Array) => shownRange(values, leastShown));
  return (state: RootState, track: TrackName): typeof range => {
    const values = selectTrack(state, track)?.values;
    if (values && (isNew || !throttledStoreOf(store).isThrottling())) range = work(values);
    isNew = false;
    return range;
  };
}

interface StripDrawingProps {
  readonly track: TrackName;
  readonly axes: TrackAxes;
  readonly width: number;
}

const StripDrawing = memo(function StripDrawing({ track, axes, width }: StripDrawingProps) {
  useLiveDrawing();
  const { unit } = TRACK_DESCRIPTORS[track];
  const paths = useMemo(() => {
    const values = lruMemoize((now: Float64Array) => valuesPath(now, axes));
    return {
      values: (state: RootState): string => {
        const now = selectTrack(state, track);
        return now ? values(now.values) : '';
      },
      keys: (state: RootState): string => keysPath(selectTrack(state, track)?.keys ?? [], axes),
      selected: (state: RootState): string => {
        const { selectedKeys } = state.editor;
        const keys = selectTrack(state, track)?.keys ?? [];
        return selectedKeys?.track === track
          ? keysPath(
              keys.filter(({ id }) => selectedKeys.ids.includes(id)),
              axes,
            )
          : '';
      },
      keyAtPlayhead: (state: RootState): string =>
        keysPath(selectTrack(state, track)?.keys.filter(({ frame }) => frame === currentFrame()) ?? [], axes),
      playhead: (): string => `M${at(axes.time, currentFrame()).toFixed(1)} 0V${HEIGHT}`,
    };
  }, [track, axes]);
  const { from, to } = axes.value;
  const zero = at(axes.value, 0);
  return (
    <LiveViewContext value={LIVE_VIEW}>
      <Drawing width={width} height={HEIGHT}>
        <Line x1={LEFT - 8} x2={width} y1={zero} y2={zero} stroke={colour.line} strokeWidth={1} />
        {[to, from].map((value, i) => (
          <Text
            key={i}
            x={4}
            y={i === 0 ? 13 : HEIGHT - 5}
            fontSize={11}
            fontFamily={MONO}
            fill={colour.soft}
          >
            {`${fixed(value, 0)}${unit}`}
          </Text>
        ))}
        <LivePath path={paths.playhead} stroke={colour.brass} strokeWidth={1.5} />
        <LivePath
          path={paths.values}
          stroke={colour.indigo}
          strokeWidth={2}
          fill="none"
          testID="track-values"
        />
        <LivePath
          path={paths.keys}
          fill={colour.card}
          stroke={colour.indigo}
          strokeWidth={1.75}
          testID="track-keys"
        />
        <LivePath path={paths.selected} fill={colour.indigo} stroke={colour.indigo} strokeWidth={3} />
        <LivePath path={paths.keyAtPlayhead} fill={colour.brass} stroke={colour.brass} strokeWidth={1.75} />
      </Drawing>
    </LiveViewContext>
  );
});
