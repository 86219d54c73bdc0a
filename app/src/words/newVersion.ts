export const newVersionWords = {
  newVersion: 'A new version of Humble Pendulum is ready.',
  startNewVersion: 'Start it now',
  closeOtherPages: 'Close the other pages of Humble Pendulum first: they still use the old version.',
} as const;
