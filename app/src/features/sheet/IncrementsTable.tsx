import { type IncrementRow, incrementTable } from '@humble/core';
import { getCoreRowModel, type Row, useReactTable } from '@tanstack/react-table';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { FlatList, Pressable, ScrollView, View } from 'react-native';
import { useActiveMove, useShot } from '../../state/hooks';
import { goTo, useIsPlaying, usePlayhead } from '../../state/playhead';
import { Figures, Words } from '../../ui/Words';
import { type ColumnId, columnsOf, WIDTHS } from './columns';

const ROW_HEIGHT = 36;
const STRONG: readonly string[] = ['frame', 'ruler'];

interface IncrementsTableProps {
  /** Columns to show; all of them without it. */
  readonly only?: readonly ColumnId[];
}

/** The increments: one line for each exposure, with the one that is seen marked. */
export function IncrementsTable({ only }: IncrementsTableProps) {
  const shot = useShot();
  const move = useActiveMove();
  if (!move)
    return (
      <View className="p-4">
        <Words tone="soft">Increments stand here once something travels on the arc.</Words>
      </View>
    );
  return <Lines table={incrementTable(shot, move)} only={only} />;
}

function Lines({
  table,
  only,
}: IncrementsTableProps & { readonly table: ReturnType<typeof incrementTable> }) {
  const columns = useMemo(() => {
    const all = columnsOf(table);
    return only ? all.filter((column) => only.includes(column.id as ColumnId)) : all;
  }, [table, only]);
  const data = table.rows as IncrementRow[];
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoised by the compiler
  const { getRowModel, getHeaderGroups } = useReactTable({
    data,
    columns,
    getCoreRowModel: getCoreRowModel(),
  });
  const { rows } = getRowModel();
  const list = useRef<FlatList<Row<IncrementRow>>>(null);
  const seen = usePlayhead(({ frame }) => {
    let index = 0;
    while (index + 1 < data.length && data[index + 1]!.frame <= frame) index++;
    return index;
  });
  const isPlaying = useIsPlaying();
  const [height, setHeight] = useState(0);
  useEffect(() => {
    if (isPlaying || height === 0) return;
    const offset = Math.max(0, seen * ROW_HEIGHT - (height - ROW_HEIGHT) / 2);
    list.current?.scrollToOffset({ offset, animated: false });
  }, [seen, isPlaying, height]);
  const width = columns.reduce((sum, column) => sum + WIDTHS[column.id as ColumnId], 0) + 16;
  return (
    <ScrollView horizontal className="flex-1" contentContainerClassName="min-w-full">
      <View
        role="table"
        aria-label="Increments"
        aria-rowcount={rows.length}
        style={{ minWidth: width }}
        className="flex-1"
      >
        <View role="row" className="h-[32px] flex-row items-center border-b border-line pr-4">
          {getHeaderGroups()[0]?.headers.map(({ id, column }) => (
            <View key={id} role="columnheader" style={{ width: WIDTHS[id as ColumnId] }} className="grow">
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
          onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
          keyExtractor={(row) => String(row.original.frame)}
          getItemLayout={(_, index) => ({ length: ROW_HEIGHT, offset: ROW_HEIGHT * index, index })}
          initialNumToRender={20}
          renderItem={({ item, index }) => <Line row={item} isSeen={index === seen} />}
          extraData={seen}
        />
      </View>
    </ScrollView>
  );
}

const Line = memo(function Line({
  row,
  isSeen,
}: {
  readonly row: Row<IncrementRow>;
  readonly isSeen: boolean;
}) {
  const { frame } = row.original;
  return (
    <Pressable
      role="row"
      aria-label={`Frame ${frame}`}
      aria-selected={isSeen}
      onPress={() => goTo(frame)}
      style={{ height: ROW_HEIGHT }}
      className={`flex-row items-center border-b border-line pr-4 ${isSeen ? 'bg-brasswash' : ''}`}
    >
      {row.getAllCells().map(({ id, column, getValue }) => (
        <View key={id} role="cell" style={{ width: WIDTHS[column.id as ColumnId] }} className="grow">
          <Figures
            strong={STRONG.includes(column.id)}
            tone={STRONG.includes(column.id) || column.id === 'place' ? 'ink' : 'soft'}
            className="text-right"
          >
            {String(getValue())}
          </Figures>
        </View>
      ))}
    </Pressable>
  );
});
