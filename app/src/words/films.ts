const shots = (count: number): string => (count === 1 ? '1 shot' : `${count} shots`);

export const filmsWords = {
  zipDoneBefore: (done: number, count: number) => ` ${done} of ${count} shots finished first.`,
  copy: (film: string) => `${film} copy`,
  wasAddedToTheList: (name: string) => `“${name}” was added to the list.`,
  filmWasRemoved: (film: string, count: number) =>
    film ? `“${film}” was removed, with ${shots(count)}.` : `${shots(count)} removed.`,
  shotsWithoutFilm: 'Shots',
  zipIncomplete: (missing: string) => `The ZIP file leaves out ${missing}: the server does not have it.`,
  filmWasImported: (film: string, count: number) =>
    film ? `“${film}” was imported: ${shots(count)}.` : `${shots(count)} imported.`,
} as const;
