import { evaluate, nextPointId, type PointShape, type Vector } from '@humble/core';
import Maximize from 'lucide-react-native/icons/maximize';
import { type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import Svg, { G, Path } from 'react-native-svg';
import { useActiveArc, useAppDispatch, useEdit, useSession, useSettings, useShot } from '../../state/hooks';
import { goTo } from '../../state/playhead';
import { pointSelected, redrawingSet } from '../../state/sessionSlice';
import { Button } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { Words } from '../../ui/Words';
import { FigureAtPlayhead, Ghosts } from './Figures';
import { hintFor, type Target } from './hitTest';
import { FieldPaper, Guides, Marks } from './layers';
import { PointsLayer } from './PointsLayer';
import { ReadOut } from './ReadOut';
import { type FieldActions, useFieldGestures } from './useFieldGestures';
import { useWheel } from './useWheel';
import { project, type Viewport, wholeField, zoomedAt } from './viewport';

const strokePath = (places: readonly Vector[]): string =>
  places.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

const CURSORS: Record<Target['kind'], string> = {
  draw: 'cursor-crosshair',
  point: 'cursor-move',
  handle: 'cursor-move',
  arc: 'cursor-pointer',
  ground: 'cursor-grab',
};

/** The area the camera sees: arcs, ticks, ghosts and the figure, and the hand on them. */
export function Field({ controls }: { readonly controls?: ReactNode }) {
  const shot = useShot();
  const arc = useActiveArc();
  const step = useSession((session) => session.step);
  const selectedPointId = useSession((session) => session.selectedPointId);
  const isRedrawing = useSession((session) => session.isRedrawing);
  const { showsTrail, showsNumbers } = useSettings();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [moved, setMoved] = useState<Viewport | null>(null);
  const [stroke, setStroke] = useState<readonly Vector[]>([]);
  const [hovered, setHovered] = useState<Target | null>(null);
  const box = useRef<View>(null);

  const viewport = useMemo(() => moved ?? wholeField(shot.field), [moved, shot.field]);
  const projection = useMemo(() => project(viewport, shot.field, size), [viewport, shot.field, size]);
  const pixel = 1 / projection.scale;
  const { travels } = evaluate(shot);
  const active = travels[0] ?? null;
  const state = { step, arc, selectedPointId, isRedrawing };

  const strokeEnds = (points: readonly PointShape[]): void => {
    if (arc) edit('redrawArc', { arcId: arc.id, points });
    else edit('drawArc', { points });
    dispatch(redrawingSet(false));
    goTo(1);
  };
  const actions: FieldActions = {
    strokeGrows: (places) => setStroke([...places]),
    strokeEnds,
    pointMoves: (pointId, to, gesture) => arc && edit('movePoint', { arcId: arc.id, pointId, to }, gesture),
    handleMoves: (pointId, side, to, gesture) =>
      arc && edit('moveHandle', { arcId: arc.id, pointId, side, to }, gesture),
    pointTapped: (pointId) => dispatch(pointSelected(pointId)),
    arcTapped: (stretch, t) => {
      if (!arc || !edit('insertPoint', { arcId: arc.id, stretch, t })) return;
      dispatch(pointSelected(nextPointId(arc)));
      setHovered(null);
    },
    groundTapped: () => dispatch(pointSelected(null)),
    hovers: setHovered,
    viewChanges: setMoved,
  };
  const gesture = useFieldGestures({ state, viewport, projection, travel: active }, actions);
  useWheel(box, (at, factor) =>
    setMoved((before) => {
      const current = before ?? wholeField(shot.field);
      return zoomedAt(current, project(current, shot.field, size), at, factor);
    }),
  );

  const measured = useCallback(
    ({ nativeEvent: { layout } }: { nativeEvent: { layout: { width: number; height: number } } }) => {
      setSize({ width: layout.width, height: layout.height });
    },
    [],
  );
  const isDrawing = stroke.length > 1;
  const cursor = hovered ? CURSORS[hovered.kind === 'arc' && step !== 'arc' ? 'arc' : hovered.kind] : '';
  return (
    <View ref={box} onLayout={measured} className="flex-1 overflow-hidden bg-desk" testID="field">
      <GestureDetector gesture={gesture} touchAction="none">
        <View
          collapsable={false}
          className={`absolute inset-0 ${arc ? cursor : 'cursor-crosshair'}`}
          aria-label="The field"
          role="img"
        >
          {size.width > 0 && (
            <Svg width={size.width} height={size.height}>
              <G
                transform={`translate(${projection.offset.x} ${projection.offset.y}) scale(${projection.scale})`}
              >
                <FieldPaper {...shot.field} pixel={pixel} />
                {travels.map((travel) => (
                  <Ghosts key={travel.move.id} travel={travel} shot={shot} pixel={pixel} />
                ))}
                <G opacity={isRedrawing ? 0.35 : 1}>
                  <Guides
                    shot={shot}
                    travels={travels}
                    pixel={pixel}
                    showsTrail={showsTrail}
                    showsNumbers={showsNumbers}
                  />
                  {travels.map((travel) => (
                    <G key={travel.move.id}>
                      {showsTrail && step !== 'arc' && <Marks travel={travel} pixel={pixel} />}
                      <FigureAtPlayhead travel={travel} pixel={pixel} />
                    </G>
                  ))}
                </G>
                {arc && step === 'arc' && !isRedrawing && (
                  <PointsLayer arc={arc} pixel={pixel} selectedPointId={selectedPointId} hovered={hovered} />
                )}
                {isDrawing && (
                  <Path
                    d={strokePath(stroke)}
                    fill="none"
                    stroke={colour.indigo}
                    strokeWidth={2 * pixel}
                    strokeLinecap="round"
                    strokeLinejoin="round"
                  />
                )}
              </G>
            </Svg>
          )}
        </View>
      </GestureDetector>
      {!arc && !isDrawing && <EmptyField />}
      <View pointerEvents="box-none" className="absolute right-2 top-2 flex-row gap-2">
        {moved && <Button label="Fit" icon={Maximize} onPress={() => setMoved(null)} />}
        {controls}
      </View>
      <View pointerEvents="none" className="absolute bottom-2 left-2 right-2 flex-row">
        {step === 'arc' ? <Hint text={hintFor(state, hovered)} /> : <ReadOut />}
      </View>
    </View>
  );
}

function Hint({ text }: { readonly text: string }) {
  return (
    <View testID="hint" className="rounded-small border border-line bg-card px-3 py-1">
      <Words tone="soft">{text}</Words>
    </View>
  );
}

function EmptyField() {
  return (
    <View pointerEvents="none" className="absolute inset-0 items-center justify-center px-8">
      <Words size="title" strong className="text-center">
        Draw how it travels
      </Words>
      <Words tone="soft" className="mt-1 text-center">
        One stroke gives an arc, a figure on it, and its timing.
      </Words>
    </View>
  );
}
