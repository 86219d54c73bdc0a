import { type Figure, MAX_SEQUENCE_LENGTH } from '@humble/core';
import ImagePlus from 'lucide-react-native/icons/image-plus';
import Scissors from 'lucide-react-native/icons/scissors';
import Footprints from 'lucide-react-native/icons/footprints';
import ScanLine from 'lucide-react-native/icons/scan-line';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { cutStrip } from '../../../persistence/cutStrip';
import { messageShown } from '../../../store/sessionSlice';
import { useAppDispatch } from '../../../store/hooks';
import { ActionRow } from '../../../ui/ActionRow';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { pickPictures } from '../../../ui/files';
import { lazyWithRetry } from '../../../ui/lazyWithRetry';
import { scansWords } from '../../../words/scans';
import { NumberPair } from '../../../ui/NumberField';
import { Words } from '../../../ui/Words';
import { cycleWords as words } from '../../../words/cycle';
import { BringProgress } from '../BringProgress';
import { useBringDrawings } from '../useBringDrawings';
import { crabFiles, withCrabFeet } from './crabDrawings';

interface GetDrawingsProps {
  readonly figure: Figure;
  readonly hasDrawings: boolean;
}

const ScansDialog = lazyWithRetry(() => import('../scans/ScansDialog').then((part) => part.ScansDialog));
const NO_FILES: readonly File[] = [];

export function GetDrawings({ figure, hasDrawings }: GetDrawingsProps) {
  const bringing = useBringDrawings(figure.id);
  const ours = useBringDrawings(figure.id, withCrabFeet);
  const [isCutting, setCutting] = useState(false);
  const [scans, setScans] = useState<readonly File[]>(NO_FILES);
  const closeScans = useCallback(() => setScans(NO_FILES), []);
  const isBusy = bringing.progress !== null || ours.progress !== null;
  return (
    <>
      <Card title={words.importDrawings}>
        <Words tone="soft">{hasDrawings ? words.oursSentence : words.noDrawings}</Words>
        {!hasDrawings && <Words tone="soft">{words.needsDrawings}</Words>}
        <ActionRow
          actions={[
            {
              label: words.importDrawings,
              icon: ImagePlus,
              disabled: isBusy,
              onPress: () => void bringing.bring(),
            },
            {
              label: scansWords.scans,
              icon: ScanLine,
              disabled: isBusy,
              onPress: () => void pickPictures('image/*').then(setScans),
            },
            {
              label: words.cutStrip,
              icon: Scissors,
              disabled: isBusy,
              onPress: () => setCutting(!isCutting),
            },
            {
              label: words.ours,
              icon: Footprints,
              disabled: isBusy,
              onPress: () => void ours.bring(crabFiles()),
            },
          ]}
        />
        <BringProgress {...bringing} />
        <BringProgress {...ours} />
      </Card>
      {scans.length > 0 && <ScansDialog files={scans} figureId={figure.id} onClose={closeScans} />}
      {isCutting && <StripCard onCells={(cells) => bringing.bring(cells)} onDone={() => setCutting(false)} />}
    </>
  );
}

interface StripCardProps {
  readonly onCells: (cells: readonly File[]) => Promise<void>;
  readonly onDone: () => void;
}

function StripCard({ onCells, onDone }: StripCardProps) {
  const dispatch = useAppDispatch();
  const [across, setAcross] = useState(8);
  const [down, setDown] = useState(1);
  const count = across * down;
  const cut = async (): Promise<void> => {
    const [strip] = await pickPictures('image/*,.svg');
    if (!strip) return;
    try {
      const cells = await cutStrip(strip, across, down);
      await onCells(cells);
      onDone();
    } catch (error) {
      dispatch(messageShown((error as Error).message));
    }
  };
  return (
    <Card title={words.cutStrip} isActive>
      <Words tone="soft">{words.stripSentence}</Words>
      <NumberPair
        pair={[
          { label: words.cells, value: across, min: 1, max: 200, onChange: setAcross },
          { label: words.cellRows, value: down, min: 1, max: 200, onChange: setDown },
        ]}
      />
      <View className="mt-2 flex-row">
        <Button
          label={words.cutInto(count)}
          kind="brass"
          disabled={count > MAX_SEQUENCE_LENGTH}
          onPress={() => void cut()}
        />
      </View>
    </Card>
  );
}
