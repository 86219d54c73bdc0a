import { evaluateMove, type Move, type Taken } from '@humble/core';
import { deviationOf, setReading, standingPictures } from '@humble/core/shoot';
import { useEdit } from '../../store/hooks';
import { useThrottledShot } from '../../store/throttled/hooks';
import type { NumberFieldProps } from '../../ui/NumberField';

const MAX_STEP = 10_000;

/**
 * The step to a picture as it was measured along the arc, to be typed; null for the first picture, to which there is none.
 * On a table in perspective a millimetre is not everywhere as long in the picture: there a tap tells it better, and there
 * is no field.
 */
export function useMeasuredStep(
  told: Taken | null,
  move: Move | null,
): Omit<NumberFieldProps, 'label'> | null {
  const shot = useThrottledShot();
  const edit = useEdit();
  if (!told || !move || shot.shoot.perspective) return null;
  const pictures = standingPictures(shot);
  const before = pictures[pictures.findIndex(({ id }) => id === told.id) - 1];
  if (!before) return null;
  const { units, alongOf } = setReading(shot);
  const { arc, arcDistance } = evaluateMove(shot, move);
  const stands = (taken: Taken): number =>
    alongOf(arc, arcDistance[taken.frame - 1]!) + (deviationOf(shot, move.id, taken)?.along ?? 0);
  const unitsEach = units === 'mm' ? (shot.field.unitsPerMm ?? 1) : 1;
  return {
    value: Number((stands(told) - stands(before)).toFixed(2)),
    unit: units === 'mm' ? 'mm' : 'units',
    decimals: 2,
    step: 0.1,
    min: -MAX_STEP,
    max: MAX_STEP,
    onChange: (along, undoGroup) =>
      edit('setActualStep', { takenId: told.id, moveId: move.id, along: along * unitsEach }, undoGroup),
  };
}
