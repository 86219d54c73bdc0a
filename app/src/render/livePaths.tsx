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
import { type DrawnShape, setShape } from './setShape';
import { useLatest } from '../ui/useLatest';
import { useAppStore } from '../store/hooks';
import { CHUNK_COUNT } from './chunkedPath';
import { subscribePlayhead } from '../playback/playhead';
import type { RootState } from '../store/store';
import { type Lag, type Redraw, type LiveView, shapes, redrawSoon, createLiveView } from './frameScheduler';

/** Which view live shapes are in. */
export const LiveViewContext = createContext<LiveView>(createLiveView());

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
function useRedraw(update: (state: RootState) => void, lags: Lag = 'never'): void {
  const store = useAppStore();
  const latest = useLatest(update);
  const redraw = useRef<Redraw | null>(null);
  const view = useContext(LiveViewContext);
  useEffect(() => {
    const mine = () => latest()(store.getState());
    redraw.current = mine;
    shapes.set(mine, { view, lags });
    mine();
    return () => {
      shapes.delete(mine);
    };
  }, [store, latest, lags, view]);
  // A render may bring another way of working it out.
  useLayoutEffect(() => redraw.current?.());
}

/** Gives a shape an attribute that follows; the same again costs nothing. */
function following(name: 'd' | 'transform' | 'opacity'): (shape: DrawnShape | null, value: string) => void {
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
  /** Path data of the chunks, `CHUNK_COUNT` of them or none; see `createChunkedPath`. */
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

const PathChunk = memo(function PathChunk({ shape, ...props }: PathChunkProps) {
  return <Path ref={shape as unknown as RefObject<Path>} d="" {...props} />;
});

interface LiveGroupProps extends Omit<GProps, 'transform'> {
  readonly transform: (state: RootState) => string;
  /** How far it covers what lies beneath it, 0 to 1. */
  readonly opacityIn?: (state: RootState) => number;
  /** Whether it may lag a little while something is dragged. */
  readonly lags?: Lag;
}

/** A group whose place follows by itself; `place` gives its transform. */
export function LiveGroup({ transform, opacityIn, lags = 'never', ...props }: LiveGroupProps) {
  const shape = useRef<DrawnShape>(null);
  const [show] = useState(() => following('transform'));
  const [fade] = useState(() => following('opacity'));
  useRedraw((state) => {
    show(shape.current, transform(state));
    if (opacityIn) fade(shape.current, String(opacityIn(state)));
  }, lags);
  return <G ref={shape as unknown as RefObject<G<unknown>>} {...props} />;
}
