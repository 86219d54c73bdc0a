import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import { useAppSelector } from '../state/hooks';
import { closeDocument, openDocument, type OpenResult } from '../state/openDocument';
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
  return <NotOpened isAway={result === 'away'} onRetry={retry} />;
}

function NotOpened({ isAway, onRetry }: { readonly isAway: boolean; readonly onRetry: () => void }) {
  const router = useRouter();
  return (
    <View role="alert" className="flex-1 items-center justify-center gap-3 bg-ground px-8">
      <Words size="title" strong className="text-center">
        {isAway ? 'The server does not answer' : 'There is no such shot'}
      </Words>
      <Words tone="soft" className="text-center">
        {isAway
          ? 'The shot is safe there. Try again when it is back.'
          : 'It may have been removed. The list shows what there is.'}
      </Words>
      {isAway && <Button label="Try again" kind="brass" onPress={onRetry} />}
      <Button label="To the shots" onPress={() => router.replace('/')} />
    </View>
  );
}
