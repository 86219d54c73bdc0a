import type { Easing } from '@humble/core';
import { NumberField } from '../../ui/NumberField';

interface EasingNumbersProps {
  readonly easing: Easing;
  readonly frames: number;
  readonly onChange: (easing: Easing, undoGroup?: string) => void;
}

/** Percent of the way, for numbers that are shares. */
const percent = { unit: '%', decimals: 0 } as const;

/** What can be typed of an easing: frames, shares of the way, counts. */
export function EasingNumbers({ easing, frames, onChange }: EasingNumbersProps) {
  switch (easing.kind) {
    case 'ramped':
      return (
        <>
          <NumberField
            label="Leave slowly over"
            unit="frames"
            value={easing.leaveFrames}
            min={0}
            max={frames}
            onChange={(leaveFrames, undoGroup) => onChange({ ...easing, leaveFrames }, undoGroup)}
          />
          <NumberField
            label="Arrive slowly over"
            unit="frames"
            value={easing.arriveFrames}
            min={0}
            max={frames}
            onChange={(arriveFrames, undoGroup) => onChange({ ...easing, arriveFrames }, undoGroup)}
          />
        </>
      );
    case 'curve':
      return (['1', '2'] as const).map((n) => {
        const [x, y] = [`x${n}`, `y${n}`] as [`x${typeof n}`, `y${typeof n}`];
        const name = n === '1' ? 'First handle' : 'Second handle';
        return [
          <NumberField
            key={x}
            label={`${name}, after`}
            unit="frames"
            value={easing[x] * frames}
            min={0}
            max={frames}
            decimals={1}
            onChange={(value, undoGroup) => onChange({ ...easing, [x]: value / frames }, undoGroup)}
          />,
          <NumberField
            key={y}
            label={`${name}, at`}
            value={Math.round(easing[y] * 100)}
            min={-400}
            max={400}
            {...percent}
            onChange={(value, undoGroup) => onChange({ ...easing, [y]: value / 100 }, undoGroup)}
          />,
        ];
      });
    case 'slow-place':
      return (
        <>
          <NumberField
            label="Slowest at"
            value={Math.round(easing.at * 100)}
            min={0}
            max={100}
            {...percent}
            onChange={(value, undoGroup) => onChange({ ...easing, at: value / 100 }, undoGroup)}
          />
          <NumberField
            label="Slowed by"
            value={Math.round(easing.strength * 100)}
            min={0}
            max={99}
            {...percent}
            onChange={(value, undoGroup) => onChange({ ...easing, strength: value / 100 }, undoGroup)}
          />
        </>
      );
    case 'settle':
      return (
        <>
          <NumberField
            label="Passes the mark by"
            value={Math.round(easing.overshoot * 100)}
            min={1}
            max={90}
            {...percent}
            onChange={(value, undoGroup) => onChange({ ...easing, overshoot: value / 100 }, undoGroup)}
          />
          <NumberField
            label="Swings"
            value={easing.swings}
            min={1}
            max={20}
            onChange={(swings, undoGroup) => onChange({ ...easing, swings }, undoGroup)}
          />
        </>
      );
    case 'bounce':
      return (
        <>
          <NumberField
            label="Bounces"
            value={easing.count}
            min={0}
            max={20}
            onChange={(count, undoGroup) => onChange({ ...easing, count }, undoGroup)}
          />
          <NumberField
            label="Speed kept at a hit"
            value={Math.round(easing.restitution * 100)}
            min={5}
            max={95}
            {...percent}
            onChange={(value, undoGroup) => onChange({ ...easing, restitution: value / 100 }, undoGroup)}
          />
        </>
      );
    default:
      return null;
  }
}
