import { applyEdit, evaluate, type Shot, type Travel, travelOfMove, type Vector } from '@humble/core';
import { cornersOf, placementsLeft, standingPictures, tableGrid } from '@humble/core/shoot';
import { lruMemoize } from '@reduxjs/toolkit';
import { G } from 'react-native-svg';
import { currentFrame, isPlaying } from '../../playback/playhead';
import { LivePath } from '../../playback/liveShapes';
import { usePixel } from '../../render/pixel';
import { useSettings } from '../../store/hooks';
import type { ReviewState } from '../../store/reviewSlice';
import { selectActiveMove, selectOpenShot } from '../../store/selectors/active';
import { selectShownInField, selectToldActual } from '../../store/selectors/shooting';
import type { RootState } from '../../store/store';
import { colour } from '../../ui/colour';
import { nextOf } from './next';

const CROSS_PX = 16;
const RING_PX = 9;
const TICK_PX = 7;
const DOT_PX = 3;

const ring = ({ x, y }: Vector, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;

/** A cross-hair where each figure is to stand for the next picture, over the live one. */
function crossHairs(state: RootState, pixel: number): string {
  if (selectShownInField(state, { frame: currentFrame(), isPlaying: isPlaying() }) !== 'live') return '';
  const arm = CROSS_PX * pixel;
  const figures = nextOf(selectOpenShot(state))?.figures ?? [];
  return figures
    .map(
      ({ to: { x, y } }) =>
        `M${x - arm} ${y}h${2 * arm}M${x} ${y - arm}v${2 * arm}${ring({ x, y }, RING_PX * pixel)}`,
    )
    .join('');
}

const standsOf = lruMemoize((shot: Shot, moveId: string): readonly Vector[] =>
  standingPictures(shot).flatMap(({ actuals }) => actuals.find((one) => one.moveId === moveId) ?? []),
);

const selectStands = (state: RootState): readonly Vector[] => {
  const move = selectActiveMove(state);
  return move ? standsOf(selectOpenShot(state), move.id) : [];
};

const line = (places: readonly Vector[]): string =>
  places.length < 2 ? '' : places.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');

const stands = (state: RootState): string => line(selectStands(state));

const dots = (places: readonly Vector[], pixel: number): string =>
  places.map((at) => ring(at, DOT_PX * pixel)).join('');

function toldRing(state: RootState, pixel: number): string {
  const actual = selectToldActual(state, currentFrame());
  return actual ? ring(actual, RING_PX * pixel) : '';
}

const proposedTravel = lruMemoize(
  (
    shot: Shot,
    proposal: NonNullable<ReviewState['proposedReplan']>,
  ): { travel: Travel; left: readonly number[] } | null => {
    const next = applyEdit(shot, { name: 'replan', args: proposal });
    const travel = travelOfMove(evaluate(next), proposal.moveId);
    return travel ? { travel, left: placementsLeft(next).map(({ frame }) => frame) } : null;
  },
);

/** Where the figure would stand on the pictures that are left, if the rest were planned as it is proposed. */
function proposedTicks(state: RootState, pixel: number): string {
  const proposal = state.review.proposedReplan;
  const proposed = proposal && proposedTravel(selectOpenShot(state), proposal);
  if (!proposed) return '';
  const { travel, left } = proposed;
  const arm = TICK_PX * pixel;
  return left
    .map((frame) => {
      const [x, y, deg] = [travel.x[frame - 1]!, travel.y[frame - 1]!, travel.direction[frame - 1]!];
      const angle = ((deg + 90) * Math.PI) / 180;
      const [dx, dy] = [arm * Math.cos(angle), arm * Math.sin(angle)];
      return `M${x - dx} ${y - dy}L${x + dx} ${y + dy}`;
    })
    .join('');
}

function sheetOutline(state: RootState): string {
  if (state.settings.groupInFront.shoot !== 'camera') return '';
  const { perspective } = selectOpenShot(state).shoot;
  return perspective ? `${line(cornersOf(perspective))}Z` : '';
}

const gridOf = lruMemoize((shot: Shot): string =>
  shot.shoot.perspective ? tableGrid(shot.shoot.perspective, shot.field).map(line).join('') : '',
);

/** While the perspective is set up, and where a grid is wanted. */
const tableLines = (state: RootState): string =>
  state.settings.showsGrid || state.settings.groupInFront.shoot === 'camera'
    ? gridOf(selectOpenShot(state))
    : '';

const cornerDots = ({ editor: { tappedCorners } }: RootState, pixel: number): string =>
  dots(tappedCorners, pixel);

/** What stands over the picture of the set. */
export function ShootAids() {
  const pixel = usePixel();
  const { shootGuides } = useSettings();
  return (
    <G>
      <LivePath
        path={tableLines}
        fill="none"
        stroke={colour.brass}
        strokeWidth={pixel}
        strokeOpacity={0.6}
        testID="table-grid"
      />
      <LivePath
        path={sheetOutline}
        fill={colour.brass}
        fillOpacity={0.12}
        stroke={colour.brass}
        strokeWidth={1.5 * pixel}
        testID="sheet-outline"
      />
      <LivePath
        path={(state) => cornerDots(state, pixel)}
        fill={colour.brass}
        stroke={colour.field}
        strokeWidth={pixel}
      />
      {shootGuides === 'all' && (
        <>
          <Cased path={stands} width={1.75} isDashed testID="actual-line" />
          <LivePath
            path={(state) => dots(selectStands(state), pixel)}
            fill={colour.persimmon}
            stroke={colour.field}
            strokeWidth={pixel}
            testID="actual-dots"
          />
        </>
      )}
      <Cased path={proposedTicks} width={2.5} testID="proposed-ticks" />
      {shootGuides !== 'none' && <Cased path={crossHairs} width={2} testID="cross-hair" />}
      <Cased path={toldRing} width={2} isDashed testID="actual-ring" />
    </G>
  );
}

interface CasedProps {
  readonly path: (state: RootState, pixel: number) => string;
  /** Pixels. */
  readonly width: number;
  readonly isDashed?: boolean;
  readonly testID: string;
}

/** A line of what really is, with an outline in the contrary tone, so that it reads on any picture. */
function Cased({ path, width, isDashed = false, testID }: CasedProps) {
  const pixel = usePixel();
  const drawn = (state: RootState): string => path(state, pixel);
  return (
    <>
      <LivePath
        path={drawn}
        fill="none"
        stroke={colour.field}
        strokeWidth={2.4 * width * pixel}
        strokeOpacity={0.7}
      />
      <LivePath
        path={drawn}
        fill="none"
        stroke={colour.persimmon}
        strokeWidth={width * pixel}
        strokeDasharray={isDashed ? [5 * pixel, 4 * pixel].join(' ') : undefined}
        testID={testID}
      />
    </>
  );
}
