export const filmMenuWords = {
  noFilm: 'No film',
  rename: 'Rename',
  makeItAFilm: 'Make it a film',
  duplicate: 'Duplicate',
  exportAsZIP: 'Export as ZIP',
  remove: 'Remove',
  nameOfTheFilm: 'Name of the film',
} as const;
