import { beginsExposure, evaluate, exposureFrames, measureArc, placeAt, type Travel } from '@humble/core';
import { memo, useMemo } from 'react';
import { G } from 'react-native-svg';
import { useSession, useSettings } from '../../../state/hooks';
import { LivePath, memoizeLast, usePixel } from '../../../state/live';
import { activeTravelIn } from '../../../state/selection';
import type { RootState } from '../../../state/store';
import { chosenIn, type WhereAndWhen } from '../../../state/timing';
import { colour } from '../../../ui/colour';
import { postPath, visibleTravels } from './arcPaths';

/** The posts of the marks of a move on its arc. */
function postsOf(
  { move, arc, arcLength }: Travel,
  pixel: number,
  isMeant: (markId: string) => boolean,
): string {
  return move.marks
    .filter(({ id }) => isMeant(id))
    .map(({ fraction, kind }) => {
      const { x, y, headingDeg } = placeAt(arc, fraction * arcLength);
      const turn = (headingDeg * Math.PI) / 180;
      return postPath({ x, y, acrossX: -Math.sin(turn), acrossY: Math.cos(turn) }, kind, pixel);
    })
    .join('');
}

/** How finely a chosen stretch is followed. */
const STRETCH_STEPS = 64;

function stretchPath({ arc, arcLength }: Travel, { stretch }: WhereAndWhen): string {
  if (measureArc(arc).length === 0) return '';
  const { from, to } = stretch;
  const steps = Math.max(2, Math.ceil((STRETCH_STEPS * (to - from)) / (arcLength || 1)));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const { x, y } = placeAt(arc, from + ((to - from) * i) / steps);
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
  }).join('');
}

const LOZENGE_PX = 7;

/** Where something was put off the plan, and a line from where the plan has it. */
function byHandPaths({ move, x, y }: Travel, pixel: number): { lozenges: string; lines: string } {
  const r = LOZENGE_PX * pixel;
  const put = move.overrides.filter(({ frame }) => frame <= x.length && beginsExposure(move, frame));
  return {
    lozenges: put
      .map(({ frame }) => `M${x[frame - 1]! - r} ${y[frame - 1]}l${r} ${-r}l${r} ${r}l${-r} ${r}z`)
      .join(''),
    lines: put
      .map(({ frame, dx, dy }) => `M${x[frame - 1]! - dx} ${y[frame - 1]! - dy}l${dx} ${dy}`)
      .join(''),
  };
}

const CROSS_PX = 5;

/** What is left out: a cross where each picture would have been. */
function skippedCrosses({ move, arc, arcLength, x, y }: Travel, pixel: number): string {
  const frames = new Set(exposureFrames(move, x.length));
  const r = CROSS_PX * pixel;
  return move.skips
    .flatMap(({ frame, cut }) => {
      if (cut) return [placeAt(arc, cut.fraction * arcLength)];
      return frames.has(frame) ? [{ x: x[frame - 1]!, y: y[frame - 1]! }] : [];
    })
    .map((at) => `M${at.x - r} ${at.y - r}l${2 * r} ${2 * r}m0 ${-2 * r}l${-2 * r} ${2 * r}`)
    .join('');
}

/** What follows by itself of the timing on the arcs. */
function livePaths(pixel: number) {
  const active = (work: (travel: Travel) => string) => {
    const kept = memoizeLast(work);
    return (state: RootState): string => {
      const travel = activeTravelIn(state);
      return travel && !travel.arc.hidden ? kept(travel) : '';
    };
  };
  const all = memoizeLast((travels: readonly Travel[]) =>
    travels.map((travel) => postsOf(travel, pixel, () => true)).join(''),
  );
  const selected = memoizeLast((travel: Travel, ids: readonly string[]) =>
    ids.length > 0 ? postsOf(travel, pixel, (id) => ids.includes(id)) : '',
  );
  const stretch = memoizeLast(stretchPath);
  return {
    posts: (state: RootState): string => {
      const { shot } = state.shot.present;
      return shot && evaluate(shot).travels.length > 0 ? all(visibleTravels(shot)) : '';
    },
    selected: (state: RootState): string => {
      const travel = activeTravelIn(state);
      return travel && !travel.arc.hidden ? selected(travel, state.editor.selectedMarkIds) : '';
    },
    chosen: (state: RootState): string => {
      const travel = activeTravelIn(state);
      const chosen = chosenIn(state);
      return travel && chosen && !travel.arc.hidden ? stretch(travel, chosen) : '';
    },
    lozenges: active((travel) => byHandPaths(travel, pixel).lozenges),
    lines: active((travel) => byHandPaths(travel, pixel).lines),
    skipped: active((travel) => skippedCrosses(travel, pixel)),
  };
}

/** The stretch that was chosen, beneath the arcs. */
export function ChosenStretch() {
  const pixel = usePixel();
  const paths = useMemo(() => livePaths(pixel), [pixel]);
  const isArcStep = useSession((session) => session.step === 'arc');
  if (isArcStep) return null;
  return (
    <LivePath
      path={paths.chosen}
      fill="none"
      stroke={colour.brass}
      strokeOpacity={0.35}
      strokeWidth={14 * pixel}
      strokeLinecap="round"
      testID="chosen-stretch"
    />
  );
}

/** The marks of all moves on their arcs, what is left out and what is put by hand; outside the Arc step. */
export const Marks = memo(function Marks() {
  const pixel = usePixel();
  const isArcStep = useSession((session) => session.step === 'arc');
  const { showsTrail } = useSettings();
  const paths = useMemo(() => livePaths(pixel), [pixel]);
  if (isArcStep || !showsTrail) return null;
  return (
    <G>
      <LivePath path={paths.posts} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath
        path={paths.posts}
        fill="none"
        stroke={colour.ink}
        strokeWidth={2.5 * pixel}
        testID="mark-posts"
      />
      <LivePath
        path={paths.selected}
        fill="none"
        stroke={colour.brass}
        strokeWidth={5.5 * pixel}
        testID="selected-posts"
      />
      <LivePath path={paths.skipped} fill="none" stroke={colour.field} strokeWidth={3.5 * pixel} />
      <LivePath
        path={paths.skipped}
        fill="none"
        stroke={colour.soft}
        strokeWidth={1.5 * pixel}
        testID="skipped-crosses"
      />
      <LivePath
        path={paths.lines}
        fill="none"
        stroke={colour.persimmon}
        strokeWidth={1.5 * pixel}
        strokeDasharray={`${4 * pixel} ${3 * pixel}`}
      />
      <LivePath
        path={paths.lozenges}
        fill={colour.field}
        stroke={colour.persimmon}
        strokeWidth={2 * pixel}
        testID="by-hand"
      />
    </G>
  );
});
