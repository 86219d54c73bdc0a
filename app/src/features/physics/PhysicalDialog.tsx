import { freshPhysical, type PhysicalKind, type PhysicalShape } from '@humble/core/physicalMoves';
import { plannedTiming } from '@humble/core/views';
import Timer from 'lucide-react-native/icons/timer';
import { useState } from 'react';
import { View } from 'react-native';
import { goTo } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { arcActivated } from '../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { Outcome } from './Outcome';
import { PhysicalFields, PLAIN_PHYSICS } from './PhysicalFields';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { physicsWords as words } from '../../words/physics';
import { useThrottledShot, useThrottledShotValue } from '../../store/throttled/hooks';

const KINDS = (Object.keys(words.kinds) as PhysicalKind[]).map((value) => ({
  value,
  label: words.kinds[value],
}));

export function PhysicalDialog({ onClose }: { readonly onClose: () => void }) {
  const unitsPerMm = useThrottledShotValue(({ field }) => field.unitsPerMm);
  return (
    <Dialog title={words.byItsWeight} isOpen onClose={onClose}>
      {unitsPerMm === null ? <Scale /> : <Maker unitsPerMm={unitsPerMm} onClose={onClose} />}
    </Dialog>
  );
}

const LIKELY_WIDTH_MM = 400;

function Scale() {
  const width = useThrottledShotValue(({ field }) => field.width);
  const edit = useEdit();
  const [mm, setMm] = useState(LIKELY_WIDTH_MM);
  return (
    <>
      <Words>{words.itsSizeMatters}</Words>
      <NumberField
        label={words.widthOfTheField}
        unit="mm"
        value={mm}
        min={10}
        max={100_000}
        step={10}
        onChange={setMm}
      />
      <Button
        label={words.useThisScale}
        kind="brass"
        onPress={() => edit('setScale', { unitsPerMm: width / mm, units: 'mm' })}
      />
    </>
  );
}

interface MakerProps {
  readonly unitsPerMm: number;
  readonly onClose: () => void;
}

function Maker({ unitsPerMm, onClose }: MakerProps) {
  const shot = useThrottledShot();
  const { field } = shot;
  const dispatch = useAppDispatch();
  const [kind, setKind] = useState<PhysicalKind>('pendulum');
  const [shape, setShape] = useState<PhysicalShape>(() => freshPhysical('pendulum', field));
  const [physics, setPhysics] = useState(PLAIN_PHYSICS);
  const make = (): void => {
    const done = dispatch(doEdit('makePhysical', { shape, ...physics }));
    const arcId = done?.made().arcs[0];
    if (!arcId) return;
    dispatch(arcActivated(arcId));
    goTo(1);
    onClose();
  };
  return (
    <>
      <Segmented
        label={words.byItsWeight}
        value={kind}
        options={KINDS}
        onChange={(next) => {
          setKind(next);
          setShape(freshPhysical(next, field));
        }}
      />
      <View>
        <PhysicalFields
          shape={shape}
          unitsPerMm={unitsPerMm}
          physics={physics}
          onShape={setShape}
          onPhysics={setPhysics}
        />
      </View>
      <Outcome timing={() => plannedTiming(shot, { shape, ...physics })} />
      <Button label={words.makeIt} kind="brass" icon={Timer} onPress={make} />
    </>
  );
}
