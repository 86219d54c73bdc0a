import { type Cue, type Note } from '@humble/core';
import { secondsOfFrame } from '@humble/core/views';
import { useState } from 'react';
import { TextInput } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { exposureSheetWords as words } from '../../../words/exposures';
import { noteText } from './sheetColumns';
import { frameNumber } from '../../../store/frameNumbers';

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onDone: (text: string) => void;
}

function CellField({ label, value, onDone }: FieldProps) {
  const [text, setText] = useState<string | null>(null);
  const finish = (): void => {
    if (text !== null && text.trim() !== value) onDone(text.trim());
    setText(null);
  };
  return (
    <TextInput
      aria-label={label}
      value={text ?? value}
      placeholder={words.typeHere}
      onChangeText={setText}
      onBlur={finish}
      onSubmitEditing={finish}
      className="h-[26px] min-w-0 flex-1 rounded-small border border-brass bg-card px-1 font-sans text-small text-ink"
    />
  );
}

interface HeardFieldProps {
  readonly frame: number;
  readonly cues: readonly Cue[];
  readonly rate: number;
}

/** What is heard on the frame in sight; emptied, nothing is. */
export function HeardField({ frame, cues, rate }: HeardFieldProps) {
  const edit = useEdit();
  const done = (word: string): void => {
    const [first] = cues;
    if (word === '') edit('removeCues', { cueIds: cues.map(({ id }) => id) });
    else
      edit('setCuesOn', {
        cueIds: cues.map(({ id }) => id),
        seconds: first?.seconds ?? secondsOfFrame(frame, rate),
        word,
      });
  };
  return (
    <CellField
      label={words.wordOn(frameNumber(frame))}
      value={cues.map(({ word }) => word).join(' ')}
      onDone={done}
    />
  );
}

interface NoteFieldProps {
  readonly frame: number;
  readonly notes: readonly Note[];
}

/** The shot's note on the frame in sight; emptied, there is none. */
export function NoteField({ frame, notes }: NoteFieldProps) {
  const edit = useEdit();
  const mine = notes.filter((note) => note.from === frame);
  const [first] = mine;
  const done = (text: string): void => {
    if (text === '' && first) edit('removeNote', { noteId: first.id });
    else if (text !== '' && first) edit('changeNote', { noteId: first.id, text });
    else if (text !== '') edit('addNote', { from: frame, until: frame, text, figureId: null });
  };
  return (
    <CellField
      label={words.noteOn(frameNumber(frame))}
      value={first ? first.text : noteText(notes, frame, null)}
      onDone={done}
    />
  );
}
