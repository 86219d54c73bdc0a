import { drawingCount, type Move, type TrackName } from '@humble/core';
import { drawingOfTravel, drawnThroughOn, shareThrough } from '@humble/core/views';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { type ComponentType, memo, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { addMark } from '../../../commands/timing';
import { useThrottledFrame } from '../../../playback/playhead';
import { type KeyLine, settingsChanged } from '../../../store/settingsSlice';
import { frameNumber } from '../../../store/frameNumbers';
import { useAppDispatch, useAppStore, useEdit, useSettings } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { selectActiveTravel } from '../../../store/selectors/selection';
import type { RootState } from '../../../store/store';
import { useThrottledSelector } from '../../../store/throttled/hooks';
import { colour } from '../../../ui/colour';
import { useLayout } from '../../../ui/layout';
import { fixed, writeNumber } from '../../../ui/numbers';
import { useIntoView } from '../../../ui/useIntoView';
import { NumericText, Words } from '../../../ui/Words';
import { figureWords as words } from '../../../words/figure';
import { FlipButtons } from '../FlipButtons';
import { NoFigure, NoFigureYet } from '../NoFigure';
import { selectActiveWaiting } from '../../../store/selectors/active';
import { useFigure } from '../useFigure';
import { CURVE_SAMPLES, KeyCurve } from './KeyCurve';
import { KeyPost } from './KeyPost';
import { tiltOf } from '../../../kinds/tracks/tilt';

interface LineDefinition {
  readonly label: string;
  /** Its tracks: each has a key where the line has one. Place has marks instead, and a lean is worked out. */
  readonly tracks: readonly TrackName[];
  /** What its curve shows, on each frame. */
  readonly values: (state: RootState) => ArrayLike<number>;
}

const NONE: readonly number[] = [];
const trackOf =
  (track: TrackName) =>
  (state: RootState): ArrayLike<number> =>
    selectActiveTravel(state)?.tracks[track] ?? NONE;

const LINES: Readonly<Record<KeyLine, LineDefinition>> = {
  place: {
    label: words.placeLine,
    tracks: [],
    values: (state) => selectActiveTravel(state)?.arcDistance ?? NONE,
  },
  drawing: { label: words.drawingLine, tracks: [], values: selectDrawingShares },
  turn: { label: words.turnLine, tracks: ['turn'], values: trackOf('turn') },
  size: { label: words.sizeLine, tracks: ['size'], values: trackOf('size') },
  offset: { label: words.offsetLine, tracks: ['offsetX', 'offsetY'], values: trackOf('offsetX') },
  opacity: { label: words.opacityLine, tracks: ['opacity'], values: trackOf('opacity') },
  lean: { label: words.leanLine, tracks: [], values: (state) => selectActiveTravel(state)?.heading ?? NONE },
};

/** How far the next drawing is reached on each frame: steps where drawings are held, slopes where they are drawn through. */
function selectDrawingShares(state: RootState): ArrayLike<number> {
  const travel = selectActiveTravel(state);
  if (!travel) return NONE;
  return Array.from(travel.arcDistance, (_, i) => {
    const through = drawnThroughOn(travel.move, i + 1);
    const drawing = drawingOfTravel(travel, i + 1);
    if (!through) return drawing;
    return drawing + shareThrough(travel.move, through, i + 1) * (through.to.drawing - drawing);
  });
}

/** What each line opens into. */
export type LineContents = Readonly<Record<KeyLine, ComponentType>>;

/**
 * The figure flipped either way, and what changes of it besides its drawing, a line each: its value on this frame, whether a key is there, how it
 * goes. Tapped, a line opens into all that can be set of it.
 */
export function KeyLines({ contents }: { readonly contents: LineContents }) {
  const on = useFigure();
  const waits = useThrottledSelector((state) => selectActiveWaiting(state) !== null);
  if (!on) return waits ? <NoFigureYet /> : <NoFigure />;
  return (
    <View className="-mx-4 -mt-3">
      <View className="border-b border-line px-4 py-2">
        <FlipButtons moveId={on.move.id} />
      </View>
      {(Object.keys(LINES) as KeyLine[])
        .filter((line) => line !== 'drawing' || drawingCount(on.figure) > 1)
        .map((line) => (
          <Line key={line} line={line} move={on.move} Content={contents[line]} />
        ))}
    </View>
  );
}

interface LineProps {
  readonly line: KeyLine;
  readonly move: Move;
  readonly Content: ComponentType;
}

function Line({ line, move, Content }: LineProps) {
  const { label } = LINES[line];
  const isOpen = useSettings().keyLine === line;
  const dispatch = useAppDispatch();
  // Beside the field there is room for the value alone.
  const { layout } = useLayout();
  const head = useRef<View>(null);
  useIntoView(head, isOpen, 'start');
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <View ref={head} className="scroll-mt-[46px] border-b border-line">
      <View className="min-h-[48px] flex-row items-center pr-3">
        <Post line={line} move={move} />
        <Pressable
          role="button"
          aria-label={label}
          aria-expanded={isOpen}
          onPress={() => dispatch(settingsChanged({ keyLine: isOpen ? null : line }))}
          className="min-h-[48px] min-w-0 flex-1 flex-row items-center gap-3"
        >
          <Words size="body" strong={isOpen} className="w-[72px]" numberOfLines={1}>
            {label}
          </Words>
          <View className="min-w-0 flex-1">
            <ValueHere line={line} move={move} />
          </View>
          {layout !== 'side' && <Curve line={line} />}
          <Chevron size={20} strokeWidth={1.75} color={colour.soft} />
        </Pressable>
      </View>
      {isOpen && (
        <View className="gap-3 px-4 pb-4 pt-1">
          <Content />
        </View>
      )}
    </View>
  );
}

/** A post that stands solid where there is a key on this frame, dotted where there is none: a tap sets or clears it. */
const Post = memo(function Post({ line, move }: Omit<LineProps, 'Content'>) {
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const store = useAppStore();
  const { label, tracks } = LINES[line];
  if (line === 'lean') return <View className="w-[44px]" />;
  const mark = line === 'place' ? move.marks.find((one) => one.frame === frame) : undefined;
  const begins = line === 'drawing' && move.drawings.some((one) => one.frame === frame);
  const isSet =
    mark !== undefined ||
    begins ||
    tracks.some((track) => move.tracks[track].some((key) => key.frame === frame));
  const change = (): void => {
    if (line === 'drawing') {
      const travel = selectActiveTravel(store.getState());
      const shown = travel ? Math.max(1, drawingOfTravel(travel, frame)) : 1;
      edit('setDrawing', { moveId: move.id, frame, drawing: begins ? null : shown });
    } else if (line !== 'place') edit('setKeysHere', { moveId: move.id, tracks, frame, isSet: !isSet });
    else if (mark) edit('deletePose', { moveId: move.id, markId: mark.id });
    else dispatch(addMark(frame));
  };
  const name = label.toLowerCase();
  const says = (isSet ? words.clearKeyHere : words.setKeyHere)(name, frameNumber(frame));
  return (
    <Pressable
      role="button"
      aria-label={says}
      aria-pressed={isSet}
      onPress={change}
      className="h-[48px] w-[44px] items-center justify-center"
    >
      <KeyPost isSet={isSet} />
    </Pressable>
  );
});

const Curve = memo(function Curve({ line }: { readonly line: KeyLine }) {
  const shown = useThrottledSelector((state) => sampled(LINES[line].values(state)), shallowEqual);
  return <KeyCurve values={shown} />;
});

function sampled(values: ArrayLike<number>): readonly number[] {
  if (values.length === 0) return NONE;
  return Array.from({ length: CURVE_SAMPLES }, (_, i) => {
    const at = Math.round((i / (CURVE_SAMPLES - 1)) * (values.length - 1));
    return values[at]!;
  });
}

function ValueHere({ line, move }: Omit<LineProps, 'Content'>) {
  const frame = useThrottledFrame();
  const { text } = useLengths();
  const now = useThrottledSelector((state) => {
    const travel = selectActiveTravel(state);
    if (!travel) return null;
    const i = Math.min(frame, travel.x.length) - 1;
    const { turn, size, offsetX, offsetY, opacity } = travel.tracks;
    return {
      place: travel.arcDistance[i]!,
      drawing: drawingOfTravel(travel, i + 1),
      through: throughText(travel.move, i + 1),
      heading: travel.heading[i]!,
      turn: turn[i]!,
      size: size[i]!,
      x: offsetX[i]!,
      y: offsetY[i]!,
      opacity: opacity[i]!,
    };
  }, shallowEqual);
  if (!now) return null;
  return (
    <NumericText size="small" numberOfLines={1}>
      {valueText(line, move, now, text)}
    </NumericText>
  );
}

/** Between two drawings: how far the second is reached; null where one is shown. */
function throughText(move: Move, frame: number): string | null {
  const through = drawnThroughOn(move, frame);
  if (!through) return null;
  const percent = writeNumber(100 * shareThrough(move, through, frame), 0);
  return words.betweenDrawings(through.from.drawing, through.to.drawing, percent);
}

interface Now {
  readonly place: number;
  readonly drawing: number;
  readonly through: string | null;
  readonly heading: number;
  readonly turn: number;
  readonly size: number;
  readonly x: number;
  readonly y: number;
  readonly opacity: number;
}

function valueText(line: KeyLine, move: Move, now: Now, text: (length: number) => string): string {
  switch (line) {
    case 'place':
      return text(now.place);
    case 'drawing':
      return now.through ?? (now.drawing === 0 ? words.noDrawing : words.drawingNumber(now.drawing));
    case 'turn':
      return tiltOf(now.heading);
    case 'size':
      return `${writeNumber(now.size, 1)} %`;
    case 'offset':
      return now.x === 0 && now.y === 0 ? words.onTheArcHere : `${text(now.x)}, ${text(now.y)}`;
    case 'opacity':
      return `${writeNumber(now.opacity, 1)} %`;
    case 'lean':
      return move.lean.by === 'none'
        ? words.noLean
        : move.lean.by === 'most'
          ? words.leansUpTo(fixed(move.lean.mostDeg, 0))
          : words.leanByPhysics;
  }
}
