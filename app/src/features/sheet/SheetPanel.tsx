import { sheetWords as words } from '../../words/sheet';
import Ruler from 'lucide-react-native/icons/ruler';
import Share from 'lucide-react-native/icons/share';
import { type ComponentType, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { type GroupName, wordsOfGroup } from '../../kinds/groups';
import { groupBroughtForward } from '../../store/settingsSlice';
import { Button, IconButton } from '../../ui/Button';
import { writeNumber } from '../../ui/numbers';
import { useLayout } from '../../ui/layout';
import { Tabs } from '../../ui/Tabs';
import { benchWords } from '../../words/bench';
import { findingWords } from '../../words/findings';
import { Findings } from './Findings';
import { LazyExposureSheet, LazyIncrementsTable, LazyPanGroup, LazySheetCharts } from './lazyTables';
import { PickedFrames } from './PickedFrames';
import { SoundGroup } from './sound/SoundGroup';
import { RulerTray } from './RulerTray';
import { useFindings } from './useFindings';
import { useThrottledMove, useThrottledShot } from '../../store/throttled/hooks';

const countText = (count: number): string =>
  count === 0 ? findingWords.nothingFound : findingWords.findings(count);

type SheetTray = 'ruler' | 'findings';

type SheetGroup = GroupName<'sheet'>;

/** What fills the panel beneath the line of groups; one that is missing does not compile. */
const CONTENTS: Readonly<Record<SheetGroup, ComponentType>> = {
  increments: () => (
    <>
      <PickedFrames />
      <LazyIncrementsTable canType />
    </>
  ),
  exposures: () => (
    <>
      <PickedFrames />
      <LazyExposureSheet />
    </>
  ),
  charts: LazySheetCharts,
  pan: LazyPanGroup,
  sound: SoundGroup,
};

const GROUPS = (Object.keys(CONTENTS) as SheetGroup[]).map((value) => ({
  value,
  label: wordsOfGroup('sheet', value).label,
}));

export function SheetPanel({ onExport }: { readonly onExport: () => void }) {
  const { sheet } = useThrottledShot();
  const move = useThrottledMove();
  const { groupInFront } = useSettings();
  const group = groupInFront.sheet && groupInFront.sheet in CONTENTS ? groupInFront.sheet : 'increments';
  const Content = CONTENTS[group];
  const { isWide } = useLayout();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<SheetTray | null>(null);
  const { findings, isFresh } = useFindings();
  const toggled = (what: SheetTray) => () => setOpen(open === what ? null : what);
  const unit = sheet.units === 'mm' ? 'mm' : 'units';
  const label =
    sheet.rulerStep === null
      ? words.inUnitNotRounded(unit)
      : words.ruler(writeNumber(sheet.rulerStep, 3), unit);
  const groups = (
    <Tabs
      label={benchWords.group}
      value={group}
      options={GROUPS}
      onChange={(value) => dispatch(groupBroughtForward({ step: 'sheet', group: value }))}
    />
  );
  const tools = (
    <View className={`flex-row items-center gap-1 ${isWide ? 'pr-3' : 'justify-between px-4 py-1'}`}>
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
      {!isWide && <IconButton label={words.exportIt} icon={Share} disabled={!move} onPress={onExport} />}
    </View>
  );
  return (
    <View className="flex-1">
      {isWide ? (
        <View className="flex-row items-center justify-between border-b border-line">
          <View className="min-w-0 shrink">{groups}</View>
          {tools}
        </View>
      ) : (
        <>
          <View>{groups}</View>
          {tools}
        </>
      )}
      {open !== null && (
        <ScrollView className="max-h-[60%] grow-0" contentContainerClassName="px-4 py-2">
          {open === 'ruler' && <RulerTray onClose={() => setOpen(null)} />}
          {open === 'findings' && findings && <Findings findings={findings} />}
        </ScrollView>
      )}
      <Content />
    </View>
  );
}
