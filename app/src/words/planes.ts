export const planesWords = {
  planes: 'Planes in depth',
  count: (count: number) => (count === 1 ? '1 plane' : `${count} planes`),
  sentence:
    'More pictures, nearer or farther away than the arcs. The arcs are at distance 1. A picture at distance 2 moves half as far when the camera moves.',
  backdropDistance: 'Backdrop’s distance',
  add: 'Add a plane',
  name: (number: number) => `Plane ${number}`,
  nameOf: 'Name of the plane',
  distance: 'Distance',
  width: 'Width',
  across: 'Middle, across',
  down: 'Middle, down',
  show: (name: string) => `Show ${name}`,
  hide: (name: string) => `Hide ${name}`,
  remove: (name: string) => `Remove ${name}`,
} as const;
