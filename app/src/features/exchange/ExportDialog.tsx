import { writeIncrementsCsv, writeShotFile } from '@humble/core';
import FileJson from 'lucide-react-native/icons/file-braces';
import Table from 'lucide-react-native/icons/table';
import { useShot } from '../../state/hooks';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { saveFile } from '../../ui/files';
import { fileNameOf } from './readShot';

interface ExportDialogProps {
  readonly onClose: () => void;
}

/** What leaves the shot, in open formats. */
export function ExportDialog({ onClose }: ExportDialogProps) {
  const shot = useShot();
  const save = (ending: string, text: string, type: string): void => {
    saveFile(fileNameOf(shot.name, ending), text, type);
    onClose();
  };
  return (
    <Dialog title="Export" isOpen onClose={onClose}>
      <Button
        label="Increments as CSV"
        icon={Table}
        disabled={shot.moves.length === 0}
        onPress={() => save('-increments.csv', writeIncrementsCsv(shot), 'text/csv')}
      />
      <Words tone="soft">
        For a spreadsheet or for paper: one line for each exposure, in the units of the sheet.
      </Words>
      <Button
        label="Shot as a file"
        icon={FileJson}
        onPress={() => save('.json', writeShotFile(shot), 'application/json')}
      />
      <Words tone="soft">
        Everything in the shot, as open JSON. It can be read back in here, or by the terminal command.
      </Words>
    </Dialog>
  );
}
