import { createContext, type RefObject, useContext, useEffect, useLayoutEffect, useRef } from 'react';
import { G, type GProps, Path, type PathProps } from 'react-native-svg';
import { type DrawnShape, setShape } from '../ui/setShape';
import { useLive } from '../ui/useLive';
import { calmStoreOf } from './calmStore';
import { useAppStore } from './hooks';
import { subscribePlayhead } from './playhead';
import type { RootState } from './store';

/**
 * Shapes that follow the shot, the playhead and the hand by themselves, once a frame and without a render:
 * what is dragged must feel held, whatever else there is to draw.
 */

type Redraw = () => void;

const shapes = new Set<Redraw>();
/** Shapes that follow every so many frames only, while something is held. */
const lazyShapes = new Set<Redraw>();
const LAZY_FRAMES = 5;
let request = 0;
let drawn = 0;
/** Tells whether something is held; lazy shapes rest meanwhile. */
let isHeld = (): boolean => false;

/** How often live shapes have been brought up to date: the same number within one frame. */
export const drawnFrames = (): number => drawn;

function redrawAll(): void {
  request = 0;
  drawn++;
  shapes.forEach((redraw) => redraw());
  if (!isHeld() || drawn % LAZY_FRAMES === 0) lazyShapes.forEach((redraw) => redraw());
}

/** Brings live shapes up to date with the next frame. */
export function redrawSoon(): void {
  request ||= requestAnimationFrame(redrawAll);
}

/** Keeps live shapes in step with the shot and the playhead. For each drawing that holds some. */
export function useLiveDrawing(): void {
  const store = useAppStore();
  useEffect(() => {
    isHeld = calmStoreOf(store).isHeld;
    const stops = [store.subscribe(redrawSoon), subscribePlayhead(redrawSoon)];
    return () => stops.forEach((stop) => stop());
  }, [store]);
}

/** Size of one pixel of the view, field units. */
export const PixelContext = createContext(1);
export const usePixel = (): number => useContext(PixelContext);

/** @param work what the attributes are, from the state; asked once a frame, so it must know when nothing changed */
function useLiveAttributes(
  shape: RefObject<DrawnShape | null>,
  work: (state: RootState) => Readonly<Record<string, string>>,
  isLazy = false,
): void {
  const store = useAppStore();
  const latest = useLive(work);
  const redraw = useRef<Redraw | null>(null);
  useEffect(() => {
    const shown: Record<string, string> = {};
    redraw.current = () => {
      if (!shape.current) return;
      const wanted = latest()(store.getState());
      for (const name in wanted) {
        if (shown[name] === wanted[name]) continue;
        shown[name] = wanted[name]!;
        setShape(shape.current, { [name]: shown[name] });
      }
    };
    const mine = redraw.current;
    const mates = isLazy ? lazyShapes : shapes;
    mates.add(mine);
    mine();
    return () => {
      mates.delete(mine);
    };
  }, [store, latest, shape, isLazy]);
  // A render may bring another way of working it out.
  useLayoutEffect(() => redraw.current?.());
}

interface LivePathProps extends Omit<PathProps, 'd'> {
  readonly path: (state: RootState) => string;
}

/** A path whose shape follows by itself. */
export function LivePath({ path, ...props }: LivePathProps) {
  const shape = useRef<DrawnShape>(null);
  useLiveAttributes(shape, (state) => ({ d: path(state) }));
  return <Path ref={shape as unknown as RefObject<Path>} d="" {...props} />;
}

interface LiveGroupProps extends Omit<GProps, 'transform'> {
  readonly place: (state: RootState) => string;
  /** It may lag a little while something is dragged. */
  readonly isLazy?: boolean;
}

/** A group whose place follows by itself; `place` gives its transform. */
export function LiveGroup({ place, isLazy = false, ...props }: LiveGroupProps) {
  const shape = useRef<DrawnShape>(null);
  useLiveAttributes(shape, (state) => ({ transform: place(state) }), isLazy);
  return <G ref={shape as unknown as RefObject<G<unknown>>} {...props} />;
}

/** Works something out again only when what it is made from changed. */
export function remembered<Inputs extends readonly unknown[], Result>(
  work: (...inputs: Inputs) => Result,
): (...inputs: Inputs) => Result {
  let last: { readonly inputs: Inputs; readonly result: Result } | null = null;
  return (...inputs) => {
    if (last?.inputs.every((input, i) => Object.is(input, inputs[i]))) return last.result;
    last = { inputs, result: work(...inputs) };
    return last.result;
  };
}
