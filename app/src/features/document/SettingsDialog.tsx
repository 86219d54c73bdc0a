import { LONGEST_NAME } from '@humble/core';
import { useEdit, useThrottledShot } from '../../store/hooks';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../ui/Words';
import { useState } from 'react';
import { useShotLength } from '../../commands/useShotLength';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { TextField } from '../../ui/TextField';

const UNITS = [
  { value: 'field', label: 'Field units' },
  { value: 'mm', label: 'Millimetres' },
] as const;

interface DialogProps {
  readonly onClose: () => void;
}

/** Name, size of the field, rate and length of the shot. */
export function SettingsDialog({ onClose }: DialogProps) {
  const { name, field, rate, lengthFrames, sheet } = useThrottledShot();
  const edit = useEdit();
  const length = useShotLength();
  const [typed, setTyped] = useState<string | null>(null);
  const [isUnscaled, setUnscaled] = useState(false);
  const [isUnnamed, setUnnamed] = useState(false);
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
  const size = { width: field.width, height: field.height };
  return (
    <Dialog title="Shot settings" isOpen onClose={close}>
      <TextField
        label="Name"
        value={typed ?? name}
        onChange={(text) => setTyped(text.slice(0, LONGEST_NAME))}
        onBlur={rename}
        onSubmit={rename}
        error={isUnnamed ? 'A shot needs a name, so this one keeps its own.' : undefined}
      />
      <NumberField
        label="Rate"
        unit="a second"
        value={rate}
        min={1}
        max={240}
        decimals={3}
        onChange={(value, undoGroup) => edit('setRate', { rate: value }, undoGroup)}
      />
      <NumberField
        label="Length"
        unit="frames"
        value={lengthFrames}
        min={2}
        max={20_000}
        onChange={length.change}
        note={length.note}
      />
      <NumberField
        label="Field width"
        unit="units"
        value={field.width}
        min={16}
        max={20_000}
        step={10}
        onChange={(width, undoGroup) => edit('setFieldSize', { ...size, width }, undoGroup)}
      />
      <NumberField
        label="Field height"
        unit="units"
        value={field.height}
        min={16}
        max={20_000}
        step={10}
        onChange={(height, undoGroup) => edit('setFieldSize', { ...size, height }, undoGroup)}
      />
      <Words tone="soft" className="mt-1">
        Lengths in
      </Words>
      <Segmented
        label="Lengths in"
        value={sheet.units}
        options={UNITS}
        onChange={(units) => {
          if (units === 'field' || field.unitsPerMm !== null) edit('setSheet', { units });
          else setUnscaled(true);
        }}
      />
      {isUnscaled && field.unitsPerMm === null && (
        <Words role="status" tone="plum">
          Millimetres need a scale: set it in the Arc step, under “Backdrop”, or in the Sheet step, under the
          ruler.
        </Words>
      )}
      <Words tone="soft">
        The field is the area the camera sees. Arcs stay where they are when it changes.
      </Words>
      <Button label="Done" kind="brass" onPress={close} />
    </Dialog>
  );
}
