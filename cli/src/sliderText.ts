import type { Shot } from '@humble/core';
import { sliderFaults, sliderRows, writeSliderCsv } from '@humble/core/files';
import type { Answer } from './answer';
import { numberOf } from './input';
import { UsageError } from './usageError';

/** A move for a motor on a rail; where it would have to be faster than it can, that is told and the exit code is 2. */
export function sliderText(
  shot: Shot,
  values: Readonly<Partial<Record<'move' | 'max-speed' | 'max-acceleration', string>>>,
): Answer {
  const move = values.move === undefined ? shot.moves[0] : shot.moves.find(({ id }) => id === values.move);
  if (!move) throw new UsageError(`The shot has no move ${values.move}.`);
  const faults = sliderFaults(sliderRows(shot, move), {
    mostSpeed: numberOf(values['max-speed'], 'max-speed', Infinity),
    mostAcceleration: numberOf(values['max-acceleration'], 'max-acceleration', Infinity),
  });
  const [first] = faults;
  const unit = first?.of === 'speed' ? 'mm/s' : 'mm/s²';
  const note = first
    ? `On ${faults.length === 1 ? '1 frame' : `${faults.length} frames`} it is too fast for the slider. The first is frame ${first.frame}: its ${first.of} is ${first.needed.toFixed(1)} ${unit}, and ${first.most} is the most.`
    : undefined;
  return { text: writeSliderCsv(shot, move), note, code: first ? 2 : 0 };
}
