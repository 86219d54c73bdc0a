import { uiWords as words } from '../words/ui';
import { type ComponentType, type ReactNode, useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { Button } from './Button';
import { fetchAhead } from './fetchAhead';
import { Words } from './Words';

/** A part that could not be fetched is tried again after so many milliseconds. */
const TRY_AGAIN_MS = 3000;

/**
 * A component whose code comes after the first screen: fetched ahead as soon as that stands, so that it
 * is there when the server goes away. When it could not be fetched, a sentence stands in its place, it is tried
 * again every few seconds, and there is a way to try at once.
 */
export function lazyWithRetry<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  waiting: ReactNode = null,
): ComponentType<Props> {
  let fetched: ComponentType<Props> | null = null;
  const part = fetchAhead(load);
  const once = (): Promise<ComponentType<Props> | null> =>
    part().then(
      (found) => (fetched = found),
      () => null,
    );
  return function LaterPart(props: Props) {
    const [isMissing, setMissing] = useState(false);
    const [Part, setPart] = useState(() => fetched);
    const look = useCallback((): void => {
      setMissing(false);
      void once().then((part) => (part ? setPart(() => part) : setMissing(true)));
    }, []);
    const isHere = Part !== null;
    useEffect(() => {
      if (!isHere) look();
    }, [isHere, look]);
    useEffect(() => {
      if (!isMissing || isHere) return;
      // Quietly: the sentence stays until the part is there.
      const again = setInterval(() => void once().then((part) => part && setPart(() => part)), TRY_AGAIN_MS);
      return () => clearInterval(again);
    }, [isMissing, isHere]);
    if (Part) return <Part {...props} />;
    return isMissing ? <NotFetched onTryAgain={look} /> : waiting;
  };
}

function NotFetched({ onTryAgain }: { readonly onTryAgain: () => void }) {
  return (
    <View role="alert" className="items-center justify-center gap-3 bg-ground p-6">
      <Words className="text-center">{words.partMissing}</Words>
      <Button label={words.tryAgain} onPress={onTryAgain} />
    </View>
  );
}
