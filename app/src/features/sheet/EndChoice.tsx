import { View } from 'react-native';
import { selectActiveMove } from '../../store/selectors/active';
import { useAppDispatch, useAppStore, useEdit, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { Segmented } from '../../ui/Segmented';
import { sheetWords as words } from '../../words/sheet';

const MOVES = [
  { value: 'rest', label: words.keepTheEnd },
  { value: 'end', label: words.moveTheEnd },
] as const;

/** An increment that was typed: which way of the end is kept is asked for it. */
export interface TypedCell {
  readonly line: number;
  readonly frame: number;
  /** Share of the arc. */
  readonly increment: number;
  readonly undoGroup: string;
}

/** Beneath the cell that was typed into: whether the end of the move stays, or goes along by the difference. */
export function EndChoice({ typed, top }: { readonly typed: TypedCell; readonly top: number }) {
  const { incrementMoves } = useSettings();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const edit = useEdit();
  const { frame, increment, undoGroup } = typed;
  const choose = (moves: 'rest' | 'end'): void => {
    dispatch(settingsChanged({ incrementMoves: moves }));
    const move = selectActiveMove(store.getState());
    if (move) edit('setIncrement', { moveId: move.id, frame, increment, moves }, undoGroup);
  };
  return (
    <View style={{ top }} className="absolute left-2 w-[17rem] rounded-large border border-brass bg-card p-1">
      <Segmented label={words.typedIncrement} value={incrementMoves} options={MOVES} onChange={choose} />
    </View>
  );
}
