import { documentWords as words } from '../../words/document';
import { FIELD_SIDE, inFormat, MAX_NAME_LENGTH } from '@humble/core';
import { useEdit } from '../../store/hooks';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../ui/Words';
import { type ReactNode, useState } from 'react';
import { useShotLength } from '../../commands/useShotLength';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { TextField } from '../../ui/TextField';
import { writeNumber } from '../../ui/numbers';
import { lengthsFor, MILLIMETRES } from '../../store/lengths';
import { FoldingSection } from '../../ui/FoldingSection';
import { Toggle } from '../../ui/Toggle';
import { useThrottledShot } from '../../store/throttled/hooks';

const UNITS = [
  { value: 'field', label: words.fieldUnits },
  { value: 'mm', label: words.millimetres },
] as const;

const SIDE = {
  unit: words.units,
  min: FIELD_SIDE.min,
  max: FIELD_SIDE.max,
  step: 10,
  decimals: 1,
} as const;

const MM_DECIMALS = 2;

/** How wide the field is on the set, which is the scale; empty for none. */
function WidthOnSet() {
  const { width, unitsPerMm } = useThrottledShot().field;
  const edit = useEdit();
  const [text, setText] = useState<string | null>(null);
  const [isRefused, setRefused] = useState(false);
  const finish = (): void => {
    if (text === null) return;
    setText(null);
    const mm = text.trim() === '' ? null : lengthsFor(MILLIMETRES).read(text);
    const isLength = typeof mm === 'number' && mm > 0 && mm <= MAX_MM;
    setRefused(mm !== null && !isLength);
    if (mm === null && text.trim() === '') edit('setScale', { unitsPerMm: null });
    else if (isLength) edit('setScale', { unitsPerMm: width / mm, units: 'mm' });
    else setRefused(true);
  };
  return (
    <TextField
      label={words.widthOnSet}
      unit="mm"
      isNumber
      placeholder={words.noScale}
      value={text ?? (unitsPerMm === null ? '' : writeNumber(width / unitsPerMm, MM_DECIMALS))}
      onChange={setText}
      onBlur={finish}
      onSubmit={finish}
      error={isRefused ? words.widthRefusal : undefined}
    />
  );
}

const MAX_MM = 1e6;

interface SettingsDialogProps {
  readonly onClose: () => void;
  readonly thresholds: ReactNode;
}

export function SettingsDialog({ onClose, thresholds }: SettingsDialogProps) {
  const { name, field, rate, lengthFrames, sheet } = useThrottledShot();
  const edit = useEdit();
  const length = useShotLength();
  const [typed, setTyped] = useState<string | null>(null);
  const [isUnscaled, setUnscaled] = useState(false);
  const [isUnnamed, setUnnamed] = useState(false);
  const [showsThresholds, setShowsThresholds] = useState(false);
  const rename = (): void => {
    const next = (typed ?? name).trim();
    setTyped(null);
    setUnnamed(next === '');
    if (next !== '' && next !== name) edit('renameShot', { name: next });
  };
  const close = (): void => {
    rename();
    onClose();
  };
  const [isLocked, setLocked] = useState(true);
  // The format as it was when it was locked: rounding does not add up while a number is typed.
  const [format, setFormat] = useState(field.width / field.height);
  const sized = (side: 'width' | 'height', to: number, undoGroup?: string): void => {
    const free = { width: field.width, height: field.height, [side]: to };
    edit('setFieldSize', isLocked ? inFormat(side, to, format) : free, undoGroup);
  };
  return (
    <Dialog title={words.shotSettings} isOpen onClose={close}>
      <TextField
        label={words.name}
        value={typed ?? name}
        onChange={(text) => setTyped(text.slice(0, MAX_NAME_LENGTH))}
        onBlur={rename}
        onSubmit={rename}
        error={isUnnamed ? words.aShotNeedsANameSo : undefined}
      />
      <NumberField
        label={words.rate}
        unit={words.aSecond}
        value={rate}
        min={1}
        max={240}
        decimals={3}
        onChange={(value, undoGroup) => edit('setRate', { rate: value }, undoGroup)}
      />
      <NumberField
        label={words.length}
        unit={words.frames}
        value={lengthFrames}
        min={2}
        max={20_000}
        onChange={length.change}
        note={length.note}
      />
      <NumberField
        {...SIDE}
        label={words.fieldWidth}
        value={field.width}
        onChange={(width, undoGroup) => sized('width', width, undoGroup)}
      />
      <NumberField
        {...SIDE}
        label={words.fieldHeight}
        value={field.height}
        onChange={(height, undoGroup) => sized('height', height, undoGroup)}
      />
      <Toggle
        label={words.keepTheFormat}
        value={isLocked}
        onChange={(keeps) => {
          setLocked(keeps);
          setFormat(field.width / field.height);
        }}
      />
      <WidthOnSet />
      <Words tone="soft" className="mt-1">
        {words.lengthsIn}
      </Words>
      <Segmented
        label={words.lengthsIn}
        value={sheet.units}
        options={UNITS}
        onChange={(units) => {
          if (units === 'field' || field.unitsPerMm !== null) edit('setSheet', { units });
          else setUnscaled(true);
        }}
      />
      {isUnscaled && field.unitsPerMm === null && (
        <Words role="status" tone="plum">
          {words.scaleMissing}
        </Words>
      )}
      <Words tone="soft">{words.theFieldIsTheAreaThe}</Words>
      <FoldingSection
        title={words.checkThresholds}
        isOpen={showsThresholds}
        onToggle={() => setShowsThresholds(!showsThresholds)}
      >
        {thresholds}
      </FoldingSection>
      <Button label={words.done} kind="brass" onPress={close} />
    </Dialog>
  );
}
