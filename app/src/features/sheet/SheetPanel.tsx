import { sheetWords as words } from '../../words/sheet';
import Ruler from 'lucide-react-native/icons/ruler';
import Share from 'lucide-react-native/icons/share';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useThrottledMove, useThrottledShot } from '../../store/hooks';
import { Button, IconButton } from '../../ui/Button';
import { writeNumber } from '../../ui/numbers';
import { findingWords } from '../../words/findings';
import { Findings } from './Findings';
import { LazyIncrementsTable } from './LazyIncrementsTable';
import { RulerTray } from './RulerTray';
import { useFindings } from './useFindings';

const countText = (count: number): string =>
  count === 0 ? findingWords.nothingFound : findingWords.findings(count);

/** What one takes to the desk or the set: the increments, in units a ruler has. */
export function SheetPanel({ onExport }: { readonly onExport: () => void }) {
  const { sheet } = useThrottledShot();
  const move = useThrottledMove();
  const [open, setOpen] = useState<'ruler' | 'findings' | null>(null);
  const findings = useFindings();
  const toggled = (what: 'ruler' | 'findings') => () => setOpen(open === what ? null : what);
  const unit = sheet.units === 'mm' ? 'mm' : 'units';
  const label =
    sheet.rulerStep === null
      ? words.inUnitNotRounded(unit)
      : words.ruler(writeNumber(sheet.rulerStep, 3), unit);
  return (
    <View className="flex-1">
      <View className="flex-row flex-wrap items-center justify-between gap-2 px-4 pb-2">
        <Button
          label={label}
          icon={Ruler}
          pressed={open === 'ruler'}
          onPress={toggled('ruler')}
          className="shrink"
        />
        <Button
          label={
            findings === null
              ? findingWords.checking
              : countText(findings.filter(({ isLetBe }) => !isLetBe).length)
          }
          kind={open === 'findings' ? 'plain' : 'quiet'}
          pressed={open === 'findings'}
          onPress={toggled('findings')}
        />
        <IconButton label={words.exportIt} icon={Share} disabled={!move} onPress={onExport} />
      </View>
      {open !== null && (
        <ScrollView className="max-h-[60%] grow-0" contentContainerClassName="px-4 pb-2">
          {open === 'ruler' ? (
            <RulerTray onClose={() => setOpen(null)} />
          ) : (
            findings && <Findings findings={findings} />
          )}
        </ScrollView>
      )}
      <LazyIncrementsTable canType />
    </View>
  );
}
