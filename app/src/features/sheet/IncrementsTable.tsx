import { sheetWords as words } from '../../words/sheet';
import { type SpotColumn, spotColumns } from '@humble/core/views';
import { drawingCount, type TrackName, TRACKS } from '@humble/core';
import { type Column, getCoreRowModel, type Row, useReactTable } from '@tanstack/react-table';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { FlatList, Pressable, ScrollView, TextInput, View } from 'react-native';
import { useAppDispatch, useAppStore, useEdit, useSettings } from '../../store/hooks';
import { useIsPlaying, useThrottledPlayhead } from '../../playback/playhead';
import { messageShown } from '../../store/sessionSlice';
import type { RootState } from '../../store/store';
import { selectPickedRange } from '../../store/selectors/timingSelection';
import { useLayout } from '../../ui/layout';
import { useLengths } from '../../store/lengths';
import { fixed } from '../../ui/numbers';
import { textScale } from '../../ui/textScale';
import { createUndoGroup } from '../../ui/undoGroup';
import { NumericText, Words } from '../../ui/Words';
import { type ColumnId, columnsOf, columnWidth } from './columns';
import { linePress } from './linePress';
import { EndChoice, type TypedCell } from './EndChoice';
import { PickedBar } from './PickedBar';
import {
  areOfSame,
  selectTableLines,
  saysSame,
  seenLine,
  selectIncrementTable,
  type TableLine,
} from './lines';
import { selectActiveMove } from '../../store/selectors/active';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** Height of a line: for a finger, and for a mouse. */
const ROW_PX = 36;
const WIDE_ROW_PX = 28;
/** Beside the graph six lines have to be seen at once. */
const DESK_ROW_PX = 24;

const useRowHeight = (isOnDesk: boolean): number =>
  (useLayout().isWide ? (isOnDesk ? DESK_ROW_PX : WIDE_ROW_PX) : ROW_PX) * textScale();
/** Beside other views so many screens of lines are kept ready. */
const FEW_SCREENS = 5;
/** Height of the line of heads. */
const HEAD_PX = 33;
const STRONG: readonly string[] = ['frame', 'ruler'];

interface IncrementsTableProps {
  /** Columns to show; all of them without it. */
  readonly only?: readonly ColumnId[];
  readonly canType?: boolean;
}

/** There lines are drawn few at a time, in quick succession: beside a drag no task may be long. */
const FEW_LINES = 4;
const SOON_MS = 20;

export function IncrementsTable({ only, canType = false }: IncrementsTableProps) {
  const hasMove = useThrottledSelector((state) => selectActiveMove(state) !== null);
  if (!hasMove)
    return (
      <View className="p-4">
        <Words tone="soft">{words.noIncrementsYet}</Words>
      </View>
    );
  return (
    <View className="min-h-0 flex-1">
      <Lines only={only} canType={canType} />
    </View>
  );
}

function keyedTracks(state: RootState): TrackName[] {
  const move = selectActiveMove(state);
  return TRACKS.map(({ name }) => name).filter((name) => move && move.tracks[name].length > 0);
}

const NO_SPOTS: readonly SpotColumn[] = [];

function selectSpotColumns(state: RootState): readonly SpotColumn[] {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  return shot && move ? spotColumns(shot, move) : NO_SPOTS;
}

function hasSeveralDrawings(state: RootState): boolean {
  const figureId = selectActiveMove(state)?.figureId;
  const figure = state.shot.present.shot?.figures.find(({ id }) => id === figureId);
  return figure !== undefined && drawingCount(figure) > 1;
}

/** Which lines there are: each reads for itself what it says, so that a drag changes only those it must. */
const Lines = memo(function Lines({ only, canType = false }: IncrementsTableProps) {
  // They come when there is time for them: while something is dragged nothing waits for a table.
  const data = useDeferredValue(useThrottledSelector(selectTableLines, areOfSame)) as TableLine[];
  const units = useThrottledShotValue(({ sheet }) => sheet.units);
  const rulerStep = useThrottledShotValue(({ sheet }) => sheet.rulerStep);
  const tracks = useThrottledSelector(keyedTracks, shallowEqual);
  const hasDrawings = useThrottledSelector(hasSeveralDrawings);
  const spots = useThrottledSelector(selectSpotColumns, shallowEqual);
  const columns = useMemo(() => {
    const all = columnsOf({ units, rulerStep }, tracks, hasDrawings, spots);
    return only ? all.filter((column) => only.includes(column.id as ColumnId)) : all;
  }, [units, rulerStep, tracks, hasDrawings, spots, only]);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoised by the compiler
  const { getRowModel, getHeaderGroups, getVisibleLeafColumns } = useReactTable({
    data,
    columns,
    getCoreRowModel: getCoreRowModel(),
  });
  const { rows } = getRowModel();
  const shown = getVisibleLeafColumns();
  const list = useRef<FlatList<Row<TableLine>>>(null);
  const seen = useThrottledPlayhead(({ frame }) => seenLine(data, frame));
  const isPlaying = useIsPlaying();
  const [height, setHeight] = useState(0);
  const [typed, setTyped] = useState<TypedCell | null>(null);
  const rowHeight = useRowHeight(only !== undefined);
  useEffect(() => {
    if (isPlaying || height === 0) return;
    const offset = Math.max(0, seen * rowHeight - (height - rowHeight) / 2);
    list.current?.scrollToOffset({ offset, animated: false });
  }, [seen, isPlaying, height, rowHeight]);
  const widthOf = useWidths();
  const width = columns.reduce((sum, column) => sum + widthOf(column.id ?? ''), 0) + 16;
  return (
    <ScrollView horizontal className="flex-1" contentContainerClassName="min-w-full">
      <View
        role="table"
        aria-label={words.increments}
        aria-rowcount={rows.length}
        style={{ minWidth: width }}
        className="flex-1"
      >
        <View
          role="row"
          className={`${only ? 'min-h-[28px]' : 'min-h-[32px]'} flex-row items-center border-b border-line pr-4`}
        >
          {getHeaderGroups()[0]?.headers.map(({ id, column }) => (
            <View key={id} role="columnheader" style={{ width: widthOf(id) }} className="grow">
              <Words tone="soft" strong={STRONG.includes(id)} className="text-right">
                {String(column.columnDef.header)}
              </Words>
            </View>
          ))}
        </View>
        <FlatList
          ref={list}
          data={rows}
          className="flex-1"
          keyboardShouldPersistTaps="handled"
          onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
          keyExtractor={keyOf}
          getItemLayout={(_, index) => ({ length: rowHeight, offset: rowHeight * index, index })}
          initialNumToRender={20}
          windowSize={only ? FEW_SCREENS : undefined}
          maxToRenderPerBatch={only ? FEW_LINES : undefined}
          updateCellsBatchingPeriod={only ? SOON_MS : undefined}
          renderItem={({ item, index }) => (
            <Line
              index={item.index}
              columns={shown}
              rowHeight={rowHeight}
              isSeen={index === seen}
              onTyped={canType && index === seen ? setTyped : null}
            />
          )}
          extraData={[seen, canType, shown]}
        />
        {typed?.line === seen && (
          <EndChoice
            typed={typed}
            top={HEAD_PX + Math.min(seen * rowHeight, (height - rowHeight) / 2) + rowHeight}
          />
        )}
      </View>
    </ScrollView>
  );
});

const keyOf = ({ original }: Row<TableLine>, index: number): string =>
  original.kind === 'picture'
    ? String(original.row.frame)
    : `${original.skipped.frame} ${original.skipped.isCut ? index : 'skip'}`;

/** A mouse needs no room between columns. */
const WIDE_SHARE = 0.92;

function useWidths(): (id: string) => number {
  const { isWide } = useLayout();
  return (id) => columnWidth(id as ColumnId) * textScale() * (isWide ? WIDE_SHARE : 1);
}

interface LineProps {
  /** Which line it is; what it says is read from the state. */
  readonly index: number;
  readonly columns: readonly Column<TableLine>[];
  readonly rowHeight: number;
  readonly isSeen: boolean;
  /** Told what was typed into its cell; null where nothing can be typed. */
  readonly onTyped: ((typed: TypedCell) => void) | null;
}

const isChosenIn = (state: RootState, line: TableLine | undefined): boolean =>
  line?.kind === 'picture' &&
  (selectPickedRange(state)?.runs.some(
    ({ from, until }) => line.row.frame >= from && line.row.frame <= until,
  ) ??
    false);

const isMarkIn = (state: RootState, line: TableLine | undefined): boolean =>
  line?.kind === 'picture' &&
  (selectActiveMove(state)?.marks.some(({ frame }) => frame === line.row.frame) ?? false);

const Line = memo(function Line({ index, columns, rowHeight, isSeen, onTyped }: LineProps) {
  const line = useThrottledSelector((state) => selectTableLines(state)[index], saysSame);
  const isChosen = useThrottledSelector((state) => isChosenIn(state, line));
  const isMark = useThrottledSelector((state) => isMarkIn(state, line));
  const widthOf = useWidths();
  const dispatch = useAppDispatch();
  if (!line) return null;
  const isSkipped = line.kind === 'skipped';
  const isClosing = !isSkipped && line.isClosing === true;
  const frame = isSkipped ? line.skipped.frame : isClosing ? 1 : line.row.frame;
  const isByHand = !isSkipped && line.row.isByHand;
  const along = isSkipped ? null : line.row.along;
  const said = isSkipped ? words.skipped : isByHand ? words.putByHand : isMark ? words.aMark : '';
  const name = isClosing ? words.backToFrame(frameNumber(1)) : words.frame(frameNumber(frame), said);
  return (
    <Pressable
      role="row"
      aria-label={name}
      aria-selected={isSeen}
      {...linePress(dispatch, frame)}
      style={{ height: rowHeight }}
      className={`select-none flex-row items-center border-b border-line pr-4 ${isSeen ? 'bg-brasswash' : isChosen ? 'bg-desk' : ''}`}
    >
      {isChosen && <PickedBar />}
      {columns.map((column) => {
        const isStrong = STRONG.includes(column.id) || (column.id === 'along' && isMark);
        return (
          <View key={column.id} role="cell" style={{ width: widthOf(column.id) }} className="grow">
            {column.id === 'along' && onTyped && along !== null && !isClosing ? (
              <TypedIncrement
                frame={frame}
                along={along}
                onTyped={(increment, undoGroup) => onTyped({ line: index, frame, increment, undoGroup })}
              />
            ) : (
              <NumericText
                strong={isStrong}
                tone={isByHand ? 'persimmon' : isStrong || column.id === 'place' ? 'ink' : 'soft'}
                className={`text-right ${isSkipped ? 'line-through opacity-60' : ''}`}
              >
                {String(column.accessorFn?.(line, index))}
              </NumericText>
            )}
          </View>
        );
      })}
    </Pressable>
  );
});

interface TypedIncrementProps {
  readonly frame: number;
  readonly along: number;
  readonly onTyped: (increment: number, undoGroup: string) => void;
}

function TypedIncrement({ frame, along, onTyped }: TypedIncrementProps) {
  const store = useAppStore();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { incrementMoves } = useSettings();
  const lengths = useLengths();
  const [text, setText] = useState<string | null>(null);
  const finish = (): void => {
    if (text === null) return;
    setText(null);
    const read = lengths.read(text);
    const typed = typeof read === 'number' ? read : null;
    const move = selectActiveMove(store.getState());
    const arcLength = selectIncrementTable(store.getState())?.arcLength;
    if (typed === null && text.trim() !== '')
      dispatch(
        messageShown(
          read !== null && typeof read !== 'number'
            ? read.problem
            : words.incrementNotANumber(text.slice(0, 20), frameNumber(frame)),
        ),
      );
    if (!move || !arcLength || typed === null || typed === Number(along.toFixed(2))) return;
    const increment = typed / arcLength;
    const undoGroup = createUndoGroup('increment');
    edit('setIncrement', { moveId: move.id, frame, increment, moves: incrementMoves }, undoGroup);
    onTyped(increment, undoGroup);
  };
  return (
    <TextInput
      aria-label={words.incrementToFrame(frameNumber(frame))}
      inputMode="decimal"
      value={text ?? fixed(along, 2)}
      onChangeText={setText}
      onBlur={finish}
      onSubmitEditing={finish}
      selectTextOnFocus
      className="-mr-1 ml-2 h-[2rem] rounded-small border border-brass bg-card px-1 text-right font-mono text-small text-ink"
    />
  );
}
