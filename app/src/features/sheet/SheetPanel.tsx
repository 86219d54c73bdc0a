import { sheetWords as words } from '../../words/sheet';
import Ruler from 'lucide-react-native/icons/ruler';
import Share from 'lucide-react-native/icons/share';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useThrottledMove, useThrottledShot } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { writeNumber } from '../../ui/numbers';
import { LazyIncrementsTable } from './LazyIncrementsTable';
import { RulerTray } from './RulerTray';

/** What one takes to the desk or the set: the increments, in units a ruler has. */
export function SheetPanel({ onExport }: { readonly onExport: () => void }) {
  const { sheet } = useThrottledShot();
  const move = useThrottledMove();
  const [isOpen, setOpen] = useState(false);
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
          pressed={isOpen}
          onPress={() => setOpen(!isOpen)}
          className="shrink"
        />
        <Button label={words.exportIt} icon={Share} disabled={!move} onPress={onExport} />
      </View>
      {isOpen && (
        <ScrollView className="max-h-[60%] grow-0" contentContainerClassName="px-4 pb-2">
          <RulerTray onClose={() => setOpen(false)} />
        </ScrollView>
      )}
      <LazyIncrementsTable canType />
    </View>
  );
}
