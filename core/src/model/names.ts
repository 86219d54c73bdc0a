/** Colours that arcs are told apart by; the interface has a tone of each for both themes. */
export const arcColours = ['indigo', 'moss', 'plum', 'teal', 'graphite'] as const;

/** Drawings that stand in for a figure's own artwork. */
export const standInNames = [
  'peg',
  'disc',
  'lantern',
  'harbour-master',
  'crab',
  'boat',
  'gull',
  'fish',
  'boot',
  'cork',
] as const;

/** Types of the pictures that a backdrop or a figure may have. */
export const PICTURE_TYPES = ['image/png', 'image/jpeg', 'image/webp', 'image/svg+xml'] as const;

/** Types of the sounds that a shot may have. */
export const SOUND_TYPES = ['audio/wav', 'audio/mpeg'] as const;
