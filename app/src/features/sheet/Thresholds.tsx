import { MAX_THRESHOLDS, type Thresholds as ShotThresholds } from '@humble/core';
import { useEdit } from '../../store/hooks';
import { NumberField } from '../../ui/NumberField';
import { findingWords as words } from '../../words/findings';
import { useThrottledShotValue } from '../../store/throttled/hooks';

interface Row {
  readonly name: keyof ShotThresholds;
  readonly label: string;
  readonly unit: string;
  /** What stands in the field for 1 of the threshold. */
  readonly times: number;
  readonly step: number;
  readonly decimals: number;
}

const percent = { unit: '%', times: 100, step: 1, decimals: 0 } as const;
const mm = { unit: 'mm', times: 1, step: 0.1, decimals: 2 } as const;
const units = { unit: words.units, times: 1, step: 0.5, decimals: 1 } as const;

const ROWS: readonly Row[] = [
  { name: 'changeMm', label: words.changeOfSpacing, ...mm },
  { name: 'changeUnits', label: words.changeOfSpacing, ...units },
  { name: 'changeShare', label: words.changeShare, ...percent },
  { name: 'handMm', label: words.handsLeast, ...mm },
  { name: 'handUnits', label: words.handsLeast, ...units },
  { name: 'offShare', label: words.offThePlan, ...percent },
  { name: 'turnDeg', label: words.turnInOnePicture, unit: '°', times: 1, step: 1, decimals: 0 },
  { name: 'slipShare', label: words.slipOfTheStride, ...percent },
  { name: 'marginShare', label: words.safeMargins, ...percent },
];

export function ThresholdsCard() {
  const thresholds = useThrottledShotValue((shot) => shot.thresholds);
  const hasScale = useThrottledShotValue(({ field }) => field.unitsPerMm !== null);
  const edit = useEdit();
  const isShown = ({ name }: Row): boolean => (hasScale ? !name.endsWith('Units') : !name.endsWith('Mm'));
  return ROWS.filter(isShown).map(({ name, label, unit, times, step, decimals }) => (
    <NumberField
      key={name}
      label={label}
      unit={unit}
      value={thresholds[name] * times}
      min={0}
      max={MAX_THRESHOLDS[name] * times}
      step={step}
      decimals={decimals}
      onChange={(value, undoGroup) => edit('setThresholds', { [name]: value / times }, undoGroup)}
    />
  ));
}
