export const arcColours = ['indigo', 'moss', 'plum', 'teal', 'graphite'] as const;

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

export const PICTURE_TYPES = ['image/png', 'image/jpeg', 'image/webp', 'image/svg+xml'] as const;

export const SOUND_TYPES = ['audio/wav', 'audio/mpeg'] as const;
