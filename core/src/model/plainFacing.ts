/** How a figure faces that nothing was said about. */
export const PLAIN_FACING = {
  mirrored: false,
  backwards: 'keeps',
  smoothFrames: 0,
  lean: { by: 'none', mostDeg: 12, smoothFrames: 6 },
  sizesApart: false,
} as const;
