import type { LengthUnit } from '@humble/core';
import Ruler from 'lucide-react-native/icons/ruler';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useEdit, useThrottledEditor, useThrottledShotValue } from '../../store/hooks';
import { toolChosen } from '../../store/editorSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';

const UNITS: readonly { readonly value: LengthUnit; readonly label: string }[] = [
  { value: 'mm', label: 'mm' },
  { value: 'cm', label: 'cm' },
  { value: 'in', label: 'inches' },
];

/** The scale of the field, from a line over something whose length is known. */
export function CalibrateCard() {
  const unitsPerMm = useThrottledShotValue((shot) => shot.field.unitsPerMm);
  const isMeasuring = useThrottledEditor((editor) => editor.tool === 'calibrate');
  const line = useThrottledEditor((editor) => editor.measured);
  const [length, setLength] = useState(100);
  const [unit, setUnit] = useState<LengthUnit>('mm');
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const fieldLength = line ? Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y) : 0;
  const keep = (): void => {
    if (edit('calibrate', { fieldLength, length, unit })) dispatch(toolChosen('shape'));
  };
  const aside = unitsPerMm === null ? 'not set' : `${fixed(unitsPerMm, 2)} units per mm`;
  return (
    <Card title="Scale" aside={aside} isActive={isMeasuring}>
      <Words tone="soft" className="mb-3">
        {isMeasuring
          ? line
            ? `The line is ${fixed(fieldLength, 1)} units long. How long is it on the set?`
            : 'Draw a line in the field over something whose length you know: a ruler, a plank, a puppet.'
          : 'With a scale, places and increments are given in millimetres, ready for a ruler.'}
      </Words>
      {isMeasuring && line && (
        <View className="mb-2">
          <NumberField
            label="Known length"
            value={length}
            unit={unit}
            min={0.1}
            max={1e6}
            decimals={1}
            onChange={setLength}
          />
          <Segmented label="Unit of its length" value={unit} options={UNITS} onChange={setUnit} />
        </View>
      )}
      <View className="flex-row flex-wrap gap-2">
        {isMeasuring ? (
          <>
            <Button label="Set this scale" kind="brass" disabled={!(fieldLength > 0)} onPress={keep} />
            <Button label="Discard" kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />
          </>
        ) : (
          <Button
            label={unitsPerMm === null ? 'Set the scale' : 'Measure again'}
            icon={Ruler}
            onPress={() => dispatch(toolChosen('calibrate'))}
          />
        )}
      </View>
    </Card>
  );
}
