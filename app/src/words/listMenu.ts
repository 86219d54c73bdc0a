export const listMenuWords = {
  removedShots: 'Removed shots',
  lastChangedFirst: 'Last changed first',
  byName: 'By name',
  byHand: 'By hand',
  orderOfTheShots: 'Order of the shots',
  backup: 'Backup and this device',
  guide: 'Guide',
} as const;
