import { errorSentence } from '../../store/errorSentence';
import { exchangeWords as words } from '../../words/exchange';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { COLUMN_NAMES, type UndecidedTable, useTakeTiming } from './useImport';

interface ColumnDialogProps {
  readonly undecided: UndecidedTable;
  readonly onClose: () => void;
}

export function ColumnDialog({ undecided: { fileName, table, columns }, onClose }: ColumnDialogProps) {
  const take = useTakeTiming();
  const dispatch = useAppDispatch();
  return (
    <Dialog title={words.whichColumnCounts} isOpen onClose={onClose}>
      <Words size="body">{words.chooseColumnHelp(fileName)}</Words>
      {columns.map((column) => (
        <Button
          key={column}
          label={COLUMN_NAMES[column]}
          onPress={() => {
            onClose();
            take(fileName, table, column).catch((error: unknown) =>
              dispatch(messageShown(errorSentence(error))),
            );
          }}
        />
      ))}
    </Dialog>
  );
}
