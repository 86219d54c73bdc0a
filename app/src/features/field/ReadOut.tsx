import { fieldWords as words } from '../../words/field';
import { drawingCount, type LengthScale, type Move, TRACKS } from '@humble/core';
import { type IncrementRow, incrementTable, seenRow } from '@humble/core/views';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { TRACK_DESCRIPTORS } from '../../kinds/tracks';
import { tiltOf } from '../../kinds/tracks/tilt';
import { useFrame } from '../../playback/playhead';
import { useHoveredFrame } from '../../playback/hoveredFrame';
import { selectLengthScale, useLengths } from '../../store/lengths';
import { selectComparison, selectDifferenceOn } from '../../store/selectors/comparison';
import { sideOf } from '../../store/selectors/sideOf';
import { selectEdits } from '../../store/selectors/selection';
import { useLayout } from '../../ui/layout';
import { fixed } from '../../ui/numbers';
import { NumericText } from '../../ui/Words';
import { currentPointerScene, usePointerScene } from './pointerScene';
import { useThrottledMove, useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** Frame, seconds, place, increment and speed: under the pointer in any view, else at the playhead. */
export function ReadOut() {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  const playhead = useFrame();
  const hovered = useHoveredFrame();
  const isFigureStep = useThrottledSelector((state) => selectEdits(state) === 'poses');
  const { isWide } = useLayout();
  if (!move) return null;
  const frame = Math.min(shot.lengthFrames, hovered ?? playhead);
  const table = incrementTable(shot, move);
  const row = seenRow(table, frame);
  const unit = table.units === 'mm' ? ' mm' : '';
  if (isFigureStep)
    return <FigureReadOut row={row} move={move} frame={frame} seconds={(frame - 1) / shot.rate} />;
  const step = row.along;
  const held = table.rows[table.rows.indexOf(row) - 1]?.framesHeld ?? 1;
  const speed = step === null ? null : (step / held) * shot.rate;
  return (
    <View testID="read-out" className={`shrink rounded-small px-1 ${hovered === null ? '' : 'bg-brasswash'}`}>
      <NumericText tone="soft" size="tiny" numberOfLines={1}>
        <NumericText strong size="tiny">
          {frameNumber(frame)}
        </NumericText>{' '}
        · {fixed((frame - 1) / shot.rate, 2)} s ·{' '}
        <NumericText strong size="tiny">
          {fixed(row.arcDistance, 1)}
        </NumericText>
        {unit} {words.step}{' '}
        <NumericText strong size="tiny">
          {step === null ? '–' : fixed(step, 1)}
        </NumericText>
        {speed === null || !isWide ? '' : ` · ${fixed(speed, 0)}${unit || words.units}/s`}
        <FromOtherTake frame={frame} />
      </NumericText>
    </View>
  );
}

/** While takes are compared: how far apart they are on this frame. */
function FromOtherTake({ frame }: { readonly frame: number }) {
  const apart = useThrottledSelector((state) => selectDifferenceOn(state, frame), shallowEqual);
  const name = useThrottledSelector((state) => selectComparison(state)?.name ?? '');
  const { text } = useLengths();
  return apart === null ? null : (
    <>
      {' · '}
      <NumericText strong size="tiny" tone="indigo">
        {text(apart.away)}
      </NumericText>{' '}
      {sideOf(apart)} {name}
    </>
  );
}

interface FigureReadOutProps {
  readonly row: IncrementRow;
  readonly move: Move;
  readonly frame: number;
  readonly seconds: number;
}

function FigureReadOut({ row, move, frame, seconds }: FigureReadOutProps) {
  const tracks = TRACKS.filter(({ name }) => move.tracks[name].length > 0).map(({ name }) => {
    const { label, unit, decimals } = TRACK_DESCRIPTORS[name];
    return `${label.toLowerCase()} ${fixed(row.tracks[name], decimals)}${unit}`;
  });
  const hasDrawings = useThrottledSelector(({ shot }) => {
    const figure = shot.present.shot?.figures.find(({ id }) => id === move.figureId);
    return figure !== undefined && drawingCount(figure) > 1;
  });
  return (
    <View testID="read-out" className="shrink rounded-small px-1">
      <NumericText tone="soft" size="tiny" numberOfLines={1}>
        <NumericText strong size="tiny">
          {frameNumber(frame)}
        </NumericText>
        {` · ${fixed(seconds, 2)} s · `}
        <NumericText strong size="tiny">
          {tiltOf(row.headingDeg)}
        </NumericText>
        {[...tracks, ...(hasDrawings ? [words.drawingShown(row.drawing)] : [])]
          .map((text) => ` · ${text}`)
          .join('')}
      </NumericText>
    </View>
  );
}

export function PointerPlace() {
  const hasPointer = usePointerScene(({ pointer }) => pointer !== null);
  return hasPointer ? <Coordinates /> : null;
}

/** How often the numbers follow, milliseconds: faster could not be read. */
const READABLE_MS = 80;

const coordinates = ({ unit, fieldUnits }: LengthScale): string => {
  const { pointer } = currentPointerScene();
  const decimals = unit === 'mm' ? 1 : 0;
  const text = (length: number): string => fixed(length / fieldUnits, decimals);
  return pointer ? words.acrossDown(text(pointer.x), text(pointer.y)) : '';
};

function Coordinates() {
  const scale = useThrottledSelector(selectLengthScale, shallowEqual);
  const [text, setText] = useState(() => coordinates(scale));
  useEffect(() => {
    const follow = setInterval(() => setText(coordinates(scale)), READABLE_MS);
    return () => clearInterval(follow);
  }, [scale]);
  return (
    <View testID="pointer-place">
      <NumericText tone="soft" size="tiny" numberOfLines={1}>
        {text}
      </NumericText>
    </View>
  );
}
