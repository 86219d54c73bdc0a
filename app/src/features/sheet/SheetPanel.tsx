import { sheetWords as words } from '../../words/sheet';
import Music from 'lucide-react-native/icons/music';
import Ruler from 'lucide-react-native/icons/ruler';
import Share from 'lucide-react-native/icons/share';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { Button, IconButton } from '../../ui/Button';
import { writeNumber } from '../../ui/numbers';
import { Segmented } from '../../ui/Segmented';
import { exposureSheetWords as sheetViewWords } from '../../words/exposures';
import { findingWords } from '../../words/findings';
import { Findings } from './Findings';
import { LazyExposureSheet, LazyIncrementsTable, LazySheetCharts } from './lazyTables';
import { PickedFrames } from './PickedFrames';
import { SoundTray } from './sound/SoundTray';
import { RulerTray } from './RulerTray';
import { useFindings } from './useFindings';
import { useThrottledMove, useThrottledShot } from '../../store/throttled/hooks';

const countText = (count: number): string =>
  count === 0 ? findingWords.nothingFound : findingWords.findings(count);

type SheetTray = 'ruler' | 'findings' | 'sound';

const VIEWS = [
  { value: 'increments', label: sheetViewWords.increments },
  { value: 'exposures', label: sheetViewWords.exposures },
  { value: 'charts', label: sheetViewWords.charts },
] as const;

export function SheetPanel({ onExport }: { readonly onExport: () => void }) {
  const { sheet } = useThrottledShot();
  const move = useThrottledMove();
  const { sheetView } = useSettings();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<SheetTray | null>(null);
  const { findings, isFresh } = useFindings();
  const toggled = (what: SheetTray) => () => setOpen(open === what ? null : what);
  const unit = sheet.units === 'mm' ? 'mm' : 'units';
  const label =
    sheet.rulerStep === null
      ? words.inUnitNotRounded(unit)
      : words.ruler(writeNumber(sheet.rulerStep, 3), unit);
  return (
    <View className="flex-1">
      <View className="flex-row items-center justify-between gap-1 px-4 pb-2">
        <Button
          label={label}
          shows={sheet.rulerStep === null ? words.inUnit(unit) : label}
          icon={Ruler}
          pressed={open === 'ruler'}
          onPress={toggled('ruler')}
          className="min-w-0 shrink px-[10px]"
        />
        <Button
          label={
            findings && isFresh
              ? countText(findings.filter(({ isLetBe }) => !isLetBe).length)
              : findingWords.checking
          }
          kind={open === 'findings' ? 'plain' : 'quiet'}
          pressed={open === 'findings'}
          onPress={toggled('findings')}
          className="shrink-0 px-[10px]"
        />
        <IconButton
          label={sheetViewWords.sound}
          icon={Music}
          pressed={open === 'sound'}
          onPress={toggled('sound')}
        />
        <IconButton label={words.exportIt} icon={Share} disabled={!move} onPress={onExport} />
      </View>
      {open !== null && (
        <ScrollView className="max-h-[60%] grow-0" contentContainerClassName="px-4 pb-2">
          {open === 'ruler' && <RulerTray onClose={() => setOpen(null)} />}
          {open === 'findings' && findings && <Findings findings={findings} />}
          {open === 'sound' && <SoundTray onClose={() => setOpen(null)} />}
        </ScrollView>
      )}
      <View className="px-4 pb-2">
        <Segmented
          label={sheetViewWords.view}
          value={sheetView}
          options={VIEWS}
          onChange={(view) => dispatch(settingsChanged({ sheetView: view }))}
        />
      </View>
      <PickedFrames />
      {sheetView === 'increments' && <LazyIncrementsTable canType />}
      {sheetView === 'exposures' && <LazyExposureSheet />}
      {sheetView === 'charts' && <LazySheetCharts />}
    </View>
  );
}
