import { evaluate, nextPointId, type PointShape, type Vector } from '@humble/core';
import Maximize from 'lucide-react-native/icons/maximize';
import { type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import { type LayoutChangeEvent, View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import {
  activeArcOf,
  useAppDispatch,
  useAppStore,
  useEdit,
  useSession,
  useShotValue,
} from '../../state/hooks';
import { goTo } from '../../state/playhead';
import { pointSelected, redrawingSet } from '../../state/sessionSlice';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { FieldDrawing } from './FieldDrawing';
import { type FieldState, hintFor, type Target } from './hitTest';
import { ReadOut } from './ReadOut';
import { type FieldActions, type FieldSituation, useFieldGestures } from './useFieldGestures';
import { useWheel } from './useWheel';
import { project, type Viewport, wholeField, zoomedAt } from './viewport';

const CURSORS: Record<Target['kind'], string> = {
  draw: 'cursor-crosshair',
  point: 'cursor-move',
  handle: 'cursor-move',
  arc: 'cursor-pointer',
  ground: 'cursor-grab',
};

/** The area the camera sees, and the hand on it. What is drawn in it follows the shot by itself. */
export function Field({ controls }: { readonly controls?: ReactNode }) {
  const size = useShotValue((shot) => shot.field);
  const hasArc = useShotValue((shot) => activeArcOf(shot) !== null);
  const step = useSession((session) => session.step);
  const isRedrawing = useSession((session) => session.isRedrawing);
  const [view, setView] = useState({ width: 0, height: 0 });
  const [moved, setMoved] = useState<Viewport | null>(null);
  const [stroke, setStroke] = useState<readonly Vector[]>([]);
  const [hovered, setHovered] = useState<Target | null>(null);
  const box = useRef<View>(null);

  const viewport = useMemo(() => moved ?? wholeField(size), [moved, size]);
  const projection = useMemo(() => project(viewport, size, view), [viewport, size, view]);
  const situation = useSituation(viewport, projection);
  const gesture = useFieldGestures(situation, useFieldActions(setStroke, setHovered, setMoved));
  useWheel(box, (at, factor) =>
    setMoved((before) => {
      const current = before ?? wholeField(size);
      return zoomedAt(current, project(current, size, view), at, factor);
    }),
  );
  const measured = useCallback(({ nativeEvent: { layout } }: LayoutChangeEvent) => {
    setView({ width: layout.width, height: layout.height });
  }, []);
  const isDrawing = stroke.length > 1;
  const cursor = CURSORS[hasArc ? (hovered?.kind ?? 'ground') : 'draw'];
  return (
    <View ref={box} onLayout={measured} className="flex-1 overflow-hidden bg-desk" testID="field">
      <GestureDetector gesture={gesture} touchAction="none">
        <View collapsable={false} className={`absolute inset-0 ${cursor}`} aria-label="The field" role="img">
          {view.width > 0 && (
            <FieldDrawing size={view} projection={projection} hovered={hovered} stroke={stroke} />
          )}
        </View>
      </GestureDetector>
      {!hasArc && !isDrawing && <EmptyField />}
      <View pointerEvents="box-none" className="absolute right-2 top-2 flex-row gap-2">
        {moved && <Button label="Fit" icon={Maximize} onPress={() => setMoved(null)} />}
        {controls}
      </View>
      <View pointerEvents="none" className="absolute bottom-2 left-2 right-2 flex-row">
        {step === 'arc' ? <Hint text={hintFor({ step, hasArc, isRedrawing }, hovered)} /> : <ReadOut />}
      </View>
    </View>
  );
}

/** What the hand meets, asked for when it comes: the field itself does not render with every edit. */
function useSituation(viewport: Viewport, projection: FieldSituation['projection']): () => FieldSituation {
  const store = useAppStore();
  return () => {
    const { session, shot: history } = store.getState();
    const { shot } = history.present;
    const state: FieldState = { ...session, arc: activeArcOf(shot) };
    return { state, viewport, projection, travel: (shot && evaluate(shot).travels[0]) ?? null };
  };
}

/** What the hand may do, as edits of the arc being worked on. */
function useFieldActions(
  strokeGrows: (places: readonly Vector[]) => void,
  hovers: (target: Target | null) => void,
  viewChanges: (viewport: Viewport) => void,
): FieldActions {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const activeArc = () => activeArcOf(store.getState().shot.present.shot);
  return {
    strokeGrows: (places) => strokeGrows([...places]),
    hovers,
    viewChanges,
    strokeEnds: (points: readonly PointShape[]) => {
      const arc = activeArc();
      if (arc) edit('redrawArc', { arcId: arc.id, points });
      else edit('drawArc', { points });
      dispatch(redrawingSet(false));
      goTo(1);
    },
    pointMoves: (pointId, to, gesture) => {
      const arc = activeArc();
      if (arc) edit('movePoint', { arcId: arc.id, pointId, to }, gesture);
    },
    handleMoves: (pointId, side, to, gesture) => {
      const arc = activeArc();
      if (arc) edit('moveHandle', { arcId: arc.id, pointId, side, to }, gesture);
    },
    pointTapped: (pointId) => dispatch(pointSelected(pointId)),
    arcTapped: (stretch, t) => {
      const arc = activeArc();
      if (!arc || !edit('insertPoint', { arcId: arc.id, stretch, t })) return;
      dispatch(pointSelected(nextPointId(arc)));
    },
    groundTapped: () => dispatch(pointSelected(null)),
  };
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
