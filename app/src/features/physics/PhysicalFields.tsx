import { PHYSICAL, type Physics } from '@humble/core';
import {
  type PhysicalShape,
  type PhysicalSize,
  physicalKindOf,
  physicalSizes,
  type Rolls,
} from '@humble/core/physicalMoves';
import { View } from 'react-native';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { physicsWords as words } from '../../words/physics';

const ROLLS: readonly { readonly value: Rolls; readonly label: string }[] = [
  { value: 'slides', label: words.slides },
  { value: 'ball', label: words.ball },
  { value: 'cylinder', label: words.cylinder },
  { value: 'hoop', label: words.hoop },
];

/** How each measure is typed: its unit, and what stands in the field for 1 of it. */
const MEASURES: Readonly<
  Record<
    PhysicalSize['measure'],
    { readonly unit?: string; readonly times: number; readonly decimals: number }
  >
> = {
  mm: { unit: 'mm', times: 1, decimals: 1 },
  degrees: { unit: '°', times: 1, decimals: 1 },
  count: { times: 1, decimals: 0 },
  share: { unit: '%', times: 100, decimals: 0 },
};

/** Settings of a physical move that nothing was said about. */
export const PLAIN_PHYSICS: Physics = { damping: 0, swings: 2, rolls: 'slides', miniature: 1 };

interface PhysicalFieldsProps {
  readonly shape: PhysicalShape;
  readonly unitsPerMm: number;
  readonly physics: Physics;
  readonly onShape: (shape: PhysicalShape, undoGroup?: string) => void;
  readonly onPhysics: (physics: Physics, undoGroup?: string) => void;
}

export function PhysicalFields({ shape, unitsPerMm, physics, onShape, onPhysics }: PhysicalFieldsProps) {
  const set = (some: Partial<Physics>, undoGroup?: string): void =>
    onPhysics({ ...physics, ...some }, undoGroup);
  return (
    <>
      <Words tone="soft" className="mb-1">
        {words.about[physicalKindOf(shape)]}
      </Words>
      {physicalSizes(shape, unitsPerMm).map(({ name, measure, least, most, value, with: change }) => {
        const { unit, times, decimals } = MEASURES[measure];
        return (
          <NumberField
            key={name}
            label={words.sizes[name]}
            unit={unit}
            value={value * times}
            min={least * times}
            max={most * times}
            decimals={decimals}
            onChange={(typed, undoGroup) => onShape(change(typed / times), undoGroup)}
          />
        );
      })}
      {shape.kind === 'swing' && (
        <>
          <NumberField
            label={words.halfSwings}
            value={physics.swings}
            min={1}
            max={PHYSICAL.maxSwings}
            onChange={(swings, undoGroup) => set({ swings }, undoGroup)}
          />
          <NumberField
            label={words.lostInASwing}
            unit="%"
            value={physics.damping * 100}
            min={0}
            max={PHYSICAL.maxDamping * 100}
            onChange={(percent, undoGroup) => set({ damping: percent / 100 }, undoGroup)}
          />
        </>
      )}
      <NumberField
        label={words.miniature}
        value={physics.miniature}
        min={PHYSICAL.minMiniature}
        max={PHYSICAL.maxMiniature}
        decimals={1}
        onChange={(miniature, undoGroup) => set({ miniature }, undoGroup)}
      />
      {shape.kind === 'line' && (
        <View className="mt-1">
          <Segmented
            label={words.whatComesDown}
            value={physics.rolls}
            options={ROLLS}
            onChange={(rolls) => set({ rolls })}
          />
        </View>
      )}
    </>
  );
}
