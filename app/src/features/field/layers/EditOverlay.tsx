import { pathData, placeAt, type PointShape, type Vector } from '@humble/core';
import { memo, useState } from 'react';
import { Circle, G, Rect } from 'react-native-svg';
import { activeArcIn, useThrottledSelector, useEditor, useSession } from '../../../state/hooks';
import { placedShape } from '../../../state/placing';
import { aboutIn, chosenDistance } from '../../../state/selection';
import { sketchedShape } from '../../../state/sketch';
import type { RootState } from '../../../state/store';
import { colour } from '../../../ui/colour';
import type { SelectionGrip } from '../selectionBox';
import { LiveGroup, LivePath, memoizeLast, usePixel } from '../../../state/live';
import { currentScene } from '../scene';

/** What is being made, selected or measured: on top of everything, for as long as the hand is at it. */

const polyline = (places: readonly Vector[]): string =>
  places.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

const pathThrough = (points: readonly PointShape[], closed = false): string => pathData({ points, closed });

export const EditOverlay = memo(function AtHand({ grips }: { readonly grips: GripsOf }) {
  const isArcStep = useSession((session) => session.step === 'arc');
  if (!isArcStep) return <Stroke />;
  return (
    <G>
      <SketchPreview />
      <Placed />
      <SelectedPlace />
      <FrameAround grips={grips} />
      <RulerLine />
      <Centre />
      <SnapGuides />
      <Stroke />
    </G>
  );
});

/** The stroke being drawn, the box being opened. */
function Stroke() {
  const pixel = usePixel();
  const marquee = (): string => {
    const box = currentScene().marquee;
    return box ? `M${box.from.x} ${box.from.y}H${box.to.x}V${box.to.y}H${box.from.x}Z` : '';
  };
  return (
    <G>
      <LivePath
        path={() => polyline(currentScene().stroke)}
        fill="none"
        stroke={colour.indigo}
        strokeWidth={2 * pixel}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      <LivePath
        path={marquee}
        testID="marquee"
        fill={colour.brass}
        fillOpacity={0.12}
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
      />
    </G>
  );
}

/** A stroke that waits to be kept: the stroke faintly, and the arc that it would be. */
function SketchPreview() {
  const pixel = usePixel();
  const hasSketch = useEditor(({ sketch }) => sketch !== null && sketch.undoGroup === null);
  const [shape] = useState(() =>
    memoizeLast((points: readonly PointShape[] | null, closed: boolean, size: number) => ({
      line: points ? pathThrough(points, closed) : '',
      dots: dots(points ?? [], size),
    })),
  );
  if (!hasSketch) return null;
  const stroke = ({ editor }: RootState): string => polyline(editor.sketch?.samples ?? []);
  const wanted = (state: RootState) => {
    const drawn = sketchedShape(state);
    return shape(drawn?.points ?? null, drawn?.closed ?? false, pixel);
  };
  const line = (state: RootState): string => wanted(state).line;
  return (
    <G>
      <LivePath path={stroke} fill="none" stroke={colour.soft} strokeWidth={5 * pixel} opacity={0.25} />
      <LivePath path={line} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath
        path={line}
        testID="sketch"
        fill="none"
        stroke={colour.brass}
        strokeWidth={2.25 * pixel}
        strokeLinecap="round"
      />
      <LivePath path={(state) => wanted(state).dots} fill={colour.brass} />
    </G>
  );
}

function dots(points: readonly PointShape[], pixel: number): string {
  const half = 3 * pixel;
  return points.map(({ x, y }) => `M${x - half} ${y - half}h${2 * half}v${2 * half}h${-2 * half}z`).join('');
}

/** The arc placed point by point so far, and where it would go on to. */
function Placed() {
  const pixel = usePixel();
  const placed = useEditor((hand) => (hand.tool === 'points' ? hand.placed : null));
  if (!placed) return null;
  const line = ({ editor }: RootState): string => {
    const { placed } = editor;
    const { pointer, hovered, finger } = currentScene();
    const isAhead = pointer !== null && finger === null && hovered?.kind === 'placing' && placed.length > 0;
    const closes = hovered?.kind === 'placing' && hovered.closes;
    const still = { x: 0, y: 0 };
    const next: PointShape[] =
      isAhead && !closes
        ? [{ ...pointer, in: still, out: still, kind: 'smooth', shaping: placed[0]!.shaping ?? null }]
        : [];
    const points = [...placed, ...next];
    return points.length > 1 ? pathThrough(placedShape(points, closes), closes) : '';
  };
  return (
    <G testID="placed">
      <LivePath path={line} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath path={line} fill="none" stroke={colour.indigo} strokeWidth={2 * pixel} />
      <LivePath
        path={({ editor }) => stems(editor.placed)}
        fill="none"
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
      />
      {placed.map(({ x, y }, i) => (
        <Rect
          key={i}
          testID={`placed-${i + 1}`}
          x={x - 4.5 * pixel}
          y={y - 4.5 * pixel}
          width={9 * pixel}
          height={9 * pixel}
          fill={i === placed.length - 1 ? colour.brass : colour.field}
          stroke={i === 0 ? colour.brass : colour.indigo}
          strokeWidth={1.75 * pixel}
        />
      ))}
    </G>
  );
}

const stems = (placed: readonly PointShape[]): string =>
  placed
    .filter((point) => point.kind === 'even')
    .map((p) => `M${p.x + p.in.x} ${p.y + p.in.y}L${p.x + p.out.x} ${p.y + p.out.y}`)
    .join('');

/** A place on the arc that was tapped: an open ring on the line. */
function SelectedPlace() {
  const pixel = usePixel();
  const hasPlace = useEditor(({ place }) => place !== null);
  if (!hasPlace) return null;
  const place = (state: RootState): string => {
    const arc = activeArcIn(state);
    const s = arc && chosenDistance(arc, state.editor);
    if (!arc || s === null) return '';
    const { x, y } = placeAt(arc, s);
    return `translate(${x} ${y})`;
  };
  return (
    <LiveGroup place={place}>
      <Circle r={7 * pixel} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <Circle testID="place-on-arc" r={7 * pixel} fill="none" stroke={colour.brass} strokeWidth={2 * pixel} />
    </LiveGroup>
  );
}

/** The frame round what is selected, in the part of the field that is in sight. */
export type GripsOf = (state: RootState) => {
  readonly grips: readonly SelectionGrip[];
  readonly corners: readonly Vector[];
};

/** The frame round what is selected, and its grips. */
function FrameAround({ grips }: { readonly grips: GripsOf }) {
  const pixel = usePixel();
  const hasFrame = useThrottledSelector((state) => grips(state).grips.length > 0);
  if (!hasFrame) return null;
  const outline = (state: RootState): string => `${polyline(grips(state).corners)}Z`;
  return (
    <G testID="selection-frame">
      <LivePath path={outline} fill="none" stroke={colour.field} strokeWidth={3 * pixel} />
      <LivePath
        path={outline}
        fill="none"
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
        strokeDasharray={[5 * pixel, 4 * pixel]}
      />
      <LivePath
        path={(state) => gripsPath(grips(state).grips, pixel)}
        fill={colour.card}
        stroke={colour.brass}
        strokeWidth={1.75 * pixel}
      />
    </G>
  );
}

const round = ({ x, y }: Vector, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;

/** Scaling grips are squares, the turning one a ring with a ring, the moving one a ring with a cross. */
function gripsPath(grips: readonly SelectionGrip[], pixel: number): string {
  return grips
    .map(({ grip, at }) => {
      if (grip === 'scale') {
        const half = 6 * pixel;
        return `M${at.x - half} ${at.y - half}h${2 * half}v${2 * half}h${-2 * half}z`;
      }
      const arm = 5 * pixel;
      const sign =
        grip === 'turn'
          ? round(at, 4 * pixel)
          : `M${at.x - arm} ${at.y}h${2 * arm}M${at.x} ${at.y - arm}v${2 * arm}`;
      return round(at, 10 * pixel) + sign;
    })
    .join('');
}

/** About what the selection turns and scales. */
function Centre() {
  const pixel = usePixel();
  const isShown = useEditor(
    ({ selectedPointIds, about }) => selectedPointIds.length > 1 && about !== 'middle',
  );
  if (!isShown) return null;
  const cross = (state: RootState): string => {
    const about = aboutIn(state);
    if (!about) return '';
    const arm = 9 * pixel;
    return `M${about.x - arm} ${about.y}h${2 * arm}M${about.x} ${about.y - arm}v${2 * arm}${round(about, 5 * pixel)}`;
  };
  return (
    <G>
      <LivePath path={cross} fill="none" stroke={colour.field} strokeWidth={4 * pixel} />
      <LivePath path={cross} testID="centre" fill="none" stroke={colour.plum} strokeWidth={1.75 * pixel} />
    </G>
  );
}

/** The line laid over something of known length. */
export function RulerLine() {
  const pixel = usePixel();
  const hasLine = useEditor(({ measured }) => measured !== null);
  if (!hasLine) return null;
  const line = ({ editor: { measured } }: RootState): string => {
    if (!measured) return '';
    const { from, to } = measured;
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const [ax, ay] = [(-(to.y - from.y) / length) * 8 * pixel, ((to.x - from.x) / length) * 8 * pixel];
    const end = ({ x, y }: Vector): string => `M${x - ax} ${y - ay}L${x + ax} ${y + ay}`;
    return `M${from.x} ${from.y}L${to.x} ${to.y}${end(from)}${end(to)}`;
  };
  return (
    <G>
      <LivePath path={line} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath path={line} testID="ruler-line" fill="none" stroke={colour.brass} strokeWidth={2 * pixel} />
    </G>
  );
}

/** How far a guide reaches beyond what it joins, pixels. */
const GUIDE_OVER_PX = 14;

/** What attracted the thing that is dragged. */
export function SnapGuides() {
  const pixel = usePixel();
  const path = (): string =>
    currentScene()
      .guides.map(({ kind, from, to }) => {
        if (kind === 'grid') {
          const arm = 8 * pixel;
          return `M${to.x - arm} ${to.y}h${2 * arm}M${to.x} ${to.y - arm}v${2 * arm}`;
        }
        if (kind === 'point' || kind === 'centre') return round(to, 11 * pixel);
        const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
        const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
        const over = GUIDE_OVER_PX * pixel;
        return `M${from.x - ux * over} ${from.y - uy * over}L${to.x + ux * over} ${to.y + uy * over}`;
      })
      .join('');
  return (
    <LivePath path={path} testID="snap-guides" fill="none" stroke={colour.plum} strokeWidth={1.25 * pixel} />
  );
}
