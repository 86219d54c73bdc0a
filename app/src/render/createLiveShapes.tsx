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
import { useLatest } from '../ui/useLatest';
import { CHUNK_COUNT } from './chunkedPath';
import { createLiveView, type Lag, type LiveView, type Redraw, redrawSoon, shapes } from './frameScheduler';
import { type DrawnShape, setShape } from './setShape';

export const LiveViewContext = createContext<LiveView>(createLiveView());

export interface LiveSource<State> {
  readonly getState: () => State;
  readonly subscribe: (listener: () => void) => () => void;
}

interface LivePathProps<State> extends Omit<PathProps, 'd'> {
  readonly path: (state: State) => string;
}

interface ChunkedLivePathProps<State> extends Omit<PathProps, 'd' | 'testID'> {
  readonly paths: (state: State) => readonly string[];
  readonly testID?: string;
}

interface LiveGroupProps<State> extends Omit<GProps, 'transform'> {
  readonly transform: (state: State) => string;
  readonly opacityIn?: (state: State) => number;
  readonly lags?: Lag;
}

function following(name: 'd' | 'transform' | 'opacity'): (shape: DrawnShape | null, value: string) => void {
  let shown: string | null = null;
  return (shape, value) => {
    if (!shape || shown === value) return;
    shown = value;
    setShape(shape, { [name]: value });
  };
}

interface PathChunkProps extends Omit<PathProps, 'd'> {
  readonly shape: RefObject<DrawnShape | null>;
}

const PathChunk = memo(function PathChunk({ shape, ...props }: PathChunkProps) {
  return <Path ref={shape as unknown as RefObject<Path>} d="" {...props} />;
});

/**
 * Shapes that follow a source by themselves, once a frame and without a render.
 * @param useSource the source, which must stay the same between renders
 */
export function createLiveShapes<State>(useSource: () => LiveSource<State>) {
  /** Calls back once a frame, when the turn of its view comes, and after each render. */
  function useRedraw(update: (state: State) => void, lags: Lag = 'never'): void {
    const source = useSource();
    const latest = useLatest(update);
    const redraw = useRef<Redraw | null>(null);
    const view = useContext(LiveViewContext);
    useEffect(() => {
      const own = () => latest()(source.getState());
      redraw.current = own;
      shapes.set(own, { view, lags });
      own();
      return () => {
        shapes.delete(own);
      };
    }, [source, latest, lags, view]);
    // A render may bring another way of working it out.
    useLayoutEffect(() => redraw.current?.());
  }

  return {
    useLiveDrawing(): void {
      const source = useSource();
      useEffect(() => source.subscribe(redrawSoon), [source]);
    },

    /** A path whose shape follows. The way it is worked out must know when nothing changed. */
    LivePath({ path, ...props }: LivePathProps<State>) {
      const shape = useRef<DrawnShape>(null);
      const [show] = useState(() => following('d'));
      useRedraw((state) => show(shape.current, path(state)));
      return <Path ref={shape as unknown as RefObject<Path>} d="" {...props} />;
    },

    /** A long path that follows piece by piece: what does not change is not drawn again. */
    ChunkedLivePath({ paths, testID, ...props }: ChunkedLivePathProps<State>) {
      const [pieces] = useState(() =>
        Array.from({ length: CHUNK_COUNT }, () => ({
          shape: createRef<DrawnShape>(),
          show: following('d'),
        })),
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
    },

    /** A group whose place follows; `transform` gives its place. */
    LiveGroup({ transform, opacityIn, lags = 'never', ...props }: LiveGroupProps<State>) {
      const shape = useRef<DrawnShape>(null);
      const [show] = useState(() => following('transform'));
      const [fade] = useState(() => following('opacity'));
      useRedraw((state) => {
        show(shape.current, transform(state));
        if (opacityIn) fade(shape.current, String(opacityIn(state)));
      }, lags);
      return <G ref={shape as unknown as RefObject<G<unknown>>} {...props} />;
    },
  };
}
