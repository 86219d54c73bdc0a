import Ruler from 'lucide-react-native/icons/ruler';
import Share from 'lucide-react-native/icons/share';
import { useState } from 'react';
import { View } from 'react-native';
import { useThrottledMove, useThrottledShot } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { writeNumber } from '../../ui/numbers';
import { LazyIncrementsTable } from './LazyIncrementsTable';
import { lazyWithRetry } from '../../ui/lazyWithRetry';

const RulerDialog = lazyWithRetry(() => import('./RulerDialog').then((part) => part.RulerDialog));

/** What one takes to the desk or the set: the increments, in units a ruler has. */
export function SheetPanel({ onExport }: { readonly onExport: () => void }) {
  const { sheet } = useThrottledShot();
  const move = useThrottledMove();
  const [isOpen, setOpen] = useState(false);
  const unit = sheet.units === 'mm' ? 'mm' : 'units';
  const label =
    sheet.rulerStep === null ? `In ${unit}, not rounded` : `Ruler ${writeNumber(sheet.rulerStep, 3)} ${unit}`;
  return (
    <View className="flex-1">
      <View className="flex-row items-center justify-between gap-2 px-4 pb-2">
        <Button label={label} icon={Ruler} onPress={() => setOpen(true)} className="shrink" />
        <Button label="Export" icon={Share} disabled={!move} onPress={onExport} />
      </View>
      <LazyIncrementsTable canType />
      <RulerDialog isOpen={isOpen} onClose={() => setOpen(false)} />
    </View>
  );
}
