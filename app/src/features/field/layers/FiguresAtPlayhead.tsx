import { evaluate, scaleOn, STAND_INS, type StandInName, standInTransform, type Travel } from '@humble/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { Circle, G, Path } from 'react-native-svg';
import { activeMoveIn, useThrottledSelector } from '../../../store/hooks';
import { currentFrame } from '../../../playback/playhead';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { LiveGroup, usePixel } from '../../../render/livePaths';
import { currentScene } from '../scene';
import { TONES } from './Ghosts';

const travelOf = (state: RootState, moveId: string): Travel | undefined => {
  const { shot } = state.shot.present;
  return shot ? evaluate(shot).travels.find(({ move }) => move.id === moveId) : undefined;
};

/** The frame that is seen at the playhead. */
const seenFrame = ({ shown }: Travel): number => shown[Math.min(currentFrame(), shown.length) - 1]!;

/** What is acted out by hand does not play meanwhile: its outline follows the pointer. */
const isActedNow = (state: RootState, moveId: string): boolean =>
  currentScene().acting !== null && state.editor.actsFor === 'this' && activeMoveIn(state)?.id === moveId;

const NOWHERE = 'scale(0)';

/** The transform that puts a figure where it stands at the playhead. */
function standing(travel: Travel | undefined): string {
  if (!travel) return '';
  const { figure, x, y, heading } = travel;
  const i = seenFrame(travel) - 1;
  return standInTransform(
    STAND_INS[figure.artwork.standIn],
    figure.height,
    { x: x[i]!, y: y[i]! },
    heading[i]!,
    scaleOn(travel, i),
  );
}

/** How far it covers what lies beneath it, 0 to 1. */
const opacityOf = (travel: Travel | undefined): number =>
  travel ? travel.tracks.opacity[seenFrame(travel) - 1]! / 100 : 1;

function pivot(travel: Travel | undefined): string {
  if (!travel) return '';
  const i = seenFrame(travel) - 1;
  return `translate(${travel.x[i]!} ${travel.y[i]!})`;
}

/** Each move as “stand-in height id”. */
const figureNames = ({ shot }: RootState): string[] => {
  const { figures = [], moves = [] } = shot.present.shot ?? {};
  return moves.map(({ id, figureId }) => {
    const figure = figures.find((candidate) => candidate.id === figureId);
    return `${figure?.artwork.standIn ?? 'peg'} ${figure?.height ?? 1} ${id}`;
  });
};

/** All figures where they are seen at the playhead, with their pivots. */
export const FiguresAtPlayhead = memo(function FiguresAtPlayhead() {
  const names = useThrottledSelector(figureNames, shallowEqual);
  return names.map((name) => {
    const [standIn, height] = name.split(' ', 2);
    const moveId = name.slice(standIn!.length + height!.length + 2);
    return (
      <FigureAtPlayhead
        key={moveId}
        moveId={moveId}
        standIn={standIn as StandInName}
        height={Number(height)}
      />
    );
  });
});

interface FigureProps {
  readonly moveId: string;
  readonly standIn: StandInName;
  readonly height: number;
}

function FigureAtPlayhead({ moveId, standIn, height }: FigureProps) {
  const pixel = usePixel();
  const { silhouette, details, height: drawnHeight } = STAND_INS[standIn];
  // An outline of an even width, in units of the stand-in's own drawing.
  const outline = (1.5 * pixel * drawnHeight) / height;
  return (
    <G>
      <LiveGroup
        transform={(state) => (isActedNow(state, moveId) ? NOWHERE : standing(travelOf(state, moveId)))}
        opacityIn={(state) => opacityOf(travelOf(state, moveId))}
        testID="figure"
      >
        <Path d={silhouette} fill={colour.ink} stroke={colour.field} strokeWidth={outline} />
        {details.map(({ d, tone }) => (
          <Path key={d} d={d} fill={TONES[tone]} />
        ))}
      </LiveGroup>
      <LiveGroup
        transform={(state) => (isActedNow(state, moveId) ? NOWHERE : pivot(travelOf(state, moveId)))}
      >
        <Circle r={3.5 * pixel} fill={colour.brass} stroke={colour.field} strokeWidth={1.25 * pixel} />
      </LiveGroup>
    </G>
  );
}
