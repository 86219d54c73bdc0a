import type { Shot } from '@humble/core';
import { byCompass, movedArtwork, panTable, type PanStep } from '@humble/core/views';
import { lruMemoize } from '@reduxjs/toolkit';
import { useThrottledShotValue } from '../../store/throttled/hooks';
import { NumericText } from '../../ui/Words';
import { panWords as words } from '../../words/pan';

const panOf = lruMemoize(panTable);

const DECIMALS = 2;

/**
 * What is moved under a camera that stands still, up to a frame: the artwork, and each plane by its own step. Null for
 * figures that are no camera, and where nothing moves.
 */
export function artworkStepText(shot: Shot, moveId: string, frame: number): string | null {
  const pan = panOf(shot);
  const row = pan?.moveId === moveId ? pan.rows.find((one) => one.frame === frame) : undefined;
  if (!pan || !row) return null;
  const stepOf = (step: PanStep): string => byCompass(movedArtwork(step), DECIMALS);
  if (stepOf(row) === '') return null;
  const planes = row.planes.flatMap((step, i) =>
    pan.planes[i]!.distance === 1 || stepOf(step) === ''
      ? []
      : [words.planeStep(pan.names[i]!, stepOf(step))],
  );
  return [words.artworkInstead(stepOf(row)), ...planes].join('; ');
}

interface PanStepLineProps {
  readonly moveId: string;
  readonly frame: number;
}

/** For a stand whose camera is fixed: the artwork's step instead of the camera's. */
export function PanStepLine({ moveId, frame }: PanStepLineProps) {
  const text = useThrottledShotValue((shot) => artworkStepText(shot, moveId, frame));
  return text === null ? null : (
    <NumericText tone="soft" size="body" testID="next-artwork">
      {text}
    </NumericText>
  );
}
