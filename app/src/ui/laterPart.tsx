import { type ComponentType, lazy, type ReactNode, Suspense } from 'react';
import { View } from 'react-native';
import { Words } from './Words';

/** Milliseconds after which a part is fetched that nobody has asked for yet. */
const FETCH_AHEAD_MS = 300;

/**
 * A component whose code comes after the first screen: fetched ahead as soon as that stands, so that it
 * is there when the server goes away. When it could not be fetched, a sentence stands in its place.
 */
export function laterPart<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  waiting: ReactNode = null,
): ComponentType<Props> {
  let loading: Promise<ComponentType<Props>> | null = null;
  const once = (): Promise<ComponentType<Props>> =>
    (loading ??= load().catch(() => {
      loading = null;
      return NotFetched;
    }));
  if (typeof window !== 'undefined' && process.env.NODE_ENV !== 'test')
    setTimeout(() => void once(), FETCH_AHEAD_MS);
  const Part = lazy(() =>
    once().then((component) => ({ default: component })),
  ) as unknown as ComponentType<Props>;
  return function LaterPart(props: Props) {
    return (
      <Suspense fallback={waiting}>
        <Part {...props} />
      </Suspense>
    );
  };
}

function NotFetched() {
  return (
    <View role="alert" className="items-center justify-center bg-ground p-6">
      <Words className="text-center">
        The server does not answer, and this part of the page is not here yet. Load the page again when it is
        back.
      </Words>
    </View>
  );
}
