import { TERMS } from '../../words/terms';
import { backdropWords as words } from '../../words/backdrop';
import type { LengthUnit } from '@humble/core';
import Ruler from 'lucide-react-native/icons/ruler';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { lineLaid, toolChosen } from '../../store/editorSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { NumberField, type NumberFieldProps } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { PlaceFields } from '../../ui/PlaceFields';
import { useIntoView } from '../../ui/useIntoView';
import { Words } from '../../ui/Words';
import { useThrottledEditor, useThrottledShotValue } from '../../store/throttled/hooks';

const UNITS: readonly { readonly value: LengthUnit; readonly label: string }[] = [
  { value: 'mm', label: words.mm },
  { value: 'cm', label: words.cm },
  { value: 'in', label: words.inches },
];

/** What the scale is made from is in field units. */
const inFieldUnits = (props: Omit<NumberFieldProps, 'unit'>): NumberFieldProps => ({
  ...props,
  unit: words.fieldUnits,
  decimals: 1,
});

export function CalibrateCard() {
  const unitsPerMm = useThrottledShotValue((shot) => shot.field.unitsPerMm);
  const isMeasuring = useThrottledEditor((editor) => editor.tool === 'calibrate');
  const line = useThrottledEditor((editor) => editor.measured);
  const [length, setLength] = useState(100);
  const [unit, setUnit] = useState<LengthUnit>('mm');
  const width = useThrottledShotValue((shot) => shot.field.width);
  const height = useThrottledShotValue((shot) => shot.field.height);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const fieldLength = line ? Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y) : 0;
  const keep = (): void => {
    if (edit('calibrate', { fieldLength, length, unit })) dispatch(toolChosen('shape'));
  };
  const layLine = (): void => {
    const y = height / 2;
    dispatch(lineLaid({ from: { x: width / 4, y }, to: { x: (3 * width) / 4, y } }));
  };
  const known = useRef<View>(null);
  useIntoView(known, line !== null);
  const aside = unitsPerMm === null ? words.notSet : words.unitsPerMm(fixed(unitsPerMm, 2));
  return (
    <Card title={words.scale} term={TERMS.field} aside={aside} isActive={isMeasuring}>
      <Words tone="soft" className="mb-3">
        {isMeasuring
          ? line
            ? words.calibrationQuestion(fixed(fieldLength, 1))
            : words.drawALineInTheField
          : words.calibrationHelp}
      </Words>
      {isMeasuring && line && (
        <View ref={known} className="mb-2">
          <PlaceFields
            label={words.lineFrom}
            length={inFieldUnits}
            {...line.from}
            onChange={(from) => dispatch(lineLaid({ ...line, from }))}
          />
          <PlaceFields
            label={words.lineTo}
            length={inFieldUnits}
            {...line.to}
            onChange={(to) => dispatch(lineLaid({ ...line, to }))}
          />
          <NumberField
            label={words.knownLength}
            value={length}
            unit={unit}
            min={0.1}
            max={1e6}
            decimals={1}
            onChange={setLength}
          />
          <Segmented label={words.unitOfItsLength} value={unit} options={UNITS} onChange={setUnit} />
        </View>
      )}
      <View className="flex-row flex-wrap gap-2">
        {isMeasuring ? (
          <>
            <Button label={words.setThisScale} kind="brass" disabled={!(fieldLength > 0)} onPress={keep} />
            {!line && <Button label={words.typeTwoPlaces} onPress={layLine} />}
            <Button label={words.discard} kind="quiet" onPress={() => dispatch(toolChosen('shape'))} />
          </>
        ) : (
          <Button
            label={unitsPerMm === null ? words.setTheScale : words.measureAgain}
            icon={Ruler}
            onPress={() => dispatch(toolChosen('calibrate'))}
          />
        )}
      </View>
    </Card>
  );
}
