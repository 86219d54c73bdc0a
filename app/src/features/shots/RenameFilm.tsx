import { filmMenuWords as words } from '../../words/filmMenu';
import { MAX_NAME_LENGTH } from '@humble/core';
import { useState } from 'react';
import { moveToFilm } from '../../commands/films';
import { TextField } from '../../ui/TextField';
import type { FilmGroup } from './filmsOf';

interface RenameFilmProps {
  readonly film: string;
  readonly shots: FilmGroup['shots'];
  readonly onDone: () => void;
}

export function RenameFilm({ film, shots, onDone }: RenameFilmProps) {
  const [name, setName] = useState(film);
  const keep = async (): Promise<void> => {
    const next = name.trim();
    onDone();
    if (next !== film && next !== '') await moveToFilm(shots, next);
  };
  return (
    <TextField
      label={words.nameOfTheFilm}
      value={name}
      onChange={(text) => setName(text.slice(0, MAX_NAME_LENGTH))}
      onSubmit={() => void keep()}
      onBlur={() => void keep()}
      autoFocus
      className="max-w-[520px] pt-2"
    />
  );
}
