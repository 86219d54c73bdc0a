import { drawingCount, type Passage } from '@humble/core';
import { frameOfSeconds, incrementTable } from '@humble/core/views';
import { memo, useDeferredValue } from 'react';
import Svg, { Path, Text } from 'react-native-svg';
import { useSoundWave, wavePath } from '../../playback/soundWave';
import { selectActiveFindings } from '../../store/selectors/activeFindings';
import { colour } from '../../ui/colour';
import { MONO } from '../../ui/fonts';
import { FINDING_LINE_PX, findingMarks } from '../../ui/findingMarks';
import { selectPassage } from '../../store/selectors/timingSelection';
import { drawingLabels } from './drawingLabels';
import { RAIL_TARGETS } from './railTargets';
import { along, EDGE_TOP, frameAlong, SIDE } from './railView';
import {
  useThrottledMove,
  useThrottledSelector,
  useThrottledShot,
  useThrottledShotValue,
} from '../../store/throttled/hooks';

const edgesPath = ({ from, until }: Passage, x: (frame: number) => number): string =>
  [from, until].map((frame) => `M${x(frame) - 5} ${EDGE_TOP + 6}h10v14h-10Z`).join('');

interface RailExtrasProps {
  readonly width: number;
  readonly height: number;
  readonly lengthFrames: number;
}

const WAVE_MIDDLE = 22;
const WAVE_HALF = 11;
/** Rings of findings begin so far above the foot of the rail, pixels. */
const FINDINGS_PX = 9;

export const RailExtras = memo(function RailExtras({ width, height, lengthFrames }: RailExtrasProps) {
  const wave = useSoundWave();
  const rate = useThrottledShotValue((shot) => shot.rate);
  const cues = useThrottledShotValue((shot) => shot.cues);
  const passage = useThrottledSelector(selectPassage);
  const findings = useThrottledSelector(selectActiveFindings);
  const x = (frame: number): number => along(frame, lengthFrames, width);
  const secondsAt = (px: number): number => (frameAlong(px, lengthFrames, width) - 1) / rate;
  const heard = cues
    .map(({ seconds }) => frameOfSeconds(seconds, rate))
    .filter((frame) => frame <= lengthFrames)
    .map((frame) => `M${x(frame).toFixed(1)} 0v6`)
    .join('');
  return (
    <Svg width={width} height={height} style={{ position: 'absolute' }} pointerEvents="none">
      {wave && (
        <Path
          d={wavePath(wave, secondsAt, { start: SIDE, end: width - SIDE }, WAVE_MIDDLE, WAVE_HALF)}
          fill={colour.ink}
          fillOpacity={0.55}
          testID="rail-wave"
        />
      )}
      {RAIL_TARGETS.map(({ Layer }, i) => Layer && <Layer key={i} x={x} lengthFrames={lengthFrames} />)}
      <Path d={heard} stroke={colour.moss} strokeWidth={2} testID="rail-cues" />
      <Path
        d={findingMarks(findings, x, height - FINDINGS_PX)}
        fill="none"
        stroke={colour.plum}
        strokeWidth={FINDING_LINE_PX}
        testID="rail-findings"
      />
      <Drawings width={width} lengthFrames={lengthFrames} />
      {passage && (
        <Path
          d={edgesPath(passage, x)}
          fill={colour.brass}
          stroke={colour.field}
          strokeWidth={1.5}
          testID="passage-edges"
        />
      )}
    </Svg>
  );
});

const DRAWING_PX = 10;
const DRAWING_BASE = 9;

function Drawings({ width, lengthFrames }: Omit<RailExtrasProps, 'height'>) {
  const shot = useDeferredValue(useThrottledShot());
  const move = useDeferredValue(useThrottledMove());
  const figure = move && shot.figures.find(({ id }) => id === move.figureId);
  if (!figure || !shot.moves.includes(move) || drawingCount(figure) < 2) return null;
  return drawingLabels(incrementTable(shot, move).rows, lengthFrames, width).map(({ x, text }) => (
    <Text
      key={x}
      x={x}
      y={DRAWING_BASE}
      fontSize={DRAWING_PX}
      fontFamily={MONO}
      textAnchor="middle"
      fill={colour.soft}
      testID="rail-drawing"
    >
      {text}
    </Text>
  ));
}
