import { evaluate, type Travel, travelOfMove } from '@humble/core';
import { ticksOf } from '@humble/core/views';
import { memo, useMemo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { G, Text } from 'react-native-svg';
import { useSettings } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { MONO } from '../../../ui/fonts';
import { usePixel } from '../../../render/pixel';
import { LiveGroup } from '../../../playback/liveShapes';
import { usePointerScene } from '../pointerScene';
import { type ArcGroup, travelsOfGroup } from './arcGroups';
import { visibleTravels } from './arcPaths';
import { NUMBER_AWAY_PX, NUMBER_SIZE_PX, numberedTicks } from './numberedTicks';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectShot } from '../../../store/selectors/active';
import { useThrottledSelector } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

function numberNames(pixel: number): (state: RootState, isDragging: boolean) => string[] {
  let names: string[] | null = null;
  return (state, isDragging) => {
    const shot = selectShot(state);
    if (!shot) return [];
    if (names && isDragging) return names;
    const ticks = visibleTravels(shot, state.editor.soloFigureId).flatMap((travel) =>
      ticksOf(travel, shot)
        .filter(({ isFifth }) => isFifth)
        .map((tick) => ({ ...tick, moveId: travel.move.id })),
    );
    names = numberedTicks(ticks, pixel).map(({ frame, moveId }) => `${frame} ${moveId}`);
    return names;
  };
}

/** Frame numbers follow a drag; which of them there is room for is settled when it ends. */
export const FrameNumbersLayer = memo(function FrameNumbers({ group }: { readonly group: ArcGroup }) {
  const { showsTrail, showsNumbers, guideStrength } = useSettings();
  return showsTrail && showsNumbers ? (
    <G opacity={guideStrength}>
      <Numbers group={group} />
    </G>
  ) : null;
});

function Numbers({ group }: { readonly group: ArcGroup }) {
  const pixel = usePixel();
  const isDragging = usePointerScene((scene) => scene.isDragging);
  const namesOf = useMemo(() => numberNames(pixel), [pixel]);
  const [travelsIn] = useState(() => travelsOfGroup(group));
  const names = useThrottledSelector((state) => {
    // The first ones have the room, so all are looked at together.
    const mine = new Set(travelsIn(state).map(({ move }) => move.id));
    return namesOf(state, isDragging).filter((name) => mine.has(name.slice(name.indexOf(' ') + 1)));
  }, shallowEqual);
  return names.map((name) => {
    const frame = name.slice(0, name.indexOf(' '));
    return <FrameNumber key={name} frame={Number(frame)} moveId={name.slice(frame.length + 1)} />;
  });
}

const FrameNumber = memo(function FrameNumber({
  frame,
  moveId,
}: {
  readonly frame: number;
  readonly moveId: string;
}) {
  const pixel = usePixel();
  // Of several figures a drag moves one: the numbers of the others are not worked out again.
  const besideTick = useMemo(
    () =>
      lruMemoize((travel: Travel): string => {
        if (frame > travel.x.length) return '';
        const heading = (travel.direction[frame - 1]! * Math.PI) / 180;
        const away = NUMBER_AWAY_PX * pixel;
        const x = travel.x[frame - 1]! - Math.sin(heading) * away;
        const y = travel.y[frame - 1]! + Math.cos(heading) * away;
        return `translate(${x.toFixed(1)} ${y.toFixed(1)})`;
      }),
    [frame, pixel],
  );
  const transform = (state: RootState): string => {
    const shot = selectShot(state);
    const travel = shot && travelOfMove(evaluate(shot), moveId);
    return travel ? besideTick(travel) : '';
  };
  const type = {
    y: 4 * pixel,
    fontSize: NUMBER_SIZE_PX * pixel,
    fontFamily: MONO,
    textAnchor: 'middle',
  } as const;
  return (
    <LiveGroup transform={transform} lags="always">
      <Text {...type} fill={colour.field} stroke={colour.field} strokeWidth={3.5 * pixel}>
        {String(frameNumber(frame))}
      </Text>
      <Text {...type} fill={colour.ink}>
        {String(frameNumber(frame))}
      </Text>
    </LiveGroup>
  );
});
