import { MAX_SHOT_FRAMES, type Note } from '@humble/core';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { Button, IconButton } from '../../../ui/Button';
import { NumericText } from '../../../ui/Words';
import { exposureSheetWords as words } from '../../../words/exposures';
import { useThrottledShotValue } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

interface NoteBarProps {
  readonly frame: number;
  readonly figureId: string;
}

export function NoteBar({ frame, figureId }: NoteBarProps) {
  const notes = useThrottledShotValue((shot) => shot.notes);
  const note = notes.find(({ from, until }) => frame >= from && frame <= until);
  return note ? <NoteDetails key={note.id} note={note} figureId={figureId} /> : null;
}

function NoteDetails({ note, figureId }: { readonly note: Note; readonly figureId: string }) {
  const edit = useEdit();
  const figure = useThrottledShotValue(
    ({ figures }) => figures.find(({ id }) => id === (note.figureId ?? figureId))?.name ?? '',
  );
  const { id: noteId, from, until } = note;
  const isAboutShot = note.figureId === null;
  const reach = (by: number): void => {
    edit('changeNote', { noteId, until: until + by });
  };
  return (
    <View
      role="region"
      aria-label={words.note}
      className="flex-row items-center gap-1 border-t border-line bg-card pl-4 pr-1"
    >
      <NumericText strong className="min-w-[56px]">
        {from === until ? frameNumber(from) : `${frameNumber(from)}–${frameNumber(until)}`}
      </NumericText>
      <IconButton
        label={words.noteShorter}
        icon={Minus}
        disabled={until === from}
        onPress={() => reach(-1)}
      />
      <IconButton
        label={words.noteLonger}
        icon={Plus}
        disabled={until > MAX_SHOT_FRAMES}
        onPress={() => reach(1)}
      />
      <Button
        label={isAboutShot ? words.aboutTheShot : words.about(figure)}
        kind="quiet"
        className="min-w-0 shrink grow px-1"
        onPress={() => edit('changeNote', { noteId, figureId: isAboutShot ? figureId : null })}
      />
      <IconButton label={words.deleteNote} icon={Trash} onPress={() => edit('removeNote', { noteId })} />
    </View>
  );
}
