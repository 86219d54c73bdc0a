import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import { useAppSelector } from '../state/hooks';
import { closeDocument, openDocument, type OpenResult, restoreShot } from '../state/openDocument';
import { Button } from '../ui/Button';
import { Words } from '../ui/Words';
import { Laying } from './Laying';
import { Workbench } from './Workbench';

/** Opens the shot named in the address, and says so when that cannot be done. */
export function ShotScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const [result, setResult] = useState<OpenResult | null>(null);
  const isOpen = useAppSelector(
    ({ session, shot }) => session.document?.id === id && shot.present.shot !== null,
  );
  useEffect(() => {
    void openDocument(id).then(setResult);
    return () => void closeDocument(id);
  }, [id]);
  const retry = (): void => {
    setResult(null);
    void openDocument(id).then(setResult);
  };
  if (isOpen && result === 'opened')
    return (
      <GestureHandlerRootView style={{ flex: 1 }}>
        <Workbench />
      </GestureHandlerRootView>
    );
  if (result === null || result === 'opened') return <Laying />;
  const restore = (): void => {
    void restoreShot(id).then((shot) => shot && retry());
  };
  return <NotOpened result={result} onRetry={retry} onRestore={restore} />;
}

interface NotOpenedProps {
  readonly result: Exclude<OpenResult, 'opened'>;
  readonly onRetry: () => void;
  readonly onRestore: () => void;
}

const REASONS: Record<NotOpenedProps['result'], readonly [title: string, sentence: string]> = {
  away: ['The server does not answer', 'The shot is safe there. Try again when it is back.'],
  removed: ['This shot was removed', 'It is still in the bin.'],
  gone: ['There is no such shot', 'The list shows what there is.'],
};

function NotOpened({ result, onRetry, onRestore }: NotOpenedProps) {
  const router = useRouter();
  const [title, sentence] = REASONS[result];
  return (
    <View role="alert" className="flex-1 items-center justify-center gap-3 bg-ground px-8">
      <Words size="title" strong className="text-center">
        {title}
      </Words>
      <Words tone="soft" className="text-center">
        {sentence}
      </Words>
      {result === 'away' && <Button label="Try again" kind="brass" onPress={onRetry} />}
      {result === 'removed' && <Button label="Bring it back" kind="brass" onPress={onRestore} />}
      <Button label="To the shots" onPress={() => router.replace('/')} />
    </View>
  );
}
