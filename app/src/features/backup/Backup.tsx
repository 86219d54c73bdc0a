import Archive from 'lucide-react-native/icons/archive';
import ArrowLeft from 'lucide-react-native/icons/chevron-left';
import ArchiveRestore from 'lucide-react-native/icons/archive-restore';
import { useEffect, useRef, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { api } from '../../persistence/api';
import {
  BACKUP_ADDRESS,
  listCopies,
  lookAtBackup,
  lookAtCopy,
  type LookedBackup as Looked,
  restoreBackup,
  type RestoreWay,
} from '../../persistence/backups';
import { errorSentence } from '../../store/errorSentence';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button, IconButton } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { pickFiles, saveAddress } from '../../ui/files';
import { NumericText, Words } from '../../ui/Words';
import { backupWords as words } from '../../words/backup';
import { dayOf } from './dayOf';
import { LookedBackup } from './LookedBackup';
import { OnThisDevice } from './OnThisDevice';

const KINDS = '.zip,.sqlite,application/zip';

/** What is under way, in words; null when nothing is. */
type Busy = string | null;

/** Everything as one file, and back again; the daily copies; what this device keeps. */
export function Backup({ onBack }: { readonly onBack: () => void }) {
  const dispatch = useAppDispatch();
  const [busy, setBusy] = useState<Busy>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [days, setDays] = useState<readonly string[]>([]);
  const underWay = useRef<AbortController | null>(null);
  useEffect(() => {
    listCopies().then(setDays, () => undefined);
    const controller = underWay;
    return () => controller.current?.abort();
  }, []);

  const look = async (what: string, ask: (signal: AbortSignal) => Promise<Looked>): Promise<void> => {
    const controller = new AbortController();
    underWay.current = controller;
    setProblem(null);
    setLooked(null);
    setBusy(what);
    try {
      setLooked(await ask(controller.signal));
    } catch (error) {
      if (!controller.signal.aborted) setProblem(errorSentence(error));
    } finally {
      setBusy(null);
    }
  };
  const read = async (): Promise<void> => {
    const [file] = await pickFiles(KINDS);
    if (file) await look(words.reading(file.name), (signal) => lookAtBackup(file, signal));
  };
  const restore = async (way: RestoreWay): Promise<void> => {
    setBusy(words.restoring);
    setProblem(null);
    try {
      const { added, renamed, same, setAside } = await restoreBackup(looked!.id, way);
      dispatch(
        messageShown(setAside === null ? words.added(added, renamed, same) : words.replaced(added, setAside)),
      );
      setLooked(null);
      dispatch(api.util.invalidateTags(['List', 'Easings', 'Revisions']));
    } catch (error) {
      setProblem(errorSentence(error));
    } finally {
      setBusy(null);
    }
  };
  return (
    <View className="min-h-0 flex-1">
      <View className="h-[48px] flex-row items-center border-b border-line bg-card pr-2">
        <IconButton label={words.back} icon={ArrowLeft} onPress={onBack} />
        <Words role="heading" size="title" strong>
          {words.title}
        </Words>
      </View>
      <ScrollView contentContainerClassName="mx-auto w-full max-w-[760px] gap-3 px-4 pb-6 pt-3">
        <View className="gap-2">
          <Button
            label={words.save}
            kind="brass"
            icon={Archive}
            onPress={() => saveAddress(BACKUP_ADDRESS)}
          />
          <Words tone="soft">{words.saveHelp}</Words>
          <Button
            label={words.read}
            icon={ArchiveRestore}
            disabled={busy !== null}
            onPress={() => void read()}
          />
          <Words tone="soft">{words.readHelp}</Words>
        </View>
        {busy !== null && (
          <View className="flex-row items-center justify-between gap-2">
            <Words role="status" aria-live="polite" className="shrink">
              {busy}
            </Words>
            {busy !== words.restoring && (
              <Button label={words.cancel} kind="quiet" onPress={() => underWay.current?.abort()} />
            )}
          </View>
        )}
        {problem && (
          <Words role="alert" tone="plum">
            {problem}
          </Words>
        )}
        {looked && (
          <LookedBackup backup={looked} isBusy={busy !== null} onRestore={(way) => void restore(way)} />
        )}
        <Card title={words.copies}>
          <Words tone="soft">{days.length === 0 ? words.noCopies : words.copiesHelp}</Words>
          <View role="list" aria-label={words.copies}>
            {days.map((day) => (
              <View key={day} role="listitem" className="flex-row items-center justify-between">
                <NumericText>{dayOf(day)}</NumericText>
                <Button
                  label={words.look(dayOf(day))}
                  shows={words.lookShort}
                  kind="quiet"
                  disabled={busy !== null}
                  onPress={() =>
                    void look(words.readingCopy(dayOf(day)), (signal) => lookAtCopy(day, signal))
                  }
                />
              </View>
            ))}
          </View>
        </Card>
        <OnThisDevice />
      </ScrollView>
    </View>
  );
}
