import { type Move } from '@humble/core';
import { drawingNumber, exposureSheet, type SheetCell, type SheetColumn } from '@humble/core/sheet';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { FlatList, Pressable, ScrollView, View } from 'react-native';
import { goTo, useIsPlaying, useThrottledFrame } from '../../../playback/playhead';
import { peakBetween, type SoundWave, useSoundWave } from '../../../playback/soundWave';
import { figureActivated } from '../../../store/editorSlice';
import { useAppDispatch } from '../../../store/hooks';
import { selectPassage } from '../../../store/selectors/timingSelection';
import { colour } from '../../../ui/colour';
import { useLayout } from '../../../ui/layout';
import { fixed } from '../../../ui/numbers';
import { textScale } from '../../../ui/textScale';
import { NumericText, Words } from '../../../ui/Words';
import { exposureSheetWords as words } from '../../../words/exposures';
import { linePress } from '../linePress';
import { PickedBar } from '../PickedBar';
import { HoldGrip } from './HoldGrip';
import { HeardField, NoteField } from './inPlace';
import { NoteBar } from './NoteBar';
import { noteText, pictureEnd, rowsOf, SHEET_WIDTHS, type SheetRow } from './sheetColumns';
import { useThrottledMove, useThrottledSelector, useThrottledShot } from '../../../store/throttled/hooks';
import { firstFrameNumber, frameNumber } from '../../../store/frameNumbers';

/** Height of a line: for a finger, and for a mouse. */
const ROW_PX = 36;
const WIDE_ROW_PX = 28;
const HEAD_PX = 32;

/** The shot frame by frame. A phone shows the figure that is worked on; a wide screen shows all. */
export function ExposureSheetView() {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  const { isWide } = useLayout();
  if (shot.moves.length === 0)
    return (
      <View className="p-4">
        <Words tone="soft">{words.nothingTravels}</Words>
      </View>
    );
  return <Sheet isWide={isWide} active={move ?? shot.moves[0]!} />;
}

const scaled = (width: number): number => width * textScale();
const figureWidth = scaled(SHEET_WIDTHS.picture + SHEET_WIDTHS.mark + SHEET_WIDTHS.step);
const leading = scaled(SHEET_WIDTHS.frame + SHEET_WIDTHS.heard);

function Sheet({ isWide, active }: { readonly isWide: boolean; readonly active: Move }) {
  const shot = useDeferredValue(useThrottledShot());
  const only = isWide ? undefined : active.id;
  const sheet = useMemo(() => exposureSheet(shot, only === undefined ? undefined : [only]), [shot, only]);
  const rows = useMemo(() => rowsOf(sheet), [sheet]);
  const frame = useThrottledFrame();
  const isPlaying = useIsPlaying();
  const wave = useSoundWave();
  const rowHeight = scaled(isWide ? WIDE_ROW_PX : ROW_PX);
  const list = useRef<FlatList<SheetRow>>(null);
  const [height, setHeight] = useState(0);
  const [scrolled, setScrolled] = useState(0);
  const seen = Math.min(frame, rows.length) - 1;
  const activeColumn = Math.max(
    0,
    sheet.columns.findIndex(({ move }) => move.id === active.id),
  );
  useEffect(() => {
    if (isPlaying || height === 0) return;
    list.current?.scrollToOffset({
      offset: Math.max(0, seen * rowHeight - (height - rowHeight) / 2),
      animated: false,
    });
  }, [seen, isPlaying, height, rowHeight]);
  const column = sheet.columns[activeColumn];
  const cell = column?.cells[seen];
  const width = leading + sheet.columns.length * figureWidth + scaled(SHEET_WIDTHS.note);
  return (
    <View className="min-h-0 flex-1">
      <ScrollView horizontal className="flex-1" contentContainerClassName="min-w-full">
        <View style={{ minWidth: width }} className="flex-1">
          <View
            role="table"
            aria-label={words.exposureSheet}
            aria-rowcount={rows.length}
            className="min-h-0 flex-1"
          >
            <Head columns={sheet.columns} />
            <FlatList
              ref={list}
              data={rows as SheetRow[]}
              className="flex-1"
              keyboardShouldPersistTaps="handled"
              onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
              onScroll={({ nativeEvent }) => setScrolled(nativeEvent.contentOffset.y)}
              scrollEventThrottle={16}
              keyExtractor={({ frame: on }) => String(on)}
              getItemLayout={(_, index) => ({ length: rowHeight, offset: rowHeight * index, index })}
              initialNumToRender={24}
              windowSize={5}
              renderItem={({ item }) => (
                <Row
                  row={item}
                  columns={sheet.columns}
                  active={activeColumn}
                  isSeen={item.frame === seen + 1}
                  rowHeight={rowHeight}
                  rate={shot.rate}
                  wave={wave}
                />
              )}
              extraData={[seen, activeColumn, wave]}
            />
          </View>
          <View pointerEvents="box-none" style={{ top: HEAD_PX }} className="absolute inset-x-0 bottom-0">
            {column && cell && cell.shows !== 'nothing' && (
              <HoldGrip
                move={column.move}
                figure={column.figure}
                cell={cell}
                rowHeight={rowHeight}
                left={leading + activeColumn * figureWidth}
                top={pictureEnd(cell) * rowHeight - scrolled}
                isInSight={
                  pictureEnd(cell) * rowHeight > scrolled && pictureEnd(cell) * rowHeight < scrolled + height
                }
              />
            )}
          </View>
        </View>
      </ScrollView>
      <NoteBar frame={seen + 1} figureId={active.figureId} />
    </View>
  );
}

function Head({ columns }: { readonly columns: readonly SheetColumn[] }) {
  const head = (text: string, width: number) => (
    <View role="columnheader" style={{ width: scaled(width) }} className="px-[2px]">
      <Words tone="soft" size="tiny" numberOfLines={1}>
        {text}
      </Words>
    </View>
  );
  return (
    <View role="row" style={{ height: HEAD_PX }} className="flex-row items-center border-b border-line">
      {head(words.frame, SHEET_WIDTHS.frame)}
      {head(words.heard, SHEET_WIDTHS.heard)}
      {columns.map(({ move, figure }) => (
        <View
          key={move.id}
          role="columnheader"
          className="flex-row items-center gap-1 px-1"
          style={{ width: figureWidth }}
        >
          <Words strong numberOfLines={1} className="min-w-0 flex-1">
            {figure}
          </Words>
          <Words tone="soft" size="tiny" numberOfLines={1}>
            {words.step}
          </Words>
        </View>
      ))}
      <View role="columnheader" className="min-w-0 grow px-1">
        <Words tone="soft" size="tiny">
          {words.note}
        </Words>
      </View>
    </View>
  );
}

interface RowProps {
  readonly row: SheetRow;
  readonly columns: readonly SheetColumn[];
  readonly active: number;
  readonly isSeen: boolean;
  readonly rowHeight: number;
  readonly rate: number;
  readonly wave: SoundWave | null;
}

const Row = memo(function Row({ row, columns, active, isSeen, rowHeight, rate, wave }: RowProps) {
  const { frame, cells, cues, notes } = row;
  const dispatch = useAppDispatch();
  const loud = wave ? peakBetween(wave, (frame - 1) / rate, frame / rate) : 0;
  const figureId = columns[active]?.figureId ?? null;
  const isPicked = useThrottledSelector((state) => {
    const passage = selectPassage(state);
    return passage !== null && frame >= passage.from && frame <= passage.until;
  });
  const isOnRange = notes.some((note) => note.from < frame);
  return (
    <Pressable
      role="row"
      aria-label={words.goToFrame(frameNumber(frame))}
      aria-selected={isSeen}
      {...linePress(dispatch, frame)}
      style={{ height: rowHeight }}
      className={`select-none flex-row items-stretch border-b border-line ${isSeen ? 'bg-brasswash' : isPicked ? 'bg-desk' : ''}`}
    >
      {isPicked && <PickedBar />}
      <View role="cell" style={{ width: scaled(SHEET_WIDTHS.frame) }} className="justify-center px-1">
        <NumericText strong={frame % 5 === 0} tone={frame % 5 === 0 ? 'ink' : 'soft'} className="text-right">
          {frameNumber(frame)}
        </NumericText>
      </View>
      <View role="cell" style={{ width: scaled(SHEET_WIDTHS.heard) }} className="justify-center px-1">
        {wave && (
          <View
            style={{ width: `${Math.round(loud * 100)}%`, backgroundColor: colour.moss }}
            className="absolute bottom-px left-0 top-px opacity-25"
          />
        )}
        {isSeen ? (
          <HeardField key={frame} frame={frame} cues={cues} rate={rate} />
        ) : (
          <Words numberOfLines={1}>{cues.map(({ word }) => word).join(' ')}</Words>
        )}
      </View>
      {columns.map(({ move }, i) => (
        <Pressable
          key={move.id}
          role="cell"
          accessible={false}
          tabIndex={-1}
          {...linePress(dispatch, frame, () => {
            dispatch(figureActivated({ figureId: move.figureId, arcId: move.arcId }));
            goTo(frame);
          })}
          style={{ width: figureWidth }}
          className={`flex-row border-l border-line ${i === active && columns.length > 1 ? 'bg-brasswash' : ''}`}
        >
          <Cell cell={cells[i]!} frame={frame} rowHeight={rowHeight} />
        </Pressable>
      ))}
      <View role="cell" className="min-w-0 grow flex-row items-center gap-1 border-l border-line px-1">
        {isOnRange && <View className="h-full w-[3px] bg-brass" />}
        {isSeen ? (
          <NoteField key={`${frame} ${figureId}`} frame={frame} notes={notes} />
        ) : (
          <Words numberOfLines={1} className="min-w-0 flex-1">
            {[noteText(notes, frame, null), ...columns.map((one) => noteText(notes, frame, one.figureId))]
              .filter((text) => text !== '')
              .join('; ')}
          </Words>
        )}
      </View>
    </Pressable>
  );
});

interface CellProps {
  readonly cell: SheetCell;
  readonly frame: number;
  readonly rowHeight: number;
}

/** A picture that begins, or the stroke down through its hold; its mark; the step that leads to it. */
function Cell({ cell, frame, rowHeight }: CellProps) {
  const { shows, drawing, numbered, isByHand, isSkipped, mark, ruler } = cell;
  const { sheet } = useThrottledShot();
  const number = numbered && drawingNumber(numbered, { sheet }, firstFrameNumber());
  const isLast = shows !== 'nothing' && pictureEnd(cell) === frame;
  return (
    <>
      <View style={{ width: scaled(SHEET_WIDTHS.picture) }} className="items-center">
        {shows === 'begins' && (
          <View
            role="img"
            aria-label={numbered ? words.numbered(numbered.role, number!) : words.picture(drawing)}
            style={{ height: rowHeight - 6, marginTop: 3, minWidth: rowHeight - 6 }}
            className={`items-center justify-center border px-1 ${numbered?.role === 'key' ? 'rounded-full border-2' : 'rounded-small'} ${isByHand ? 'border-persimmon border-dashed' : 'border-indigo'}`}
          >
            {number ? (
              <NumericText
                tone={isByHand ? 'persimmon' : 'ink'}
                className={numbered?.role === 'breakdown' ? 'underline' : ''}
              >
                {number}
              </NumericText>
            ) : drawing === null ? (
              <View className={`h-[8px] w-[8px] rounded-full ${isByHand ? 'bg-persimmon' : 'bg-indigo'}`} />
            ) : (
              <NumericText tone={isByHand ? 'persimmon' : 'ink'}>{drawing}</NumericText>
            )}
          </View>
        )}
        {shows === 'held' && (
          <View
            role="img"
            aria-label={words.held}
            style={{ height: isLast ? rowHeight - 8 : rowHeight }}
            className={`w-[10px] items-center ${isLast ? 'border-b border-indigo' : ''}`}
          >
            <View className={`h-full w-[2px] bg-indigo ${isSkipped ? 'opacity-40' : ''}`} />
          </View>
        )}
      </View>
      <View style={{ width: scaled(SHEET_WIDTHS.mark) }} className="justify-center px-1">
        {mark && (
          <Words size="tiny" strong numberOfLines={1}>
            {mark.label || (mark.kind === 'stop' ? words.stop : words.pass)}
          </Words>
        )}
      </View>
      <View style={{ width: scaled(SHEET_WIDTHS.step) }} className="justify-center px-1">
        <NumericText tone="soft" className="text-right">
          {ruler === null ? '' : fixed(ruler, 1)}
        </NumericText>
      </View>
    </>
  );
}
