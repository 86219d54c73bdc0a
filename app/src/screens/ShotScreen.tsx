import { benchWords as words } from '../words/bench';
import type { Shot } from '@humble/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import { api, documentAddress, failureSentence } from '../persistence/api';
import { watchNewVersionSoon } from '../persistence/watchNewVersionSoon';
import { useAppDispatch, useSettings } from '../store/hooks';
import {
  closeDocument,
  type NotOpened,
  openDocument,
  type OpenResult,
  restoreShot,
  saveAsCopy,
} from '../commands/openDocument';
import { messageShown } from '../store/sessionSlice';
import { Button } from '../ui/Button';
import { saveAddress } from '../ui/files';
import { Words } from '../ui/Words';
import { OpeningShot } from './OpeningShot';
import { Messages } from './Messages';
import { Workbench } from './Workbench';
import { useThrottledSelector } from '../store/throttled/hooks';

export function ShotScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const [result, setResult] = useState<OpenResult | null>(null);
  const isOpen = useThrottledSelector(
    ({ session, shot }) => session.document?.id === id && shot.present.shot !== null,
  );
  // Every frame on the bench gets another number with it.
  const { firstFrame } = useSettings();
  useEffect(watchNewVersionSoon, []);
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
        <Workbench key={firstFrame} />
      </GestureHandlerRootView>
    );
  if (result === null || result === 'opened') return <OpeningShot />;
  return <NotOpenedNotice id={id} result={result} onRetry={retry} />;
}

const TITLES: Record<NotOpened['kind'], string> = {
  offline: words.serverAway,
  failed: words.openFailed,
  damaged: words.shotUnreadable,
  removed: words.thisShotWasRemoved,
  gone: words.thereIsNoSuchShot,
};

/** Where the title says it all, what to do is said instead. */
const ADVICE: Partial<Record<NotOpened['kind'], string>> = {
  offline: words.tryAgainWhenItIsBack,
  removed: words.itIsStillInTheBin,
  gone: words.goBackToTheListTo,
};

interface NotOpenedNoticeProps {
  readonly id: string;
  readonly result: NotOpened;
  readonly onRetry: () => void;
}

function NotOpenedNotice({ id, result: { kind, sentence, draft }, onRetry }: NotOpenedNoticeProps) {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const toList = (): void => router.replace('/');
  const restore = (): void => {
    void restoreShot(id).then((isBack) => isBack && onRetry());
  };
  const saveDraft = (shot: Shot): void => {
    void saveAsCopy(shot).then((copyId) => copyId && router.replace(`/shot/${copyId}`));
  };
  const remove = async (): Promise<void> => {
    const { error } = await dispatch(api.endpoints.removeShot.initiate(id));
    dispatch(
      error
        ? messageShown(failureSentence(error))
        : messageShown(words.theShotWasRemoved, { kind: 'restore', shotIds: [id] }),
    );
    if (!error) toList();
  };
  const isWorthTrying = kind === 'offline' || kind === 'failed' || kind === 'damaged';
  return (
    <View className="flex-1">
      <View role="alert" className="flex-1 items-center justify-center gap-3 bg-ground px-8">
        <Words size="title" strong className="text-center">
          {TITLES[kind]}
        </Words>
        <Words tone="soft" className="max-w-[520px] text-center">
          {ADVICE[kind] ?? sentence}
        </Words>
        {draft && (
          <>
            <Words tone="soft" className="max-w-[520px] text-center">
              {words.hasUnsentEdits}
            </Words>
            <Button label={words.saveThemAsANewShot} kind="brass" onPress={() => saveDraft(draft)} />
          </>
        )}
        {isWorthTrying && (
          <Button label={words.tryAgain} kind={draft ? 'plain' : 'brass'} onPress={onRetry} />
        )}
        {kind === 'damaged' && (
          <>
            <Button label={words.downloadTheFile} onPress={() => saveAddress(documentAddress(id))} />
            <Button label={words.removeIt} onPress={() => void remove()} />
          </>
        )}
        {kind === 'removed' && <Button label={words.restore} kind="brass" onPress={restore} />}
        <Button label={words.toTheShots} onPress={toList} />
      </View>
      <Messages />
    </View>
  );
}
