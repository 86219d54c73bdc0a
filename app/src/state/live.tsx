import {
  createContext,
  createRef,
  memo,
  type RefObject,
  useContext,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
} from 'react';
import { G, type GProps, Path, type PathProps } from 'react-native-svg';
import { muteMoves } from '../ui/muteMoves';
import { type DrawnShape, setShape } from '../ui/setShape';
import { useLatest } from '../ui/useLatest';
import { useAppStore } from './hooks';
import { CHUNK_COUNT } from './chunkedPath';
import { subscribePlayhead } from './playhead';
import type { RootState } from './store';

/**
 * Shapes that follow the shot, the playhead and the hand by themselves, once a frame and without a render:
 * what is dragged must feel held, whatever else there is to draw.
 */

type Redraw = () => void;

/** A drawing that holds live shapes. */
export type LiveView = 'field' | 'ghosts' | 'ruler' | 'graph' | 'ladder';

/** What belongs to the field lies on sheets of its own, and follows with it. */
const OF_FIELD: readonly LiveView[] = ['field', 'ghosts'];

interface Shape {
  readonly view: LiveView;
  /** It may lag while something is held, wherever that is. */
  readonly isLazy: boolean;
}

const shapes = new Map<Redraw, Shape>();
const LAZY_FRAMES = 4;
/** While something is held in one view, each of the others follows on one of so many frames, by turns. */
const TURNS: Readonly<Record<LiveView, number>> = { field: 0, graph: 1, ruler: 2, ladder: 3, ghosts: 4 };
const TURN_COUNT = 5;
/** Where frames come late, the turns of the others come so many times more seldom. */
const PATIENCE = 3;
/** Frames that lie further apart than this on average are late, milliseconds. */
const LATE_MS = 19;
/** Longer than this nobody moved anything, milliseconds. */
const PAUSE_MS = 100;
let request = 0;
let drawn = 0;
let interactingView: LiveView | null = null;
let lastFrame = 0;
let frameMs = 0;

/** How often live shapes have been brought up to date: the same number within one frame. */
export const drawnFrames = (): number => drawn;

/** @returns on how many frames the other views have one turn each */
function turnsNow(now: number): number {
  const since = now - lastFrame;
  lastFrame = now;
  if (since < PAUSE_MS) frameMs += (since - frameMs) / 8;
  return frameMs > LATE_MS ? TURN_COUNT * PATIENCE : TURN_COUNT;
}

function redrawAll(now: number): void {
  request = 0;
  drawn++;
  const turns = turnsNow(now);
  const held: readonly (LiveView | null)[] = interactingView === 'field' ? OF_FIELD : [interactingView];
  shapes.forEach(({ view, isLazy }, redraw) => {
    const isDue = interactingView === null || held.includes(view) || drawn % turns === TURNS[view];
    if (isDue && (interactingView === null || !isLazy || drawn % LAZY_FRAMES === 0)) redraw();
  });
  // The others get their turn when the hand rests, too.
  if (interactingView !== null && drawn % (TURN_COUNT * PATIENCE * LAZY_FRAMES) !== 0) redrawSoon();
}

/** Something is taken hold of in a view: it follows every frame from now on, the others by turns. */
export function beginInteraction(view: LiveView): void {
  interactingView = view;
  muteMoves(true);
}

/** It is let go: everything is brought up to date. */
export function endInteraction(): void {
  interactingView = null;
  muteMoves(false);
  redrawSoon();
}

/** Which view live shapes are in. */
export const LiveViewContext = createContext<LiveView>('field');

/** Brings live shapes up to date with the next frame. */
export function redrawSoon(): void {
  request ||= requestAnimationFrame(redrawAll);
}

/** Keeps live shapes in step with the shot and the playhead. For each drawing that holds some. */
export function useLiveDrawing(): void {
  const store = useAppStore();
  useEffect(() => {
    const stops = [store.subscribe(redrawSoon), subscribePlayhead(redrawSoon)];
    return () => stops.forEach((stop) => stop());
  }, [store]);
}

/** Size of one pixel of the view, field units. */
export const PixelContext = createContext(1);
export const usePixel = (): number => useContext(PixelContext);

/** Calls back once a frame, when the turn of its view comes, and after each render. */
function useRedraw(update: (state: RootState) => void, isLazy = false): void {
  const store = useAppStore();
  const latest = useLatest(update);
  const redraw = useRef<Redraw | null>(null);
  const view = useContext(LiveViewContext);
  useEffect(() => {
    const mine = () => latest()(store.getState());
    redraw.current = mine;
    shapes.set(mine, { view, isLazy });
    mine();
    return () => {
      shapes.delete(mine);
    };
  }, [store, latest, isLazy, view]);
  // A render may bring another way of working it out.
  useLayoutEffect(() => redraw.current?.());
}

/** Gives a shape an attribute that follows; the same again costs nothing. */
function following(name: 'd' | 'transform'): (shape: DrawnShape | null, value: string) => void {
  let shown: string | null = null;
  return (shape, value) => {
    if (!shape || shown === value) return;
    shown = value;
    setShape(shape, { [name]: value });
  };
}

interface LivePathProps extends Omit<PathProps, 'd'> {
  readonly path: (state: RootState) => string;
}

/** A path whose shape follows by itself. The way it is worked out must know when nothing changed. */
export function LivePath({ path, ...props }: LivePathProps) {
  const shape = useRef<DrawnShape>(null);
  const [show] = useState(() => following('d'));
  useRedraw((state) => show(shape.current, path(state)));
  return <Path ref={shape as unknown as RefObject<Path>} d="" {...props} />;
}

interface ChunkedLivePathProps extends Omit<PathProps, 'd' | 'testID'> {
  /** Path data of the pieces, `PIECES` of them or none; see `inPieces`. */
  readonly paths: (state: RootState) => readonly string[];
  readonly testID?: string;
}

/** A long path that follows by itself piece by piece: what does not change is not drawn again. */
export function ChunkedLivePath({ paths, testID, ...props }: ChunkedLivePathProps) {
  const [pieces] = useState(() =>
    Array.from({ length: CHUNK_COUNT }, () => ({ shape: createRef<DrawnShape>(), show: following('d') })),
  );
  useRedraw((state) => {
    const data = paths(state);
    pieces.forEach(({ shape, show }, i) => show(shape.current, data[i] ?? ''));
  });
  return (
    <G testID={testID}>
      {pieces.map(({ shape }, i) => (
        <PathChunk key={i} shape={shape} {...props} />
      ))}
    </G>
  );
}

interface PathChunkProps extends Omit<PathProps, 'd'> {
  readonly shape: RefObject<DrawnShape | null>;
}

const PathChunk = memo(function Piece({ shape, ...props }: PathChunkProps) {
  return <Path ref={shape as unknown as RefObject<Path>} d="" {...props} />;
});

interface LiveGroupProps extends Omit<GProps, 'transform'> {
  readonly place: (state: RootState) => string;
  /** It may lag a little while something is dragged. */
  readonly isLazy?: boolean;
}

/** A group whose place follows by itself; `place` gives its transform. */
export function LiveGroup({ place, isLazy = false, ...props }: LiveGroupProps) {
  const shape = useRef<DrawnShape>(null);
  const [show] = useState(() => following('transform'));
  useRedraw((state) => show(shape.current, place(state)), isLazy);
  return <G ref={shape as unknown as RefObject<G<unknown>>} {...props} />;
}

/** Works something out again only when what it is made from changed. */
export function memoizeLast<Inputs extends readonly unknown[], Result>(
  work: (...inputs: Inputs) => Result,
): (...inputs: Inputs) => Result {
  let last: { readonly inputs: Inputs; readonly result: Result } | null = null;
  return (...inputs) => {
    if (last?.inputs.every((input, i) => Object.is(input, inputs[i]))) return last.result;
    last = { inputs, result: work(...inputs) };
    return last.result;
  };
}
