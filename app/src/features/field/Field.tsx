import { fieldWords as words } from '../../words/field';
import { stepDescriptor } from '../../kinds/steps';
import Maximize from 'lucide-react-native/icons/maximize';
import Video from 'lucide-react-native/icons/video';
import { type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import { type LayoutChangeEvent, View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import { lookedThrough } from '../../store/editorSlice';
import { useAppDispatch, useAppStore, useSession } from '../../store/hooks';
import { shallowEqual } from 'react-redux';
import { selectEdits, selectFigureMiddle } from '../../store/selectors/selection';
import { useThrottledFrame } from '../../playback/playhead';
import { Button, IconButton } from '../../ui/Button';
import { selectComparison } from '../../store/selectors/comparison';
import { useLayout } from '../../ui/layout';
import { NumericText, Words } from '../../ui/Words';
import { CameraSeenContext, selectCanLookThrough, selectIsActiveFixed, useCameraSeen } from './cameraSeen';
import { FieldDrawing } from './FieldDrawing';
import { fieldStateOf, gripsFor } from './fieldState';
import { hintFor } from './hints';
import type { Target } from './hitTest';
import type { FieldContext } from './dragHandler';
import { Loupe } from './Loupe';
import { Extremes } from './Extremes';
import { PointerPlace, ReadOut } from './ReadOut';
import { usePointerScene } from './pointerScene';
import { createFieldSurface } from './fieldSurface';
import { FIELD_VIEW } from './fieldView';
import type { FieldLayers } from '../../render/fieldLayer';
import { useViewPointer } from '../../playback/useViewPointer';
import { useLatest } from '../../ui/useLatest';
import { useWheel } from '../../ui/useWheel';
import {
  closeUpOf,
  project,
  type Projection,
  type Size,
  throughCamera,
  type Viewport,
  wholeField,
  zoomedAt,
} from './viewport';
import { selectActiveArc } from '../../store/selectors/active';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

const CURSORS: Record<Target['kind'], string> = {
  stroke: 'cursor-crosshair',
  placing: 'cursor-crosshair',
  centre: 'cursor-crosshair',
  ruler: 'cursor-crosshair',
  backdrop: 'cursor-move',
  grip: 'cursor-move',
  'shape-handle': 'cursor-move',
  point: 'cursor-move',
  handle: 'cursor-move',
  arc: 'cursor-pointer',
  mark: 'cursor-move',
  tick: 'cursor-move',
  'by-hand': 'cursor-move',
  stand: 'cursor-crosshair',
  'stage-figure': 'cursor-move',
  corner: 'cursor-move',
  figure: 'cursor-move',
  knob: 'cursor-move',
  acting: 'cursor-crosshair',
  'other-figure': 'cursor-pointer',
  rider: 'cursor-move',
  'other-arc': 'cursor-pointer',
  ground: 'cursor-grab',
};

interface FieldProps {
  /** What the step lays under its arcs, and over all of it. */
  readonly layers?: FieldLayers;
  /** It is a strip over a raised panel, and shows what is worked on. */
  readonly isStrip?: boolean;
}

export function Field({ isStrip = false, layers }: FieldProps) {
  const size = useThrottledShotValue((shot) => shot.field);
  const isEmpty = useThrottledSelector(
    (state) => selectActiveArc(state) === null && state.editor.tool === 'shape',
  );
  const [view, setView] = useState({ width: 0, height: 0 });
  const [moved, setMoved] = useState<Viewport | null>(null);
  const box = useRef<View>(null);

  const { isWide } = useLayout();
  const margin = isWide ? WIDE_MARGIN_PX : 0;
  const closeUp = useCloseUp(isStrip, view);
  const camera = useCameraSeen();
  // What goes with the camera is placed as where the camera rests.
  const isFixed = useThrottledSelector(selectIsActiveFixed);
  const viewport = useMemo(
    () => (camera ? throughCamera(camera, size) : (moved ?? closeUp ?? wholeField(size))),
    [camera, moved, closeUp, size],
  );
  const projection = useMemo(() => project(viewport, size, view, margin), [viewport, size, view, margin]);
  const ofActive = useMemo(
    () => (camera && isFixed ? project(wholeField(size), size, view, margin) : projection),
    [camera, isFixed, projection, size, view, margin],
  );
  const grips = useMemo(() => gripsFor(ofActive, view), [ofActive, view]);
  // Looked through, the view is the camera's: it is moved with the camera.
  const viewChanges = camera ? IS_OF_CAMERA : setMoved;
  const context = useFieldContext(viewport, ofActive, grips, viewChanges);
  const latestContext = useLatest(context);
  const [surface] = useState(() => createFieldSurface(latestContext));
  const gesture = useViewPointer(box, FIELD_VIEW, surface);
  useWheel(box, (at, factor) => {
    if (camera) return;
    setMoved((before) => {
      const current = before ?? wholeField(size);
      return zoomedAt(current, project(current, size, view, margin), at, factor);
    });
  });
  const measured = useCallback(({ nativeEvent: { layout } }: LayoutChangeEvent) => {
    setView({ width: layout.width, height: layout.height });
  }, []);
  return (
    <CameraSeenContext value={camera}>
      <View ref={box} onLayout={measured} className="flex-1 overflow-hidden bg-desk" testID="field">
        <GestureDetector gesture={gesture} touchAction="none">
          <Ground>
            {view.width > 0 && (
              <FieldDrawing size={view} projection={projection} grips={grips} layers={layers} />
            )}
          </Ground>
        </GestureDetector>
        {isEmpty && <EmptyField />}
        <CountIn />
        <View pointerEvents="box-none" className="absolute right-2 top-2 flex-row gap-2">
          {!isStrip && <LookThrough />}
          {moved && !camera && <Button label={words.fit} icon={Maximize} onPress={() => setMoved(null)} />}
        </View>
        <Loupe projection={projection} size={view} />
      </View>
    </CameraSeenContext>
  );
}

const IS_OF_CAMERA = (): void => undefined;

function LookThrough() {
  const { isWide } = useLayout();
  const dispatch = useAppDispatch();
  const can = useThrottledSelector(selectCanLookThrough);
  const looks = useThrottledSelector(({ editor }) => editor.looksThrough);
  if (!can) return null;
  const says = {
    label: words.lookThrough,
    icon: Video,
    pressed: looks,
    onPress: () => dispatch(lookedThrough(!looks)),
  };
  // A phone's field has no room to spare for a word.
  return isWide ? (
    <Button {...says} />
  ) : (
    <View className="rounded-large border border-line bg-card">
      <IconButton {...says} />
    </View>
  );
}

/** Room round the whole field on a wide screen, pixels; a phone has none to spare. */
const WIDE_MARGIN_PX = 16;
/** What is worked on is so much larger in a strip than on a paper as wide as the window. */
const STRIP_ZOOM = 1.3;

/** What a strip shows: what is worked on, where it stands; null for a view that is none. */
function useCloseUp(isStrip: boolean, view: Size): Viewport | null {
  const size = useThrottledShotValue((shot) => shot.field);
  const frame = useThrottledFrame();
  const middle = useThrottledSelector(
    (state) => (isStrip ? selectFigureMiddle(state, frame) : null),
    shallowEqual,
  );
  return useMemo(
    () => (isStrip && middle && view.width > 0 ? closeUpOf(middle, STRIP_ZOOM, size, view) : null),
    [isStrip, middle, size, view],
  );
}

/** What a press can hit, asked for when it comes: the field itself does not render with every edit. */
function useFieldContext(
  viewport: Viewport,
  projection: Projection,
  grips: ReturnType<typeof gripsFor>,
  viewChanges: (viewport: Viewport | null) => void,
): FieldContext {
  const store = useAppStore();
  return {
    store,
    viewChanges,
    snapshot: () => ({ state: fieldStateOf(store.getState(), grips), viewport, projection }),
  };
}

function Ground({ children, ...gestures }: { readonly children: ReactNode }) {
  const kind = usePointerScene(({ hovered }) => hovered?.kind);
  const isPaper = useThrottledSelector(({ editor }) => editor.tool !== 'shape' && editor.tool !== 'backdrop');
  const cursor = CURSORS[kind ?? (isPaper ? 'stroke' : 'ground')];
  return (
    <View
      collapsable={false}
      className={`absolute inset-0 ${cursor}`}
      aria-label={words.theField}
      role="img"
      {...gestures}
    >
      {children}
    </View>
  );
}

/** A line under the field: what a press would do, the numbers of the frame, and where the mouse is. */
export function FieldStrip() {
  const { line, edits } = stepDescriptor(useSession((session) => session.step));
  const { isWide } = useLayout();
  // How far apart two takes are needs the room.
  const isComparing = useThrottledSelector((state) => selectComparison(state) !== null);
  return (
    <View
      testID="field-strip"
      className="min-h-[24px] flex-row items-center justify-between gap-3 border-t border-line bg-card px-3"
    >
      <View className="min-w-0 shrink flex-row items-center gap-3">
        {(line === 'numbers' || line === 'both' || (line === 'hint-first' && isWide)) && <ReadOut />}
        {(line === 'hint' || line === 'hint-first' || (line === 'both' && isWide && !isComparing)) && (
          <Hint />
        )}
      </View>
      {edits === 'timing' && <Extremes />}
      <PointerPlace />
    </View>
  );
}

function Hint() {
  const hovered = usePointerScene((scene) => scene.hovered);
  // What a figure's drag will do depends on the frame, too.
  useThrottledFrame();
  const text = useThrottledSelector((state) => hintFor(fieldStateOf(state, NO_GRIPS), hovered));
  return (
    <View testID="hint" className="shrink">
      <Words tone="soft" size="tiny" numberOfLines={1}>
        {text}
      </Words>
    </View>
  );
}

const NO_GRIPS = () => ({ grips: [], corners: [] });

function CountIn() {
  const count = usePointerScene((scene) => scene.count);
  if (count === null) return null;
  return (
    <View pointerEvents="none" role="timer" className="absolute inset-0 items-center justify-center">
      <NumericText size="display" strong tone="brass">
        {String(count)}
      </NumericText>
    </View>
  );
}

function EmptyField() {
  const isDrawing = usePointerScene(({ stroke }) => stroke.length > 1);
  const poses = useThrottledSelector(selectEdits) === 'poses';
  if (isDrawing) return null;
  return (
    <View pointerEvents="none" className="absolute inset-0 items-center justify-center px-8">
      <View className="rounded-large border border-line bg-card px-5 py-4">
        <Words size="title" strong className="text-center">
          {poses ? words.placeTheFigure : words.drawItsPath}
        </Words>
        <Words tone="soft" className="mt-1 text-center">
          {poses ? words.firstPoseHelp : words.aStrokeGivesYouAnArc}
        </Words>
      </View>
    </View>
  );
}
