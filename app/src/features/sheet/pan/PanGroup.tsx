import { cameraOf } from '@humble/core';
import { type PanRow, panTable } from '@humble/core/views';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { FlatList, Pressable, ScrollView, View } from 'react-native';
import { addCamera } from '../../../commands/figures';
import { useIsPlaying, useThrottledFrame } from '../../../playback/playhead';
import { useAppDispatch, useSettings } from '../../../store/hooks';
import { settingsChanged } from '../../../store/settingsSlice';
import { useThrottledShot } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';
import { Button } from '../../../ui/Button';
import { useLayout } from '../../../ui/layout';
import { Segmented } from '../../../ui/Segmented';
import { textScale } from '../../../ui/textScale';
import { NumericText, Words } from '../../../ui/Words';
import { cameraMoveWords } from '../../../words/cameraMove';
import { panWords as words } from '../../../words/pan';
import { linePress } from '../linePress';
import { type PanColumn, panColumns, type PanReading } from './panColumns';

/** Height of a line: for a finger, and for a mouse. */
const ROW_PX = 36;
const WIDE_ROW_PX = 28;

const optionsOf = <Value extends string>(labels: Readonly<Record<Value, string>>) =>
  (Object.keys(labels) as Value[]).map((value) => ({ value, label: labels[value] }));

/** The camera's way, step by step, as it is dialled at the stand. */
export function PanGroup() {
  const shot = useDeferredValue(useThrottledShot());
  const reading = useSettings().panReading;
  const dispatch = useAppDispatch();
  const table = useMemo(() => panTable(shot), [shot]);
  const columns = useMemo(() => (table ? panColumns(table, reading) : []), [table, reading]);
  const set = (some: Partial<PanReading>): void =>
    void dispatch(settingsChanged({ panReading: { ...reading, ...some } }));
  if (!table)
    return (
      <View className="gap-3 p-4">
        <Words tone="soft">{cameraOf(shot) ? words.waits : words.none}</Words>
        {!cameraOf(shot) && (
          <View className="flex-row">
            <Button label={cameraMoveWords.addCamera} onPress={() => void dispatch(addCamera())} />
          </View>
        )}
      </View>
    );
  return (
    <View className="min-h-0 flex-1">
      <View className="flex-row flex-wrap gap-2 px-4 py-1">
        <View className="min-w-[150px] grow basis-0">
          <Segmented
            label={words.moved}
            value={reading.moves}
            options={optionsOf(words.whatMoves)}
            onChange={(moves) => set({ moves })}
          />
        </View>
        <View className="min-w-[200px] grow basis-0">
          <Segmented
            label={words.directions}
            value={reading.by}
            options={optionsOf(words.directionsBy)}
            onChange={(by) => set({ by })}
          />
        </View>
      </View>
      <Lines rows={table.rows} columns={columns} />
    </View>
  );
}

interface LinesProps {
  readonly rows: readonly PanRow[];
  readonly columns: readonly PanColumn[];
}

function Lines({ rows, columns }: LinesProps) {
  const { isWide } = useLayout();
  const rowHeight = (isWide ? WIDE_ROW_PX : ROW_PX) * textScale();
  const frame = useThrottledFrame();
  const isPlaying = useIsPlaying();
  const list = useRef<FlatList<PanRow>>(null);
  const [height, setHeight] = useState(0);
  const seen = Math.max(
    0,
    rows.findLastIndex((row) => row.frame <= frame),
  );
  useEffect(() => {
    if (isPlaying || height === 0) return;
    const offset = Math.max(0, seen * rowHeight - (height - rowHeight) / 2);
    list.current?.scrollToOffset({ offset, animated: false });
  }, [seen, isPlaying, height, rowHeight]);
  const width = columns.reduce((sum, column) => sum + column.width * textScale(), 16);
  return (
    <ScrollView horizontal className="flex-1" contentContainerClassName="min-w-full">
      <View
        role="table"
        aria-label={words.pan}
        aria-rowcount={rows.length}
        style={{ minWidth: width }}
        className="flex-1"
      >
        <View role="row" className="min-h-[32px] flex-row items-center border-b border-line pr-4">
          {columns.map(({ id, header, width: wide }) => (
            <View key={id} role="columnheader" style={{ width: wide * textScale() }} className="grow">
              <Words tone="soft" strong={id === 'frame'} className="text-right">
                {header}
              </Words>
            </View>
          ))}
        </View>
        <FlatList
          ref={list}
          data={rows as PanRow[]}
          className="flex-1"
          onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
          keyExtractor={(row) => String(row.frame)}
          getItemLayout={(_, index) => ({ length: rowHeight, offset: rowHeight * index, index })}
          initialNumToRender={20}
          windowSize={5}
          renderItem={({ item, index }) => (
            <Line row={item} columns={columns} isSeen={index === seen} rowHeight={rowHeight} />
          )}
          extraData={[seen, columns]}
        />
      </View>
    </ScrollView>
  );
}

interface LineProps {
  readonly row: PanRow;
  readonly columns: readonly PanColumn[];
  readonly isSeen: boolean;
  readonly rowHeight: number;
}

const Line = memo(function Line({ row, columns, isSeen, rowHeight }: LineProps) {
  const dispatch = useAppDispatch();
  return (
    <Pressable
      role="row"
      aria-label={words.row(frameNumber(row.frame), columns[1]!.write(row))}
      aria-selected={isSeen}
      {...linePress(dispatch, row.frame)}
      style={{ height: rowHeight }}
      className={`select-none flex-row items-center border-b border-line pr-4 ${isSeen ? 'bg-brasswash' : ''}`}
    >
      {columns.map(({ id, width, write }) => (
        <View key={id} role="cell" style={{ width: width * textScale() }} className="grow">
          <NumericText strong={id === 'frame'} tone={id === 'frame' ? 'ink' : 'soft'} className="text-right">
            {write(row)}
          </NumericText>
        </View>
      ))}
    </Pressable>
  );
});
