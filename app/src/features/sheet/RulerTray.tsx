import { sheetWords as words } from '../../words/sheet';
import { useState } from 'react';
import { View } from 'react-native';
import { lengthsFor, MILLIMETRES } from '../../store/lengths';
import { useEdit } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { readNumber, writeNumber } from '../../ui/numbers';
import { Segmented } from '../../ui/Segmented';
import { Tray } from '../../ui/Tray';
import { TextField } from '../../ui/TextField';
import { Words } from '../../ui/Words';
import { useThrottledShot } from '../../store/throttled/hooks';

const UNITS = [
  { value: 'field', label: words.fieldUnits },
  { value: 'mm', label: words.millimetres },
] as const;

/** Steps found on rulers; any other can be typed. */
const STEPS = [0.25, 0.5, 1, 2];
const NOT_ROUNDED = 0;
const MIN_SCALE = 1e-4;
const MAX_SCALE = 1e5;

/** Units of the sheet, the scale that millimetres need, and the step of the ruler. */
export const RulerTray = ({ onClose }: { readonly onClose: () => void }) => (
  <Tray title={words.rulerAndUnits} closes={words.closeTheRuler} onClose={onClose}>
    <Step />
    <Scale />
    <View className="flex-row">
      <Button label={words.done} kind="brass" onPress={onClose} />
    </View>
  </Tray>
);

function Scale() {
  const { field, sheet } = useThrottledShot();
  const edit = useEdit();
  const { unitsPerMm, width } = field;
  const [asked, setAsked] = useState(false);
  const known = unitsPerMm !== null;
  return (
    <View className="gap-2">
      <Words tone="soft">{words.units}</Words>
      <Segmented
        label={words.units}
        value={asked && !known ? 'mm' : sheet.units}
        options={UNITS}
        onChange={(units) => {
          setAsked(units === 'mm');
          if (units === 'field' || known) edit('setSheet', { units });
        }}
      />
      <View className="flex-row gap-3">
        <TypedNumber
          key={`width-${unitsPerMm}`}
          label={words.widthOfTheFieldOnSet}
          unit={words.mm}
          value={known ? width / unitsPerMm : null}
          read={readMillimetres}
          isRight={(mm) => width / mm >= MIN_SCALE && width / mm <= MAX_SCALE}
          onChange={(mm) => edit('setScale', { unitsPerMm: width / mm, units: 'mm' })}
        />
        <TypedNumber
          key={`scale-${unitsPerMm}`}
          label={words.unitsPerMm}
          value={unitsPerMm}
          isRight={(scale) => scale >= MIN_SCALE && scale <= MAX_SCALE}
          onChange={(scale) => edit('setScale', { unitsPerMm: scale, units: 'mm' })}
        />
      </View>
      {!known && (
        <Words tone={asked ? 'plum' : 'soft'}>{asked ? words.scaleNeeded : words.withAScaleTheSheetIs}</Words>
      )}
    </View>
  );
}

function Step() {
  const { sheet } = useThrottledShot();
  const edit = useEdit();
  const step = sheet.rulerStep ?? NOT_ROUNDED;
  const options = [
    { value: NOT_ROUNDED, label: words.none },
    ...STEPS.map((value) => ({ value, label: String(value) })),
  ];
  const setStep = (value: number): void => {
    edit('setSheet', { rulerStep: value === NOT_ROUNDED ? null : value });
  };
  return (
    <View className="gap-2">
      <Words tone="soft">{words.rulerStep}</Words>
      <Segmented label={words.rulerStep} value={step} options={options} onChange={setStep} />
      <TypedNumber
        key={`step-${sheet.rulerStep}`}
        label={words.otherStep}
        value={sheet.rulerStep}
        isRight={(value) => value >= 0.001 && value <= 10_000}
        onChange={setStep}
      />
      <Words tone="soft">{words.roundingHelp}</Words>
    </View>
  );
}

function readMillimetres(text: string): number | null {
  const typed = lengthsFor(MILLIMETRES).read(text);
  return typeof typed === 'number' ? typed : null;
}

interface TypedNumberProps {
  readonly label: string;
  readonly unit?: string;
  readonly value: number | null;
  readonly read?: (text: string) => number | null;
  readonly isRight: (value: number) => boolean;
  readonly onChange: (value: number) => void;
}

/** A number that may not be there yet. Nonsense is said and changes nothing. */
function TypedNumber({ label, unit, value, read = readNumber, isRight, onChange }: TypedNumberProps) {
  const written = value === null ? '' : writeNumber(value, 3);
  const [text, setText] = useState(written);
  const [error, setError] = useState<string>();
  const finish = (): void => {
    if (text === written || text.trim() === '') return;
    const typed = read(text);
    if (typed !== null && isRight(typed)) {
      setError(undefined);
      onChange(typed);
    } else setError(words.typeAPositiveNumber);
  };
  return (
    <TextField
      label={label}
      unit={unit}
      isNumber
      value={text}
      onChange={setText}
      onBlur={finish}
      onSubmit={finish}
      error={error}
      className="flex-1"
    />
  );
}
